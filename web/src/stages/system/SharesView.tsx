import type { Token } from '../../api/client';
import { useShown } from '../../bench/useBench';
import { percent, useShares } from '../../sheet/useShares';
import { Rhythm } from './Rhythm';

type Part = { name: string; css: string; share: number };

/** Proportions: the painted area of the site by colour, against the brand's own or a guide; and the rhythm of grounds. */
export function SharesView() {
  const { brand, system, token } = useShown('brand', 'system', 'token');
  const shares = useShares();
  if (!shares) return <p className="empty-line">Measuring the pages…</p>;
  const colors = brand.identity.body.colors ?? [];
  const names = new Map(colors.map((color) => [color.id ?? '', color.name]));
  const parts = byColor(shares, token, names);
  const stated = Object.entries(system.proportions.stated);
  const wanted: Part[] = stated.length
    ? stated.map(([id, share]) => ({
        name: names.get(id) ?? id,
        css: token(`brand/${id}`)?.css ?? '',
        share: share / 100,
      }))
    : system.proportions.guide.map((share, index) => ({
        name: ['ground', 'second colour', 'accent'][index] ?? '',
        css: parts[index]?.css ?? '#ccc',
        share: share / 100,
      }));
  return (
    <div className="shares-view">
      <h2>Painted on all pages</h2>
      <Bar parts={parts} label="Painted on all pages" />
      <h2>{stated.length ? 'As the guideline states it' : 'As a guide: 60–30–10, common practice'}</h2>
      <Bar parts={wanted} label="Wanted" />
      {stated.length > 0 && <p className="soft">“{system.proportions.text}”</p>}
      <table className="shares-table">
        <thead>
          <tr>
            <th scope="col">Colour</th>
            <th scope="col">Painted</th>
            <th scope="col">{stated.length ? 'Stated' : 'Guide'}</th>
            <th scope="col">Difference</th>
          </tr>
        </thead>
        <tbody>
          {parts.map((part, index) => {
            const aim = stated.length ? wanted.find((one) => one.name === part.name) : wanted[index];
            const apart = aim && Math.round((part.share - aim.share) * 100);
            return (
              <tr key={part.name}>
                <th scope="row">
                  <i style={{ background: part.css }} /> {part.name}
                </th>
                <td>{percent(part.share)}</td>
                <td>{aim ? percent(aim.share) : '–'}</td>
                <td>{apart === undefined ? '' : apart > 0 ? `+${apart}` : apart}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="soft">
        Measured in the pages at their widest frame up to 1280 px: boxes as they stand, letters by the outlines of their
        glyphs. A step of a ramp counts for its brand colour.
      </p>
      <Rhythm />
    </div>
  );
}

function Bar({ parts, label }: { parts: Part[]; label: string }) {
  const words = parts.map((part) => `${part.name} ${percent(part.share)}`).join(', ');
  return (
    <div className="shares-bar" role="img" aria-label={`${label}: ${words}`}>
      {parts.map((part) => (
        <span
          key={part.name}
          style={{ background: part.css, flexGrow: part.share }}
          title={`${part.name} ${percent(part.share)}`}
        />
      ))}
    </div>
  );
}

/** Shares by brand colour, largest first: a token counts for the colour that it is an alias or ramp step of. */
function byColor(
  shares: Record<string, number>,
  token: (path: string) => Token | undefined,
  names: Map<string, string>,
): Part[] {
  const sums = new Map<string, Part>();
  for (const [path, share] of Object.entries(shares)) {
    const own = token(path);
    const [family, id = ''] = (own?.alias || '').split('/');
    const brand = family === 'brand' || family === 'ramp' ? names.get(id) : undefined;
    const name =
      brand ?? (path === 'picture' ? 'the brand’s pictures' : family === 'neutral' ? 'neutrals' : 'mixed tones');
    const css = brand ? (token(`brand/${id}`)?.css ?? '') : (own?.css ?? '#9a9a98');
    const sum = sums.get(name) ?? { name, css, share: 0 };
    sums.set(name, { ...sum, share: sum.share + share });
  }
  return [...sums.values()].sort((a, b) => b.share - a.share);
}
