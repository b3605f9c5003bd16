import { AssumptionsCard } from './AssumptionsCard';
import { CampCard } from './CampCard';
import { DailyCard } from './DailyCard';
import { LimitsCard } from './LimitsCard';
import { SurfacesCard } from './SurfacesCard';
import { TravellersCard } from './TravellersCard';
import { TripCard } from './TripCard';
import { WishesCard } from './WishesCard';

/** Who travels, how long, how far, and how they live. */
export function PeopleSheet() {
  return (
    <>
      <TravellersCard />
      <div className="column">
        <TripCard />
        <SurfacesCard />
      </div>
      <div className="column">
        <CampCard />
        <LimitsCard />
        <DailyCard />
      </div>
      <WishesCard />
      <AssumptionsCard />
    </>
  );
}
