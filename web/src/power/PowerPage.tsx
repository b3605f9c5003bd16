import { Outlet } from 'react-router';

import { Panel } from '../components/Panel';
import { Scroll } from '../components/Scroll';
import { SubNav } from '../components/SubNav';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';
import { usePower } from './usePower';

/** Is everything still running on the last morning, what charges it, and is every wire right? */
export function PowerPage() {
  const { selected, subject, onSelect, onShow } = useShown();
  const { electrics, wiring } = usePower();
  return (
    <div className="stage-page">
      <div>
        <SubNav
          label="Sheets of power"
          sheets={[
            { to: '.', label: 'Days', count: String(electrics.loads.length) },
            { to: 'board', label: 'Board', count: String(wiring?.lines.length ?? 0) },
            { to: 'logic', label: 'Logic', count: String(electrics.outputs.length) },
            { to: 'ask', label: 'Ask' },
            { to: 'monitor', label: 'Monitor' },
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
          Sun, use and charge are estimates. Mains voltage and what joins the vehicle’s own wiring belong to licensed
          people under local rules. Lithium is not charged in frost. Never work on a live battery.
        </p>
      </Scroll>
    </div>
  );
}
