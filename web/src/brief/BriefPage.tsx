import { Outlet } from 'react-router';

import { Scroll } from '../components/Scroll';
import { SubNav } from '../components/SubNav';
import { useSnapshot } from '../document/SessionContext';
import { Panel } from '../components/Panel';
import { Findings } from '../findings/Findings';
import { ImpliedPanel } from './ImpliedPanel';

/** What the customer wants and needs, and what follows from it. */
export function BriefPage() {
  const { job } = useSnapshot();
  const { gear, choices } = job.brief;
  return (
    <div className="stage-page">
      <div>
        <SubNav
          label="Sheets of the brief"
          sheets={[
            { to: '.', label: 'People and trip' },
            { to: 'gear', label: 'Gear', count: String(gear.length) },
            { to: 'ways', label: 'Ways of doing it', count: String(choices.length) },
          ]}
        />
        <div className="stage-forms">
          <Outlet />
        </div>
      </div>
      <Scroll label="What follows and findings" className="beside">
        <ImpliedPanel />
        <Panel title="Findings" className="side">
          <Findings />
        </Panel>
      </Scroll>
    </div>
  );
}
