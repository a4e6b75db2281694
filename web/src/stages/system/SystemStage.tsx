import { useState } from 'react';
import { Tabs } from '../../parts/Tabs';
import { Sheet } from '../../sheet/Sheet';
import { ColorFacet } from './ColorFacet';
import { GuideView } from './GuideView';
import { LogoFacet } from './LogoFacet';
import { Matrix } from './Matrix';
import { ShapeFacet } from './ShapeFacet';
import { TypeFacet } from './TypeFacet';
import { ValuesFacet } from './ValuesFacet';
import { useShown } from '../../bench/useBench';
import { PaletteFacet } from '../palettes/PaletteFacet';
import { PaletteWall } from '../palettes/PaletteWall';
import { usePaletteChoice, type PaletteChoice } from '../palettes/usePaletteChoice';
import { StyleFacet } from '../style/StyleFacet';
import { StyleWall } from '../style/StyleWall';
import { useStyleChoice, type StyleChoice } from '../style/useStyleChoice';

const STYLE = 'style';
const PALETTES = 'palettes';
type Chosen = { style: StyleChoice; palette: PaletteChoice };
const FACETS = [
  { id: PALETTES, name: 'Palettes', draw: ({ palette }: Chosen) => <PaletteFacet choice={palette} /> },
  { id: STYLE, name: 'Style', draw: ({ style }: Chosen) => <StyleFacet choice={style} /> },
  { id: 'color', name: 'Colour', draw: () => <ColorFacet /> },
  { id: 'type', name: 'Type', draw: () => <TypeFacet /> },
  { id: 'shape', name: 'Shape and buttons', draw: () => <ShapeFacet /> },
  { id: 'logo', name: 'Logo', draw: () => <LogoFacet /> },
  { id: 'values', name: 'All values', draw: () => <ValuesFacet /> },
];

/** Stage 2: the resolved system, facet by facet, beside all pages, or beside the matrix of buttons, fields and cards. */
export function SystemStage() {
  const { brand } = useShown('brand');
  // A brand without colours is offered whole palettes; once it has some, they are its own.
  const colorless = !(brand.identity.body.colors ?? []).length;
  const [chosen, setFacet] = useState('');
  const facet = chosen === PALETTES && !colorless ? 'color' : chosen || (colorless ? PALETTES : 'color');
  const facets = FACETS.filter((one) => one.id !== PALETTES || colorless);
  const style = useStyleChoice(facet === STYLE);
  const palette = usePaletteChoice(facet === PALETTES);
  const [matrix, setMatrix] = useState(true);
  const [guide, setGuide] = useState(false);
  if (guide) return <GuideView close={() => setGuide(false)} />;
  return (
    <>
      <div className="facet-pane">
        <div className="facet-head">
          <Tabs label="Facets of the system" prefix="facet" tabs={facets} shown={facet} show={setFacet} />
          <button type="button" className="quiet-action" onClick={() => setGuide(true)}>
            Style guide
          </button>
        </div>
        <div id="facet-panel" className="facet" role="tabpanel" tabIndex={0} aria-labelledby={`facet-${facet}`}>
          {FACETS.find((one) => one.id === facet)?.draw({ style, palette })}
        </div>
      </div>
      {facet === PALETTES ? (
        <PaletteWall choice={palette} />
      ) : facet === STYLE ? (
        <StyleWall choice={style} />
      ) : facet === 'shape' ? (
        <div className="beside">
          <div className="beside-bar" role="group" aria-label="Beside the sliders">
            <button type="button" className="width-toggle" aria-pressed={matrix} onClick={() => setMatrix(true)}>
              Matrix
            </button>
            <button type="button" className="width-toggle" aria-pressed={!matrix} onClick={() => setMatrix(false)}>
              Pages
            </button>
          </div>
          {matrix ? <Matrix /> : <Sheet />}
        </div>
      ) : (
        <Sheet />
      )}
    </>
  );
}
