import { BodyMountsCard } from './BodyMountsCard';
import { CarrierCard } from './CarrierCard';
import { MarksCard } from './MarksCard';
import { ModificationsCard } from './ModificationsCard';
import { MountsCard } from './MountsCard';
import { SeatsCard } from './SeatsCard';
import { TanksCard } from './TanksCard';

/** What is on the vehicle: modifications, tanks, seats, points to fix to, and what must stay free. */
export function FittedSheet() {
  return (
    <>
      <ModificationsCard />
      <TanksCard />
      <SeatsCard />
      <MountsCard />
      <BodyMountsCard />
      <CarrierCard />
      <MarksCard />
    </>
  );
}
