import { GROUNDS } from '../../parts/grounds';
import { fullRatio, shownRatio } from '../../parts/color';
import { inkName } from '../../parts/inks';
import { useActions, useShown } from '../../bench/useBench';
import { stampOf } from '../../bench/documents';
import { useReach } from '../../api/queries';
import type { Pair } from '../../api/client';
import { counted } from '../../parts/counted';

/** Inks by row, as pairs name them, with the token whose uses count. */
const ROWS: { ink: string; token?: string }[] = [
  { ink: 'heading' },
  { ink: 'body' },
  { ink: 'quiet' },
  { ink: 'link', token: 'text/label/rest' },
  { ink: 'link-hover' },
  { ink: 'link-visited' },
  { ink: 'primary/label/rest' },
  { ink: 'secondary/label/rest' },
  { ink: 'field/label/rest' },
  { ink: 'field/hint/rest' },
  { ink: 'field/border/rest' },
  { ink: 'boundary' },
  { ink: 'line' },
  { ink: 'focus' },
  { ink: 'selection-ink' },
  { ink: 'success' },
  { ink: 'warning' },
  { ink: 'error' },
];

/** From here on a ratio is one for text, and its cell can be read in the colours themselves. */
const TEXT = 4.5;

/** The colours of a cell: the pair itself where it is text and in use; else both as stripes beside the figure. */
function drawn(pair: Pair, shown: boolean): React.CSSProperties {
  if (shown && pair.required >= TEXT) return { background: pair.background, color: pair.foreground };
  const stripes = `linear-gradient(to right, ${pair.background} 7px, ${pair.foreground} 7px 12px, transparent 12px)`;
  return { backgroundImage: stripes, backgroundRepeat: 'no-repeat' };
}

/** Inks on grounds: ratio, verdict and number of uses in each cell, in the real colours; unused cells are quiet. A cell
 *  lights its uses on the sheet. */
export function InksView() {
  const { brand, system, look, lit } = useShown('brand', 'system', 'look', 'lit');
  const { light } = useActions();
  const reach = useReach(brand.id, stampOf(brand));
  const pairs = new Map(
    system.pairs.filter((pair) => pair.scheme === look.scheme).map((pair) => [`${pair.ground} ${pair.ink}`, pair]),
  );
  const count = (path: string) => (reach.data?.uses[path] ?? []).reduce((sum, use) => sum + use.count, 0);
  return (
    <div className="inks-view">
      <table>
        <caption className="visually-hidden">Contrast ratio and uses of every ink on every ground</caption>
        <thead>
          <tr>
            <td />
            {GROUNDS.map((ground) => (
              <th key={ground} scope="col">
                {ground}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map(({ ink, token }) => (
            <tr key={ink}>
              <th scope="row">{inkName(ink)}</th>
              {GROUNDS.map((ground) => {
                const pair = pairs.get(`${ground} ${ink}`);
                if (!pair) return <td key={ground} />;
                const uses = count(`ground/${ground}/${ink}`) + (token ? count(`ground/${ground}/${token}`) : 0);
                const fails = !pair.exempt && pair.ratio < pair.required;
                const verdict = pair.exempt
                  ? 'needs nothing'
                  : `needs ${pair.required}:1, ${fails ? 'fails' : 'passes'}`;
                const name = `${inkName(ink)} on ${ground}: ${fullRatio(pair.ratio)}, ${verdict}, ${
                  uses ? `${counted(uses, 'use')}` : 'not used'
                }`;
                return (
                  <td key={ground} className={`${uses && pair.required >= TEXT ? '' : 'q'}${fails ? ' no' : ''}`}>
                    <button
                      type="button"
                      title={name}
                      aria-pressed={lit?.ground === ground && lit.ink === ink}
                      style={drawn(pair, uses > 0 || fails)}
                      onClick={() => light(lit?.ground === ground && lit.ink === ink ? null : { ground, ink })}
                    >
                      <span className="visually-hidden">
                        {inkName(ink)} on {ground}:{' '}
                      </span>
                      <span>{shownRatio(pair.ratio)}</span>
                      <span className="visually-hidden"> to 1, {verdict}, </span>
                      <small>
                        {uses || ''}
                        <span className="visually-hidden">{uses ? (uses === 1 ? ' use' : ' uses') : 'not used'}</span>
                      </small>
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft">
        Large: ratio. Small: uses on all pages. Pale: not used. A punched hole: below what it needs.
      </p>
    </div>
  );
}
