import type { Fact } from '../../../api/client';
import { MarkImage } from '../../../parts/MarkImage';

export type FactFaceProps = { fact: Fact };

/** The thing itself, small: a swatch, a mark on its ground, a picture, a radius. */
export function FactFace({ fact }: FactFaceProps) {
  const data = fact.data ?? {};
  const first = fact.taken?.[0] ?? fact.variants[0]?.value ?? '';
  if (fact.group === 'colors') return <span className="fact-face" style={{ background: first }} />;
  if (fact.group === 'gradients') return <span className="fact-face" style={{ background: first }} />;
  if (fact.group === 'marks' && data['svg'])
    return (
      <span className={data['meant_for'] === 'dark' ? 'fact-face is-dark' : 'fact-face'}>
        <MarkImage svg={String(data['svg'])} alt="" />
      </span>
    );
  if (fact.group === 'pictures' && data['thumb'])
    return (
      <span className="fact-face is-picture">
        <img src={`data:image/webp;base64,${String(data['thumb'])}`} alt="" />
      </span>
    );
  if (fact.group === 'typefaces')
    return (
      <span className="fact-face" style={{ fontFamily: data['library'] ? `'${fact.label}'` : undefined }}>
        <span className="fact-letters">Aa</span>
      </span>
    );
  if (fact.group === 'measures' && data['measure'] === 'radius')
    return (
      <span className="fact-face">
        <span className="fact-corner" style={{ borderTopLeftRadius: `${String(data['px'])}px` }} />
      </span>
    );
  return <span className="fact-face is-empty" />;
}
