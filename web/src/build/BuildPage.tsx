import { Outlet, useSearchParams } from 'react-router';

import { Panel } from '../components/Panel';
import { Scroll } from '../components/Scroll';
import { SubNav } from '../components/SubNav';
import { useSnapshot } from '../document/SessionContext';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';
import { PartPicture } from './PartPicture';
import { useBuildAsked } from './useBuild';

/** What is cut, bought and paid, and in which order it goes together. */
export function BuildPage() {
  const state = useBuildAsked();
  const { subject, selected, onSelect, onShow } = useShown();
  const { assessment } = useSnapshot();
  const [search] = useSearchParams();
  const chosen = state.view?.panels.find((p) => p.mark === search.get('part'));
  const left = (assessment?.build.steps ?? 0) - (assessment?.build.done ?? 0);
  return (
    <div className="stage-page">
      <div>
        <SubNav
          label="Sheets of the build"
          sheets={[
            { to: '.', label: 'Cut', count: String(assessment?.build.panels ?? '') },
            { to: 'buy', label: 'Buy' },
            { to: 'cost', label: 'Cost' },
            { to: 'order', label: 'Order', count: left > 0 ? String(left) : '' },
            { to: 'papers', label: 'Papers' },
          ]}
        />
        <div className="stage-forms">
          {state.trouble !== '' && (
            <p className="trouble" role="alert">
              {state.trouble}
            </p>
          )}
          {state.view ? (
            <Outlet context={state} />
          ) : (
            state.trouble === '' && (
              <p className="empty" aria-busy="true">
                Laying out the sheets…
              </p>
            )
          )}
        </div>
      </div>
      <Scroll label="Drawing and findings" className="beside">
        <Scene width={440} height={200} selected={chosen?.module ?? selected} subject={subject} onSelect={onSelect} />
        {chosen && state.view && <PartPicture view={state.view} panel={chosen} />}
        <Panel title="Findings" className="side">
          <Findings onShow={onShow} />
        </Panel>
        <p className="hint power-caution">
          Hours and prices are estimates. Measure the first piece of each size before the rest is cut. Saws, glue,
          solvents and heavy parts hurt: guard, air, gloves, a second pair of hands. Gas, mains voltage, belts and
          structure belong to licensed people under local rules.
        </p>
      </Scroll>
    </div>
  );
}
