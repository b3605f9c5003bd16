import { Outlet, useMatch } from 'react-router';

import { Panel } from '../components/Panel';
import { Scroll } from '../components/Scroll';
import { SubNav } from '../components/SubNav';
import { useSnapshot } from '../document/SessionContext';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';

/** The vehicle as it stands: what it may weigh, what it weighs, what is on it, and the room in it. */
export function VehiclePage() {
  const { selected, subject, onSelect, onShow } = useShown();
  const { vehicle } = useSnapshot().job;
  // The space sheet draws the vehicle itself, in three views.
  const drawn = useMatch('/jobs/:id/vehicle/space') !== null;
  return (
    <div className="stage-page">
      <div>
        <SubNav
          label="Sheets of the vehicle"
          sheets={[
            { to: '.', label: 'Plate' },
            { to: 'weight', label: 'Weight' },
            { to: 'fitted', label: 'On it', count: String(vehicle.modifications.length) },
            { to: 'space', label: 'Space', count: String(vehicle.bays.length) },
          ]}
        />
        <div className="stage-forms">
          <Outlet />
        </div>
      </div>
      <Scroll label="Drawing and findings" className="beside">
        {!drawn && <Scene width={440} height={230} selected={selected} subject={subject} onSelect={onSelect} />}
        <Panel title="Findings" className="side">
          <Findings onShow={onShow} />
        </Panel>
      </Scroll>
    </div>
  );
}
