import { StagePage } from '../job/StagePage';
import { usePower } from './usePower';

/** Is everything still running on the last morning, what charges it, and is every wire right? */
export function PowerPage() {
  const { electrics, wiring } = usePower();
  return (
    <StagePage
      label="Sheets of power"
      sheets={[
        { to: '.', label: 'Days', count: String(electrics.loads.length) },
        { to: 'board', label: 'Board', count: String(wiring?.lines.length ?? 0) },
        { to: 'logic', label: 'Logic', count: String(electrics.outputs.length) },
        { to: 'ask', label: 'Ask' },
        { to: 'monitor', label: 'Monitor' },
      ]}
      caution="Sun, use and charge are estimates. Mains voltage and what joins the vehicle’s own wiring belong to licensed people under local rules. Lithium is not charged in frost. Never work on a live battery."
    />
  );
}
