import { useSearchParams } from 'react-router';

import { useSnapshot } from '../document/SessionContext';
import { StagePage } from '../job/StagePage';
import { PartPicture } from './PartPicture';
import { useBuildAsked } from './useBuild';

/** What is cut, bought and paid, and in which order it goes together. */
export function BuildPage() {
  const state = useBuildAsked();
  const { assessment } = useSnapshot();
  const [search] = useSearchParams();
  const chosen = state.view?.panels.find((p) => p.mark === search.get('part'));
  const left = (assessment?.build.steps ?? 0) - (assessment?.build.done ?? 0);
  return (
    <StagePage
      label="Sheets of the build"
      sheets={[
        { to: '.', label: 'Cut', count: String(assessment?.build.panels ?? '') },
        { to: 'buy', label: 'Buy' },
        { to: 'cost', label: 'Cost' },
        { to: 'order', label: 'Order', count: left > 0 ? String(left) : '' },
        { to: 'papers', label: 'Papers' },
      ]}
      asked={state}
      waiting="Laying out the sheets…"
      chosen={chosen?.module}
      drawn={chosen && state.view && <PartPicture view={state.view} panel={chosen} />}
      caution="Hours and prices are estimates. Measure the first piece of each size before the rest is cut. Saws, glue, solvents and heavy parts hurt: guard, air, gloves, a second pair of hands. Gas, mains voltage, belts and structure belong to licensed people under local rules."
    />
  );
}
