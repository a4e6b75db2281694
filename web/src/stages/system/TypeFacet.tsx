import type { Choices } from '../../api/client';
import { useBench } from '../../shell/bench';
import { ChoiceSlider } from './ChoiceSlider';

type Scale = NonNullable<Choices['scale']>;
type Key = Exclude<keyof Scale, 'steps'>;

const value = (key: Key) => (choices: Choices) => choices.scale?.[key] ?? 0;
const put = (key: Key) => (choices: Choices, next: number) => ({
  ...choices,
  scale: { ...(choices.scale as Scale), [key]: next },
});
// Stable functions, so that a drag keeps its handlers.
const VALUES = {
  base_small: value('base_small'),
  base_large: value('base_large'),
  ratio_small: value('ratio_small'),
  ratio_large: value('ratio_large'),
};
const PUTS = {
  base_small: put('base_small'),
  base_large: put('base_large'),
  ratio_small: put('ratio_small'),
  ratio_large: put('ratio_large'),
};

const SHOWN = ['display', 'h1', 'h2', 'h3', 'intro', 'body', 'fine', 'label'];
const HALF = 0.5;

/** The type scale as a staircase of the site's own words, at phone and desktop size side by side. */
export function TypeFacet() {
  const { brand, system, token } = useBench();
  const identity = brand.identity.body;
  const family = (id: string) => token(`type/${id === identity.typefaces?.heading ? 'heading' : 'body'}/family`)?.css;
  const sample = (step: string): { text: string; lines?: Record<string, number> } => {
    const own = system.headlines.filter((line) => line.step === step).sort((a, b) => b.text.length - a.text.length)[0];
    if (own) return own;
    if (step === 'h3') return { text: identity.offers?.[0]?.name ?? identity.name };
    if (step === 'label') return { text: brand.pages[0]?.body.sections?.[0] ? 'See what we offer' : 'Label' };
    return { text: identity.does || identity.strapline || identity.name };
  };
  return (
    <div className="type-facet">
      <div className="type-sliders">
        <ChoiceSlider
          label="Ratio on phones"
          path="/scale/ratio_small"
          min={1.05}
          max={1.5}
          step={0.01}
          value={VALUES.ratio_small}
          put={PUTS.ratio_small}
        />
        <ChoiceSlider
          label="Ratio on desktops"
          path="/scale/ratio_large"
          min={1.05}
          max={1.6}
          step={0.01}
          value={VALUES.ratio_large}
          put={PUTS.ratio_large}
        />
        <ChoiceSlider
          label="Running text on phones"
          path="/scale/base_small"
          min={12}
          max={24}
          step={0.5}
          unit=" px"
          value={VALUES.base_small}
          put={PUTS.base_small}
        />
        <ChoiceSlider
          label="Running text on desktops"
          path="/scale/base_large"
          min={12}
          max={28}
          step={0.5}
          unit=" px"
          value={VALUES.base_large}
          put={PUTS.base_large}
        />
      </div>
      <table className="staircase">
        <caption className="visually-hidden">
          The steps of the type scale, on the site’s own words, at half size
        </caption>
        <thead>
          <tr>
            <th scope="col">Step</th>
            <th scope="col">Phone, 360</th>
            <th scope="col">Desktop, 1280</th>
          </tr>
        </thead>
        <tbody>
          {SHOWN.map((name) => {
            const step = system.steps.find((one) => one.name === name);
            if (!step) return null;
            const { text, lines } = sample(name);
            const size = token(`type/${name}/size`);
            const style = (size: number) => ({
              fontFamily: family(step.family),
              fontWeight: step.weight,
              fontSize: size * HALF,
              lineHeight: step.line_height,
              letterSpacing: `${step.tracking}em`,
            });
            const count = (width: string) =>
              lines?.[width] && `${lines[width]} ${lines[width] === 1 ? 'line' : 'lines'}`;
            return (
              <tr key={name} title={size?.reason}>
                <th scope="row">
                  <b>{name}</b>
                  <span className="origin">{size?.origin}</span>
                </th>
                <td>
                  <span className="stair" style={{ ...style(step.small), width: 160 }}>
                    {text}
                  </span>
                  <span className="mono soft">
                    {step.small.toFixed(1)} px {count('360') && `· ${count('360')}`}
                  </span>
                </td>
                <td>
                  <span className="stair" style={style(step.large)}>
                    {text}
                  </span>
                  <span className="mono soft">
                    {step.large.toFixed(1)} px {count('1280') && `· ${count('1280')}`}
                  </span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
