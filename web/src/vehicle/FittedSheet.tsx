import { ModificationsCard } from './ModificationsCard';
import { MountsCard } from './MountsCard';
import { SeatsCard } from './SeatsCard';
import { TanksCard } from './TanksCard';

/** What is on the vehicle: modifications, tanks, seats, and points to fix to. */
export function FittedSheet() {
  return (
    <>
      <ModificationsCard />
      <TanksCard />
      <SeatsCard />
      <MountsCard />
    </>
  );
}
