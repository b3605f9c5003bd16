import { useSnapshot } from '../document/SessionContext';
import { StagePage } from '../job/StagePage';
import { useHandoverAsked } from './useHandover';

const open = (n: number | undefined) => (n ? String(n) : '');

/** What is tried, papers and keys, what the customer is given, and what the seasons showed. */
export function HandoverPage() {
  const state = useHandoverAsked();
  const figures = useSnapshot().assessment?.handover;
  return (
    <StagePage
      label="Sheets of the handover"
      sheets={[
        { to: '.', label: 'Tests', count: figures ? `${figures.passed} of ${figures.tests}` : '' },
        { to: 'papers', label: 'Papers and keys', count: open(figures?.papers) },
        { to: 'walk', label: 'Walk-round', count: open(figures?.walk) },
        { to: 'pack', label: 'Pack' },
        { to: 'seasons', label: 'Seasons' },
      ]}
      asked={state}
      waiting="Gathering tests and papers…"
      caution="Gas, mains voltage, belts, brakes and structure are tried and signed by licensed people under local rules. What did not pass stays locked out and tagged."
    />
  );
}
