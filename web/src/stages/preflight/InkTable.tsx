import { shownRatio } from '../../parts/color';
import { inkName } from '../../parts/inks';
import { useShown } from '../../bench/useBench';
import { GROUNDS } from '../../parts/grounds';

const INKS = ['heading', 'body', 'quiet', 'link', 'primary/label/rest', 'secondary/label/rest', 'boundary', 'focus'];

/** Inks on grounds: ratio and number of uses in their real colours; what is not used is quiet. */
export function InkTable() {
  const { system, look } = useShown('system', 'look');
  return (
    <div className="ink-table">
      <h2>Ratio and uses</h2>
      <table>
        <thead>
          <tr>
            <td />
            {GROUNDS.map((ground) => (
              <th key={ground} scope="col">
                {ground === 'navigation' ? (
                  <abbr title="Navigation">Nav</abbr>
                ) : (
                  ground[0]?.toUpperCase() + ground.slice(1)
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {INKS.map((ink) => (
            <tr key={ink}>
              <th scope="row">
                {inkName(ink)
                  .replace('Label of the main button', 'Main button')
                  .replace('Label of the second button', 'Second button')}
              </th>
              {GROUNDS.map((ground) => {
                const pair = system.pairs.find(
                  (one) => one.scheme === look.scheme && one.ground === ground && one.ink === ink,
                );
                const uses = system.uses.find((one) => one.ground === ground && one.ink === ink)?.count ?? 0;
                if (!pair) return <td key={ground} className="q" />;
                const fails = pair.ratio < pair.required;
                return (
                  <td
                    key={ground}
                    className={`${uses ? '' : 'q'}${fails ? ' no' : ''}`}
                    style={{ background: pair.background, color: pair.foreground }}
                    title={`${inkName(ink)} on ${ground}: ${shownRatio(pair.ratio)} to 1, needs ${pair.required}`}
                  >
                    {uses ? (
                      <span className={fails ? 'ratio-no' : undefined}>{shownRatio(pair.ratio)}</span>
                    ) : (
                      <span className="visually-hidden">{shownRatio(pair.ratio)}, not used</span>
                    )}
                    {uses > 0 && <small>{uses}</small>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
