import { Outlet } from 'react-router';

import { Panel } from '../components/Panel';
import { Scroll } from '../components/Scroll';
import { SubNav } from '../components/SubNav';
import { useSnapshot } from '../document/SessionContext';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';
import { useHandoverAsked } from './useHandover';

/** What is tried, papers and keys, what the customer is given, and what the seasons showed. */
export function HandoverPage() {
  const state = useHandoverAsked();
  const { subject, selected, onSelect, onShow } = useShown();
  const { assessment } = useSnapshot();
  const figures = assessment?.handover;
  const open = (n: number | undefined) => (n ? String(n) : '');
  return (
    <div className="stage-page">
      <div>
        <SubNav
          label="Sheets of the handover"
          sheets={[
            { to: '.', label: 'Tests', count: figures ? `${figures.passed} of ${figures.tests}` : '' },
            { to: 'papers', label: 'Papers and keys', count: open(figures?.papers) },
            { to: 'walk', label: 'Walk-round', count: open(figures?.walk) },
            { to: 'pack', label: 'Pack' },
            { to: 'seasons', label: 'Seasons' },
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
                Gathering tests and papers…
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
          Gas, mains voltage, belts, brakes and structure are tried and signed by licensed people under local rules.
          What did not pass stays locked out and tagged.
        </p>
      </Scroll>
    </div>
  );
}
