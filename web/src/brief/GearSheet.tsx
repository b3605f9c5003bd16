import { GearCard } from './GearCard';
import { LaterCard } from './LaterCard';

/** What must come along, now and later. */
export function GearSheet() {
  return (
    <>
      <GearCard />
      <LaterCard />
    </>
  );
}
