import { Link } from 'react-router';
import { pointer, type Choices, type Resolved } from '../../api/client';
import { useLogo } from '../../api/queries';
import { GROUNDS } from '../../parts/grounds';
import { MarkImage } from '../../parts/MarkImage';
import { useActions, useShown } from '../../bench/useBench';
import { CHOICES, FRAME, stampOf } from '../../bench/documents';
import { ChoiceSlider } from './ChoiceSlider';
import { MadeMarks } from './MadeMarks';

type Logo = NonNullable<Choices['logo']>;
const slider = (key: 'header_small' | 'header_large' | 'footer' | 'footer_small') => ({
  path: `/logo/${key}`,
  value: (choices: Choices) => choices.logo?.[key] ?? choices.logo?.footer ?? 44,
  put: (choices: Choices, value: number) => ({ ...choices, logo: { ...(choices.logo as Logo), [key]: value } }),
});
const SLIDERS = [
  { label: 'In the header, phones', min: 16, max: 120, step: 1, unit: ' px', ...slider('header_small') },
  { label: 'In the header, desktops', min: 16, max: 160, step: 1, unit: ' px', ...slider('header_large') },
  { label: 'In the footer, phones', min: 16, max: 160, step: 1, unit: ' px', ...slider('footer_small') },
  { label: 'In the footer, desktops', min: 16, max: 200, step: 1, unit: ' px', ...slider('footer') },
];

/** The logo: its sizes and clear space, the mark that is seen best on each ground, and variants that could be made. */
export function LogoFacet() {
  const { brand, system, token, choices, canWrite } = useShown('brand', 'system', 'token', 'choices', 'canWrite');
  const { change } = useActions();
  const sheet = useLogo(brand.id, stampOf(brand));
  const marks = brand.identity.body.marks ?? [];
  const plates = choices.logo?.plates ?? [];
  const header = brand.frame.body.header;
  const set = (label: string, path: string, value: unknown) =>
    void change(label, [{ document: CHOICES, patch: [{ op: 'add', path, value }] }]);
  const least = token('mark/least-height');
  const thin = system.conflicts.find((one) => one.code === 'mark-too-small');
  return (
    <div className="logo-facet">
      {!marks.length && (
        <p>
          The brand has no mark yet; its name is set in type.{' '}
          <Link to={`/brands/${brand.id}/identity`}>Add the logo as SVG</Link>, or take one of these as a start.
        </p>
      )}
      {marks.length > 0 && (
        <>
          <div className="type-sliders">
            {SLIDERS.map((one) => (
              <ChoiceSlider key={one.path} {...one} />
            ))}
            <div className="logo-choices">
              <span role="group" aria-label="Place in the header">
                {[
                  { value: 'bar', name: 'left' },
                  { value: 'tiers', name: 'left above' },
                  { value: 'centre', name: 'in the middle' },
                  { value: 'wings', name: 'between the pages' },
                  { value: 'masthead', name: 'centred above' },
                ].map((one) => (
                  <button
                    key={one.value}
                    type="button"
                    className="filter"
                    disabled={!canWrite}
                    aria-pressed={header.layout === one.value}
                    onClick={() =>
                      void change(`Logo ${one.name}`, [
                        { document: FRAME, patch: [{ op: 'replace', path: '/header/layout', value: one.value }] },
                      ])
                    }
                  >
                    {one.name}
                  </button>
                ))}
              </span>
              <label className="switch">
                <input
                  type="checkbox"
                  disabled={!canWrite}
                  checked={choices.logo?.name_beside ?? false}
                  onChange={(event) => set('Name beside the symbol', '/logo/name_beside', event.target.checked)}
                />
                Name as text beside a symbol
              </label>
            </div>
          </div>
          <p className={thin ? 'bad' : 'soft'}>
            {thin && <span className="mark-stop" aria-hidden="true" />}
            {thin?.message} <WaysOut ways={thin?.alternatives} />
            {!thin && least && (
              <>
                At least <b className="mono">{least.css}</b> high. {least.reason}
              </>
            )}
          </p>
          <p className="soft">
            Clear space <b className="mono">{Math.round((sheet.data?.clear_space ?? 0.25) * 100)} %</b> of its height.{' '}
            {sheet.data?.clear_why}
          </p>
        </>
      )}
      {GROUNDS.map((ground) => {
        const mark = marks.find((one) => one.id === system.marks[ground]);
        const why = token(`logo/${ground}`);
        const conflict = system.conflicts.find((one) => one.code === 'mark-unseen' && one.ground === ground);
        const plated = plates.includes(ground);
        const plate = plated ? (why?.reason.match(/colour of (\w+)/)?.[1] ?? 'paper') : '';
        return (
          <div className="logo-ground" key={ground}>
            <div style={{ background: token(`ground/${ground}/background`)?.css }}>
              {mark ? (
                <span
                  className={plated ? 'logo-plate' : undefined}
                  style={plated ? { background: token(`ground/${plate}/background`)?.css } : undefined}
                >
                  <MarkImage svg={mark.svg} alt={`${mark.name} on ${ground}`} />
                </span>
              ) : (
                <span
                  style={{
                    color: token(`ground/${ground}/heading`)?.css,
                    fontFamily: token('type/heading/family')?.css,
                  }}
                >
                  {brand.identity.body.name}
                </span>
              )}
            </div>
            <p>
              <b>{ground[0]?.toUpperCase() + ground.slice(1)}</b> {mark?.name}
              <br />
              {conflict ? (
                <span className="bad">
                  <span className="mark-stop" aria-hidden="true" /> {conflict.message}
                </span>
              ) : (
                <span className="soft">{why?.reason}</span>
              )}
              <WaysOut ways={conflict?.alternatives} />
              {plated && (
                <button
                  type="button"
                  className="quiet-action"
                  disabled={!canWrite}
                  onClick={() =>
                    void change(`No plate on ${ground}`, [
                      {
                        document: CHOICES,
                        patch: [{ op: 'remove', path: pointer('logo', 'plates', plates.indexOf(ground)) }],
                      },
                    ])
                  }
                >
                  Take the plate away
                </button>
              )}
            </p>
          </div>
        );
      })}
      <MadeMarks sheet={sheet.data} />
    </div>
  );
}

/** Ways out of a conflict, each a click. */
function WaysOut({ ways }: { ways: Resolved['conflicts'][number]['alternatives'] | undefined }) {
  const { canWrite } = useShown('canWrite');
  const { change } = useActions();
  return ways?.map((way) => (
    <button
      key={way.label}
      type="button"
      className="quiet-action"
      disabled={!canWrite}
      onClick={() => void change(way.label, [{ document: CHOICES, patch: way.patch as never }])}
    >
      {way.label}
    </button>
  ));
}
