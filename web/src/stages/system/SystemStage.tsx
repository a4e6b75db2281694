import { useState } from 'react';
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
  const move = (event: React.KeyboardEvent, index: number) => {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const next = FACETS[(index + step + FACETS.length) % FACETS.length];
    if (!step || !next) return;
    setFacet(next.id);
    document.getElementById(`facet-${next.id}`)?.focus();
  };
  return (
    <>
      <div className="facet-pane">
        <div className="facets" role="tablist" aria-label="Facets of the system">
          {FACETS.map((one, index) => (
            <button
              key={one.id}
              id={`facet-${one.id}`}
              type="button"
              role="tab"
              aria-selected={facet === one.id}
              aria-controls="facet-panel"
              tabIndex={facet === one.id ? 0 : -1}
              onClick={() => setFacet(one.id)}
              onKeyDown={(event) => move(event, index)}
            >
              {one.name}
            </button>
          ))}
        </div>
        <div id="facet-panel" className="facet" role="tabpanel" aria-labelledby={`facet-${facet}`}>
          {FACETS.find((one) => one.id === facet)?.draw()}
        </div>
      </div>
      <Sheet />
    </>
  );
}
