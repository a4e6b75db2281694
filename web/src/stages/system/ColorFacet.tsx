import { useState } from 'react';
import { Toggles } from '../../parts/Toggles';
import { InksView } from './InksView';
import { PolicyBar } from './PolicyBar';
import { ReachView } from './ReachView';
import { SharesView } from './SharesView';
import { Wiring } from './Wiring';

const VIEWS = [
  { id: 'wiring', name: 'Wiring', draw: () => <Wiring /> },
  { id: 'inks', name: 'Inks on grounds', draw: () => <InksView /> },
  { id: 'shares', name: 'Shares', draw: () => <SharesView /> },
  { id: 'reach', name: 'Reach', draw: () => <ReachView /> },
];

/** Colour: as wiring, as a table of inks on grounds, and by its reach. */
export function ColorFacet() {
  const [view, setView] = useState('wiring');
  return (
    <div className="color-views">
      <div className="color-bar">
        <Toggles label="Views of colour" options={VIEWS} shown={view} show={setView} />
        <PolicyBar />
      </div>
      {VIEWS.find((one) => one.id === view)?.draw()}
    </div>
  );
}
