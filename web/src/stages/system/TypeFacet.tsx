import { useState } from 'react';
import { Toggles } from '../../parts/Toggles';
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
        <Toggles label="Views of type" options={VIEWS} shown={view} show={setView} />
      </div>
      <div className="type-facet">{VIEWS.find((one) => one.id === view)?.draw()}</div>
    </div>
  );
}
