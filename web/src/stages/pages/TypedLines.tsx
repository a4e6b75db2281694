import { useEffect, useState } from 'react';
import { client, unwrap } from '../../api/client';
import { useShown } from '../../bench/useBench';
import { counted } from '../../parts/counted';

/** A text that is being written, and its place. */
export type Typed = { page: string; section: string; slot: string; text: string };

const PAUSE = 250; // ms without a key, after which lines are counted
const WIDTHS = ['phone', 'tablet', 'desktop'];

/** How many lines the text takes that is being written, at each class of widths; else what can be done with one. */
export function TypedLines({ typed }: { typed: Typed | null }) {
  const { brand } = useShown('brand');
  const [told, setTold] = useState<{ of: Typed; lines: Record<string, number> } | null>(null);
  useEffect(() => {
    if (!typed) return;
    const path = { params: { path: { brand_id: brand.id } } };
    const ask = async () => {
      try {
        const { lines } = await unwrap(client.POST('/api/brands/{brand_id}/lines', { ...path, body: typed }));
        setTold({ of: typed, lines });
      } catch {
        setTold(null); // it is only a help: what is wrong is told when the text is stored
      }
    };
    const timer = setTimeout(() => void ask(), PAUSE);
    return () => clearTimeout(timer);
  }, [typed, brand.id]);
  if (!typed) return <span className="soft">Ctrl I stresses, Ctrl B makes strong</span>;
  const same = told?.of.section === typed.section && told.of.slot === typed.slot;
  const parts = same ? WIDTHS.filter((one) => one in told.lines) : [];
  return (
    <span className="soft" role="status">
      {parts.length
        ? parts
            .map((one, index) => `${index ? told?.lines[one] : counted(told?.lines[one] ?? 0, 'line')} on a ${one}`)
            .join(', ')
        : same
          ? 'How many lines it takes cannot be told here'
          : 'Counting lines…'}
    </span>
  );
}
