import type { Choices } from '../../api/client';
import { useBench } from '../../shell/bench';
import { ChoiceSlider } from './ChoiceSlider';
import { GROUNDS } from '../../parts/grounds';

const STATES = ['rest', 'hover', 'pressed', 'focus', 'disabled'];
const VARIANTS = ['primary', 'secondary', 'text'];

const radius = (choices: Choices) => choices.radius ?? 0;
const putRadius = (choices: Choices, value: number) => ({ ...choices, radius: value });
const density = (choices: Choices) => choices.density ?? 1;
const putDensity = (choices: Choices, value: number) => ({ ...choices, density: value });
const padding = (choices: Choices) => choices.buttons?.padding_block ?? 0;
const putPadding = (choices: Choices, value: number) => ({
  ...choices,
  buttons: { padding_inline: choices.buttons?.padding_inline ?? 1.35, padding_block: value },
});
const links = (choices: Choices) => choices.links?.padding_block ?? 0;
const putLinks = (choices: Choices, value: number) => ({
  ...choices,
  links: { underlined: choices.links?.underlined ?? true, padding_block: value },
});

/** Corners, space and buttons: the sliders, and every variant in every state on each ground. */
export function ShapeFacet() {
  const { system, token } = useBench();
  const css = (path: string) => token(path);
  const label = system.steps.find((step) => step.name === 'label');
  return (
    <div className="shape-facet">
      <div className="type-sliders">
        <ChoiceSlider
          label="Corner radius"
          path="/radius"
          min={0}
          max={40}
          step={1}
          unit=" px"
          value={radius}
          put={putRadius}
        />
        <ChoiceSlider label="Space" path="/density" min={0.6} max={1.5} step={0.05} value={density} put={putDensity} />
        <ChoiceSlider
          label="Padding of buttons"
          path="/buttons/padding_block"
          min={0}
          max={2}
          step={0.05}
          unit=" em"
          value={padding}
          put={putPadding}
        />
        <ChoiceSlider
          label="Padding of links"
          path="/links/padding_block"
          min={0}
          max={1.5}
          step={0.05}
          unit=" em"
          value={links}
          put={putLinks}
        />
      </div>
      <p className="soft">{css('shape/radius')?.reason}</p>
      <div className="matrix">
        {GROUNDS.map((ground) => (
          <div key={ground}>
            <h2 id={`matrix-${ground}`}>{ground}</h2>
            <table
              aria-labelledby={`matrix-${ground}`}
              style={{ background: css(`ground/${ground}/background`)?.css, color: css(`ground/${ground}/body`)?.css }}
            >
              <thead className="visually-hidden">
                <tr>
                  <th scope="col">Variant</th>
                  {STATES.map((state) => (
                    <th key={state} scope="col">
                      {state}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {VARIANTS.map((variant) => (
                  <tr key={variant}>
                    <th scope="row">{variant}</th>
                    {STATES.map((state) => {
                      const part = (name: string) => css(`ground/${ground}/${variant}/${name}/${state}`);
                      const look = {
                        background: part('fill')?.css,
                        color: part('label')?.css,
                        border: `1.5px solid ${part('border')?.css}`,
                        borderRadius: css('shape/button-radius')?.css,
                        padding: `${css('button/padding-block')?.css} .9em`,
                        fontFamily: css('type/body/family')?.css,
                        fontWeight: label?.weight,
                        textDecoration: variant === 'text' ? 'underline' : 'none',
                        outline: state === 'focus' ? `2px solid ${css(`ground/${ground}/focus`)?.css}` : undefined,
                        outlineOffset: 2,
                      };
                      return (
                        <td key={state} title={part('fill')?.reason}>
                          {state === 'disabled' ? (
                            <button type="button" disabled style={look}>
                              Disabled
                            </button>
                          ) : (
                            <span style={look}>{state[0]?.toUpperCase() + state.slice(1)}</span>
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        ))}
      </div>
    </div>
  );
}
