import { useEffect, useRef, useState } from 'react';
import { client, unwrap, type Picked } from '../../api/client';
import { fullRatio } from '../../parts/color';
import { useActions, useShown } from '../../bench/useBench';
import { PickSources } from './PickSources';

export type PickerProps = {
  /** Any CSS colour. */
  value: string;
  /** What it stands on, and the ratio that it needs there. */
  background: string;
  required: number;
  pick: (value: string) => void;
};

const LABELS: Record<string, string> = { lightness: 'Lightness', chroma: 'Chroma', hue: 'Hue' };

/** Picking a colour by OKLCH sliders whose tracks show where it passes, by just noticeable steps, and from sources. */
export function Picker({ value, background, required, pick }: PickerProps) {
  const { brand } = useShown('brand');
  const { report } = useActions();
  const [found, setFound] = useState<Picked | null>(null);
  // Where the sliders were put last: they stand there at once, and keep chroma and hue while lightness is at an end.
  const [put, setPut] = useState<{ value: string; lch: number[] } | null>(null);
  const seed = useRef(0);
  const wanted = useRef('');
  const asking = useRef(false);
  useEffect(() => {
    wanted.current = value;
    if (asking.current) return;
    asking.current = true;
    const ask = async () => {
      let asked = '';
      while (wanted.current !== asked) {
        asked = wanted.current;
        try {
          setFound(await unwrap(client.POST('/api/colors/pick', { body: { value: asked, background, required } })));
        } catch {
          // Half-typed text is no colour yet; what was found last stays.
        }
      }
      asking.current = false;
    };
    void ask();
  }, [value, background, required]);
  if (!found) return null;
  const shown = put?.value === value ? put.lch : found.lch;
  const slide = (index: number, at: number) => {
    const lch = shown.map((part, place) => (place === index ? at : part));
    const text = `oklch(${(lch[0] ?? 0).toFixed(3)} ${(lch[1] ?? 0).toFixed(3)} ${(lch[2] ?? 0).toFixed(1)})`;
    setPut({ value: text, lch });
    pick(text);
  };
  const another = async () => {
    try {
      seed.current += 1;
      const colors = brand.identity.body.colors?.map((color) => color.value) ?? [];
      const body = { brand: colors, background, required, seed: seed.current };
      pick((await unwrap(client.POST('/api/colors/another', { body }))).hex);
    } catch (problem) {
      report(problem);
    }
  };
  const passes = found.ratio >= required;
  return (
    <div
      className="picker"
      onKeyDown={(event) => {
        if (!event.altKey || (event.key !== 'ArrowDown' && event.key !== 'ArrowUp')) return;
        event.preventDefault();
        pick(event.key === 'ArrowUp' ? found.lighter : found.darker);
      }}
    >
      <div className="picker-head">
        <i style={{ background: found.hex }} />
        <span className="mono">{found.hex}</span>
        {found.mapped && <span className="soft">outside sRGB, drawn as this</span>}
        {required > 0 && (
          <span className={passes ? undefined : 'bad'} role="status">
            {fullRatio(found.ratio)}, {passes ? 'passes' : `fails, needs ${required}:1`}
          </span>
        )}
        <span className="picker-steps">
          <button
            type="button"
            className="quiet-action"
            title="Alt and the down arrow"
            onClick={() => pick(found.darker)}
          >
            A shade darker
          </button>
          <button
            type="button"
            className="quiet-action"
            title="Alt and the up arrow"
            onClick={() => pick(found.lighter)}
          >
            A shade lighter
          </button>
          <button type="button" className="quiet-action" onClick={() => void another()}>
            Another that passes
          </button>
        </span>
      </div>
      {found.tracks.map((track, index) => (
        <label key={track.axis} className="picker-slider">
          <span>{LABELS[track.axis]}</span>
          <span className="picker-track" style={{ background: `linear-gradient(to right, ${track.colors.join()})` }}>
            <span className="picker-passes" aria-hidden="true" style={{ background: bands(track.passes) }} />
            <input
              type="range"
              min={track.low}
              max={track.high}
              step={index === 2 ? 0.5 : 0.001}
              value={shown[index] ?? 0}
              aria-valuetext={`${(shown[index] ?? 0).toFixed(index === 2 ? 0 : 3)}, ${passes ? 'passes' : 'fails'}`}
              onChange={(event) => slide(index, Number(event.target.value))}
            />
          </span>
        </label>
      ))}
      <PickSources pick={pick} />
    </div>
  );
}

/** A stripe that is drawn where the colour passes. */
function bands(passes: boolean[]): string {
  const width = 100 / passes.length;
  const stops = passes.map(
    (one, index) =>
      `${one ? '#1f2022' : 'transparent'} ${(index * width).toFixed(2)}% ${((index + 1) * width).toFixed(2)}%`,
  );
  return `linear-gradient(to right, ${stops.join()})`;
}
