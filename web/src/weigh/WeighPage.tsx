import { Outlet } from 'react-router';

import { Panel } from '../components/Panel';
import { Scroll } from '../components/Scroll';
import { SubNav } from '../components/SubNav';
import { useSnapshot } from '../document/SessionContext';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';
import { useWeighAsked } from './useWeigh';

/** What it really weighs, part by part and as a whole, against the plan. */
export function WeighPage() {
  const state = useWeighAsked();
  const { subject, selected, onSelect, onShow } = useShown();
  const { assessment } = useSnapshot();
  const weigh = assessment?.weigh;
  return (
    <div className="stage-page">
      <div>
        <SubNav
          label="Sheets of the weigh-in"
          sheets={[
            { to: '.', label: 'Parts', count: weigh ? `${weigh.weighed} of ${weigh.things}` : '' },
            { to: 'scale', label: 'On the scale', count: weigh && weigh.weighIns > 0 ? String(weigh.weighIns) : '' },
          ]}
        />
        <div className="stage-forms">
          {state.trouble !== '' && (
            <p className="trouble" role="alert">
              {state.trouble}
            </p>
          )}
          {weigh && weigh.calibrated !== '' && (
            <p className="calibrated" role="status">
              The plan goes by a scale: {weigh.calibrated}. Every load and band follows from it.
            </p>
          )}
          {state.view ? (
            <Outlet context={state} />
          ) : (
            state.trouble === '' && (
              <p className="empty" aria-busy="true">
                Adding up what was weighed…
              </p>
            )
          )}
        </div>
      </div>
      <Scroll label="Drawing and findings" className="beside">
        <Scene width={440} height={200} selected={selected} subject={subject} onSelect={onSelect} />
        <Panel title="Findings" className="side">
          <Findings onShow={onShow} />
        </Panel>
        <p className="hint power-caution">
          Chock the wheels before anybody goes beneath; stand clear of what hangs from a hoist. These are no legal
          weighings: where the law asks, a public weighbridge has the last word.
        </p>
      </Scroll>
    </div>
  );
}
