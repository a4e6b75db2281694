import { useState } from 'react';
import { Tabs } from '../../parts/Tabs';
import { Sheet } from '../../sheet/Sheet';
import { LogoFacet } from './LogoFacet';
import { ShapeFacet } from './ShapeFacet';
import { TypeFacet } from './TypeFacet';
import { ValuesFacet } from './ValuesFacet';
import { ColorFacet } from './ColorFacet';

const FACETS = [
  { id: 'color', name: 'Colour', draw: () => <ColorFacet /> },
  { id: 'type', name: 'Type', draw: () => <TypeFacet /> },
  { id: 'shape', name: 'Shape and buttons', draw: () => <ShapeFacet /> },
  { id: 'logo', name: 'Logo', draw: () => <LogoFacet /> },
  { id: 'values', name: 'All values', draw: () => <ValuesFacet /> },
];

/** Stage 2: the resolved system, facet by facet, beside all pages. */
export function SystemStage() {
  const [facet, setFacet] = useState('color');
  return (
    <>
      <div className="facet-pane">
        <Tabs label="Facets of the system" prefix="facet" tabs={FACETS} shown={facet} show={setFacet} />
        <div id="facet-panel" className="facet" role="tabpanel" tabIndex={0} aria-labelledby={`facet-${facet}`}>
          {FACETS.find((one) => one.id === facet)?.draw()}
        </div>
      </div>
      <Sheet />
    </>
  );
}
