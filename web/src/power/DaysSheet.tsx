import { BatteriesCard } from './BatteriesCard';
import { CourseCard } from './CourseCard';
import { DaysCard } from './DaysCard';
import { LoadsCard } from './LoadsCard';
import { SourcesCard } from './SourcesCard';

/** What runs and what charges it, over the days. */
export function DaysSheet() {
  return (
    <>
      <CourseCard />
      <LoadsCard />
      <SourcesCard />
      <BatteriesCard />
      <DaysCard />
    </>
  );
}
