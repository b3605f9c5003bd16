import type { Vehicle } from '../api/types';
import { Panel } from '../components/Panel';
import { capital, useVocabulary } from '../words/words';
import { useVehicleEdit } from './useVehicleEdit';

/** Tyres and springs of each axle. */
export function AxlesCard() {
  const { job, vehicle, input, box, unit } = useVehicleEdit();
  const tyre = useVocabulary()(job.region, 'tyre').word;
  const axles: { key: 'front' | 'rear'; label: string }[] = [
    { key: 'front', label: 'Front axle' },
    { key: 'rear', label: 'Rear axle' },
  ];
  const set = (key: 'front' | 'rear', change: (axle: Vehicle['front']) => void) => (v: Vehicle) => change(v[key]);
  return (
    <Panel title={`${capital(tyre)}s and springs`} className="wide" note="Empty means not known">
      <table className="sheet-table" aria-label="Axles">
        <thead>
          <tr>
            <th scope="col">Axle</th>
            <th
              scope="col"
              className="over-figures"
              title={`The number before the speed letter on the ${tyre}’s side wall, 70 to 130`}
            >
              Load index
            </th>
            <th scope="col" className="centred" title="Two on each side">
              Dual
            </th>
            <th scope="col" className="over-figures" title="The second figure on the side wall, for dual fitment">
              Dual index
            </th>
            <th scope="col" className="over-figures" title="Of the spring, at the wheel">
              Rate {unit('rate')}
            </th>
            <th scope="col" className="over-figures" title="From the unladen height to the bump stop">
              To the stop {unit('length')}
            </th>
          </tr>
        </thead>
        <tbody>
          {axles.map(({ key, label }) => (
            <tr key={key} data-thing={`${key}-tyre`}>
              <th scope="row">{label}</th>
              <td>
                {input(
                  `Load index, ${key}`,
                  vehicle[key].tyre.index,
                  'plain',
                  (v, n) => set(key, (a) => (a.tyre.index = Math.round(n)))(v),
                  true,
                )}
              </td>
              <td className="centred">
                {box(`Dual, ${key}`, vehicle[key].tyre.dual, (v, yes) => set(key, (a) => (a.tyre.dual = yes))(v))}
              </td>
              <td>
                {input(
                  `Dual index, ${key}`,
                  vehicle[key].tyre.dualIndex,
                  'plain',
                  (v, n) => set(key, (a) => (a.tyre.dualIndex = Math.round(n)))(v),
                  true,
                )}
              </td>
              <td>
                {input(
                  `Spring rate, ${key}`,
                  vehicle[key].rate,
                  'rate',
                  (v, k) => set(key, (a) => (a.rate = k))(v),
                  true,
                )}
              </td>
              <td>
                {input(
                  `Way to the bump stop, ${key}`,
                  vehicle[key].bump,
                  'length',
                  (v, mm) => set(key, (a) => (a.bump = mm))(v),
                  true,
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Panel>
  );
}
