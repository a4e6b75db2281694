import { useState } from 'react';
import { LibraryView } from '../type/LibraryView';
import { PairsView } from '../type/PairsView';
import { Staircase } from '../type/Staircase';

const VIEWS = [
  { id: 'staircase', name: 'Staircase', draw: () => <Staircase /> },
  { id: 'pairs', name: 'Pairs', draw: () => <PairsView /> },
  { id: 'library', name: 'Library', draw: () => <LibraryView /> },
];

/** Type: the scale on the site’s own words, pairs for the brand’s character, and all typefaces. */
export function TypeFacet() {
  const [view, setView] = useState('staircase');
  return (
    <div className="color-views">
      <div className="color-bar">
        <span role="group" aria-label="Views of type">
          {VIEWS.map((one) => (
            <button
              key={one.id}
              type="button"
              className="width-toggle"
              aria-pressed={view === one.id}
              onClick={() => setView(one.id)}
            >
              {one.name}
            </button>
          ))}
        </span>
      </div>
      <div className="type-facet">{VIEWS.find((one) => one.id === view)?.draw()}</div>
    </div>
  );
}
