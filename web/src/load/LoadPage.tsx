import { useState } from 'react';
import Tab from 'react-bootstrap/Tab';

import { Scroll } from '../components/Scroll';
import { SideTabs } from '../components/SideTabs';
import { findingsHidden } from '../document/exercise';
import { useSnapshot } from '../document/SessionContext';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';
import { CsvImport } from './CsvImport';
import { FiguresPanel } from './FiguresPanel';
import { ItemPanel } from './ItemPanel';
import { Ledger } from './Ledger';
import { StatePanel } from './StatePanel';

/** What stands where on the vehicle: scene, ledger, and what follows from them. */
export function LoadPage() {
  const { assessment, job } = useSnapshot();
  const { selected, subject, onSelect, onShow } = useShown();
  const [importing, setImporting] = useState(false);
  const [tab, setTab] = useState('findings');
  return (
    <div className="load-page">
      <div className="desk">
        <Scene height={282} selected={selected} subject={subject} onSelect={onSelect} />
        {importing ? (
          <CsvImport onClose={() => setImporting(false)} />
        ) : (
          <Ledger selected={selected} onSelect={onSelect} onImport={() => setImporting(true)} />
        )}
      </div>
      <aside className="sheet side" aria-label="About this state" tabIndex={-1}>
        <SideTabs id="side" active={tab} onSelect={setTab}>
          <Tab
            eventKey="findings"
            title={`Findings ${findingsHidden(job) ? '?' : (assessment?.findings.length ?? '')}`}
          >
            <Scroll label="Findings">
              <Findings onShow={onShow} />
            </Scroll>
          </Tab>
          <Tab eventKey="item" title="Item">
            <Scroll label="Item">
              <ItemPanel selected={selected} />
            </Scroll>
          </Tab>
          <Tab eventKey="state" title="State">
            <Scroll label="State">
              <StatePanel />
            </Scroll>
          </Tab>
          <Tab eventKey="figures" title="Figures">
            <Scroll label="Figures">
              <FiguresPanel />
            </Scroll>
          </Tab>
        </SideTabs>
      </aside>
    </div>
  );
}
