import { TripCard } from './TripCard';
import { StopsCard } from './StopsCard';

/** The stops and the legs between them, and what holds for the whole way. */
export function StopsSheet() {
  return (
    <>
      <StopsCard />
      <TripCard />
    </>
  );
}
