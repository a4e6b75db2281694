import type { components } from '../../api/schema';
import { useShown } from '../../bench/useBench';
import { StepEditor } from './StepEditor';
import { counted } from '../../parts/counted';

type Fit = components['schemas']['FitOfStep'];
export type StepRowProps = { name: string; fit: Fit | undefined; open: boolean; toggle: () => void };

const HALF = 0.5;
const HEADLINES = ['display', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6'];

/** One step: its longest text at both ends, how all its texts fit, and what was set for it. */
export function StepRow({ name, fit, open, toggle }: StepRowProps) {
  const { brand, system, token } = useShown('brand', 'system', 'token');
  const identity = brand.identity.body;
  const step = system.steps.find((one) => one.name === name);
  if (!step) return null;
  const longest = fit?.texts[0];
  const text = longest?.text ?? (name === 'label' ? 'See what we offer' : identity.strapline || identity.name);
  const size = token(`type/${name}/size`);
  const style = (px: number) => ({
    fontFamily: token(name === 'body' ? 'type/body/family' : `type/${name}/family`)?.css,
    fontWeight: step.weight,
    fontSize: px * HALF,
    lineHeight: step.line_height,
    letterSpacing: `${step.tracking}em`,
    textTransform: step.case as 'none',
  });
  const under = (width: '360' | '1280', px: number) => {
    const lines = longest?.lines[width];
    const characters = longest?.characters[width];
    return (
      <span
        className="mono soft"
        title={characters ? `${Math.round(characters)} characters in a line of the longest text` : undefined}
      >
        {px.toFixed(1)} px
        {lines !== undefined && ` · ${counted(lines, 'line')}`}
        {lines !== undefined && lines > 1 && characters !== undefined && ` of ${Math.round(characters)}`}
      </span>
    );
  };
  return (
    <>
      <tr className={open ? 'is-open' : undefined} title={size?.reason}>
        <th scope="row">
          <button type="button" className="step-name" aria-expanded={open} onClick={toggle}>
            {name}
          </button>
          <span className="origin">{size?.origin}</span>
        </th>
        <td>
          <span className="stair" style={{ ...style(step.small), width: 160 }}>
            {text}
          </span>
          {under('360', step.small)}
          {fit && HEADLINES.includes(name) && <Spread fit={fit} width="360" />}
        </td>
        <td>
          <span className="stair" style={style(step.large)}>
            {text}
          </span>
          {under('1280', step.large)}
          {fit && HEADLINES.includes(name) && <Spread fit={fit} width="1280" />}
        </td>
      </tr>
      {open && (
        <tr className="step-editor-row">
          <td colSpan={3}>
            <StepEditor name={name} step={step} largest={fit?.largest ?? 0} />
          </td>
        </tr>
      )}
    </>
  );
}

/** How many texts take one, two, three and more lines: a bar for each count, more than three marked by shape as well. */
function Spread({ fit, width }: { fit: Fit; width: string }) {
  const counts = Object.entries(fit.lines[width] ?? {});
  const total = counts.reduce((sum, [, count]) => sum + count, 0);
  const said = counts.map(([lines, count]) => `${count} × ${lines} ${lines === '1' ? 'line' : 'lines'}`).join(', ');
  return (
    <span className="spread" role="img" aria-label={said} title={said}>
      {counts.map(([lines, count]) => (
        <i key={lines} className={Number(lines) > 3 ? 'is-long' : undefined} style={{ flexGrow: count / total }}>
          {lines}
        </i>
      ))}
    </span>
  );
}
