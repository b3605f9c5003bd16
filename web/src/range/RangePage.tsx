import { useSnapshot } from '../document/SessionContext';
import { StagePage } from '../job/StagePage';

/** How far and how long, what is filled where, and what stands on the axles all along the way? */
export function RangePage() {
  const { job } = useSnapshot();
  return (
    <StagePage
      label="Sheets of range"
      sheets={[
        { to: '.', label: 'Way' },
        { to: 'stops', label: 'Stops', count: String(job.route.stops.length) },
        { to: 'vessels', label: 'Vessels' },
        { to: 'air', label: 'Air and tyres' },
      ]}
      caution="Fuel, water, gas and loads along the way are estimates. Fuel and gas systems belong to licensed people under local rules; fuel is carried in approved vessels only. Where something burns, air comes in and an alarm hangs."
    />
  );
}
