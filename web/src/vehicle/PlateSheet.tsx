import { AxlesCard } from './AxlesCard';
import { BodyCard } from './BodyCard';
import { PlateCard } from './PlateCard';
import { StandCard } from './StandCard';
import { TowingCard } from './TowingCard';

/** What the vehicle may weigh, and how it stands. */
export function PlateSheet() {
  return (
    <>
      <PlateCard />
      <AxlesCard />
      <StandCard />
      <TowingCard />
      <BodyCard />
    </>
  );
}
