import { useSnapshot } from '../document/SessionContext';
import { StagePage } from '../job/StagePage';
import { useWeighAsked } from './useWeigh';

/** What it really weighs, part by part and as a whole, against the plan. */
export function WeighPage() {
  const state = useWeighAsked();
  const weigh = useSnapshot().assessment?.weigh;
  return (
    <StagePage
      label="Sheets of the weigh-in"
      sheets={[
        { to: '.', label: 'Parts', count: weigh ? `${weigh.weighed} of ${weigh.things}` : '' },
        { to: 'scale', label: 'On the scale', count: weigh && weigh.weighIns > 0 ? String(weigh.weighIns) : '' },
      ]}
      asked={state}
      waiting="Adding up what was weighed…"
      caution="Chock the wheels before anybody goes beneath; stand clear of what hangs from a hoist. These are no legal weighings: where the law asks, a public weighbridge has the last word."
    >
      {weigh && weigh.calibrated !== '' && (
        <p className="calibrated" role="status">
          The plan goes by a scale: {weigh.calibrated}. Every load and band follows from it.
        </p>
      )}
    </StagePage>
  );
}
