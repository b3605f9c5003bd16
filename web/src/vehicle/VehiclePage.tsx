import { Panel } from '../components/Panel';
import { Findings } from '../findings/Findings';
import { Scene } from '../scene/Scene';
import { useShown } from '../scene/useShown';
import { BaselineCard } from './BaselineCard';
import { BodyCard } from './BodyCard';
import { ExtensionCard } from './ExtensionCard';
import { PartsCard } from './PartsCard';
import { PlateCard } from './PlateCard';
import { SeatsCard } from './SeatsCard';
import { TanksCard } from './TanksCard';
import { TowingCard } from './TowingCard';

/** The vehicle as it stands: what it may weigh, what it weighs, and what of it changes. */
export function VehiclePage() {
  const { selected, subject, onSelect, onShow } = useShown();
  return (
    <div className="vehicle-page">
      <div className="vehicle-forms">
        <div className="column">
          <PlateCard />
          <TowingCard />
        </div>
        <div className="column">
          <BaselineCard />
          <ExtensionCard />
        </div>
        <PartsCard />
        <TanksCard />
        <SeatsCard />
        <BodyCard />
      </div>
      <div className="beside">
        <Scene width={440} height={230} selected={selected} subject={subject} onSelect={onSelect} />
        <Panel title="Findings" className="side">
          <Findings onShow={onShow} />
        </Panel>
      </div>
    </div>
  );
}
