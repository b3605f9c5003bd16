import { BurnersCard } from './BurnersCard';
import { OutletsCard } from './OutletsCard';
import { VesselsCard } from './VesselsCard';
import { WarmersCard } from './WarmersCard';

/** What tanks and vessels hold, how they are filled and feed each other, and what is drawn from them. */
export function VesselsSheet() {
  return (
    <>
      <VesselsCard />
      <OutletsCard />
      <WarmersCard />
      <BurnersCard />
    </>
  );
}
