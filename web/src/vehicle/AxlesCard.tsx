import type { Vehicle } from '../api/types';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { chosenVariant } from '../document/SessionContext';
import { capital, useVocabulary } from '../words/words';
import { useVehicleEdit } from './useVehicleEdit';

/** Tyres and springs of each axle. */
export function AxlesCard() {
  const { job, vehicle, edit, input, box, unit } = useVehicleEdit();
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
            </tr>
          ))}
        </tbody>
      </table>
      <table className="sheet-table" aria-label="Springs">
        <thead>
          <tr>
            <th scope="col">Axle</th>
            <th scope="col" className="over-figures" title="Of the spring, at the wheel">
              Rate {unit('rate')}
            </th>
            <th scope="col" className="over-figures" title="From a deflection on; empty is one rate">
              Second rate {unit('rate')}
            </th>
            <th scope="col" className="over-figures" title="Where the second rate begins, down from the unladen height">
              It begins {unit('length')}
            </th>
            <th scope="col" className="over-figures" title="From the unladen height to the bump stop">
              To the stop {unit('length')}
            </th>
            <th scope="col" title="In which case it should stand so: springs are then asked for by that height">
              Should stand, in
            </th>
            <th scope="col" className="over-figures" title="At most so far below the unladen height">
              At most down {unit('length')}
            </th>
          </tr>
        </thead>
        <tbody>
          {axles.map(({ key, label }) => {
            const axle = vehicle[key];
            return (
              <tr key={key} data-thing={`${key}-axle`}>
                <th scope="row">{label}</th>
                <td>
                  {input(`Spring rate, ${key}`, axle.rate, 'rate', (v, k) => set(key, (a) => (a.rate = k))(v), true)}
                </td>
                <td>
                  {input(
                    `Second spring rate, ${key}`,
                    axle.second,
                    'rate',
                    (v, k) => set(key, (a) => (a.second = k))(v),
                    true,
                  )}
                </td>
                <td>
                  {axle.second > 0 &&
                    input(`Where the second rate begins, ${key}`, axle.from, 'length', (v, mm) =>
                      set(key, (a) => (a.from = mm))(v),
                    )}
                </td>
                <td>
                  {input(
                    `Way to the bump stop, ${key}`,
                    axle.bump,
                    'length',
                    (v, mm) => set(key, (a) => (a.bump = mm))(v),
                    true,
                  )}
                </td>
                <td>
                  <SelectField
                    label={`Case in which the ${key} should stand so`}
                    value={axle.wanted ? `=${axle.wanted.case}` : ''}
                    options={[
                      { value: '', label: 'Nobody said' },
                      { value: '=', label: 'The state shown' },
                      ...chosenVariant(job).cases.map((c) => ({ value: `=${c.id}`, label: c.name })),
                    ]}
                    onCommit={(chosen) =>
                      edit(`How the ${key} should stand`, (v) =>
                        set(key, (a) => {
                          if (chosen === '') delete a.wanted;
                          else a.wanted = { down: a.wanted?.down ?? 0, case: chosen.slice(1) };
                        })(v),
                      )
                    }
                  />
                </td>
                <td>
                  {axle.wanted &&
                    input(`Most that the ${key} should be down`, axle.wanted.down, 'length', (v, mm) =>
                      set(key, (a) => {
                        if (a.wanted) a.wanted.down = mm;
                      })(v),
                    )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Panel>
  );
}
