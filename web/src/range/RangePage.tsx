import { Outlet } from 'react-router';

import { Panel } from '../components/Panel';
import { Scroll } from '../components/Scroll';
import { SubNav } from '../components/SubNav';
import { useSnapshot } from '../document/SessionContext';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';

/** How far and how long, what is filled where, and what stands on the axles all along the way? */
export function RangePage() {
  const { selected, subject, onSelect, onShow } = useShown();
  const { job } = useSnapshot();
  return (
    <div className="stage-page">
      <div>
        <SubNav
          label="Sheets of range"
          sheets={[
            { to: '.', label: 'Way' },
            { to: 'stops', label: 'Stops', count: String(job.route.stops.length) },
            { to: 'vessels', label: 'Vessels' },
            { to: 'air', label: 'Air and tyres' },
          ]}
        />
        <div className="stage-forms">
          <Outlet />
        </div>
      </div>
      <Scroll label="Drawing and findings" className="beside">
        <Scene width={440} height={200} selected={selected} subject={subject} onSelect={onSelect} />
        <Panel title="Findings" className="side">
          <Findings onShow={onShow} />
        </Panel>
        <p className="hint power-caution">
          Fuel, water, gas and loads along the way are estimates. Fuel and gas systems belong to licensed people under
          local rules; fuel is carried in approved vessels only. Where something burns, air comes in and an alarm hangs.
        </p>
      </Scroll>
    </div>
  );
}
