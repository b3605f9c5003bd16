import { BaselineCard } from './BaselineCard';
import { ExtensionCard } from './ExtensionCard';
import { PartsCard } from './PartsCard';
import { TicketsCard } from './TicketsCard';

/** What the vehicle weighs as it stands, and what of it changes. */
export function WeightSheet() {
  return (
    <>
      <BaselineCard />
      <ExtensionCard />
      <TicketsCard />
      <PartsCard />
    </>
  );
}
