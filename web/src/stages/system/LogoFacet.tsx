import { Link } from 'react-router';
import { MarkImage } from '../../parts/MarkImage';
import { useBench } from '../../shell/bench';
import { GROUNDS } from '../../parts/grounds';

/** The logo on each ground: the mark that is seen best there, with the measure. */
export function LogoFacet() {
  const { brand, system, token } = useBench();
  const marks = brand.identity.body.marks ?? [];
  const css = (path: string) => token(path);
  return (
    <div className="logo-facet">
      {!marks.length && (
        <p>
          The brand has no mark yet; its name is set in type.{' '}
          <Link to={`/brands/${brand.id}/identity`}>Add the logo as SVG</Link>
        </p>
      )}
      {GROUNDS.map((ground) => {
        const mark = marks.find((one) => one.id === system.marks[ground]);
        const token = css(`logo/${ground}`);
        const conflict = system.conflicts.find((one) => one.code === 'mark-unseen' && one.ground === ground);
        return (
          <div className="logo-ground" key={ground}>
            <div style={{ background: css(`ground/${ground}/background`)?.css }}>
              {mark ? (
                <MarkImage svg={mark.svg} alt={`${mark.name} on ${ground}`} />
              ) : (
                <span
                  style={{ color: css(`ground/${ground}/heading`)?.css, fontFamily: css('type/heading/family')?.css }}
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
                <span className="soft">{token?.reason}</span>
              )}
            </p>
          </div>
        );
      })}
    </div>
  );
}
