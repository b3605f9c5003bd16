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
  return (
    <div className="vehicle-page">
      <PlateCard />
      <BaselineCard />
      <BodyCard />
      <PartsCard />
      <TanksCard />
      <SeatsCard />
      <TowingCard />
      <ExtensionCard />
    </div>
  );
}
