import { useMemo, useState } from 'react';
import { client, unwrap, type StylePart } from '../../api/client';
import { useStyles } from '../../api/queries';
import { CHOICES, stampOf } from '../../bench/documents';
import { useActions, useShown } from '../../bench/useBench';

/** Which proposals are looked at, which of them is chosen and which of its parts would be taken. */
export function useStyleChoice(wanted: boolean) {
  const { brand } = useShown('brand');
  const { write, say, report, revision } = useActions();
  const [first, setFirst] = useState(1);
  const [number, setNumber] = useState(1);
  const [left, setLeft] = useState<StylePart[]>([]);
  const [taking, setTaking] = useState(false);
  const stamp = stampOf(brand);
  const styles = useStyles(brand.id, stamp, first, wanted);
  const proposals = useMemo(() => styles.data?.proposals ?? [], [styles.data]);
  const chosen = proposals.find((one) => one.number === number) ?? proposals[0];
  const show = (from: number) => {
    setFirst(from);
    setNumber(from);
  };
  const toggle = (part: StylePart) =>
    setLeft((now) => (now.includes(part) ? now.filter((one) => one !== part) : [...now, part]));
  const take = async (which: number, parts: StylePart[]) => {
    setTaking(true);
    try {
      await write(
        (headers) =>
          unwrap(
            client.POST('/api/brands/{brand_id}/styles', {
              params: { path: { brand_id: brand.id } },
              headers,
              body: { number: which, parts, revision: revision(CHOICES) },
            }),
          ),
        (answer) => answer,
      );
      say(parts.length > 1 ? 'The style is taken.' : 'Taken.');
    } catch (error) {
      report(error);
    } finally {
      setTaking(false);
    }
  };
  return { stamp, styles, proposals, chosen, first, show, choose: setNumber, left, toggle, take, taking };
}

export type StyleChoice = ReturnType<typeof useStyleChoice>;
