import type { HelperBag, TyrePressure } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { axles, bagAxles, yesses } from '../words/range';
import { usePlumbing } from './usePlumbing';
import { useRange } from './useRange';

/** The compressor, its hose and what it reaches, and the workshop's table of tyre pressures. */
export function AirSheet() {
  const { job, plumbing, trip, edit, line, input, say, unit, origin, itemOptions } = usePlumbing();
  const { view } = useRange();
  const { air, pressures } = plumbing;
  const figures = trip?.air;
  const metres = (m: number) => (job.units === 'us' ? `${(m / 0.3048).toFixed(1)} ft` : `${m.toFixed(1)} m`);
  type Coupling = (typeof air.couplings)[number];
  const coupling = (c: { id: string }, change: (x: Coupling) => void) => (p: typeof plumbing) =>
    on(p.air.couplings, c.id, change);
  return (
    <>
      <Panel title="Air" className="wide" note="Times and lengths are estimates">
        <div className="days-forms">
          <div className="form">
            <Field label="Compressor">
              <SelectField
                label="What the compressor is"
                value={air.item}
                options={itemOptions}
                onCommit={(v) => edit('What the compressor is', (p) => (p.air.item = v))}
              />
            </Field>
            {line(
              'Free air at the mean pressure',
              air.free,
              'airflow',
              (p, v) => (p.air.free = v),
              'Of the compressor; empty: none',
              true,
            )}
            {line(
              'May run at once, min',
              air.minutes,
              'plain',
              (p, v) => (p.air.minutes = v),
              'Empty: without end',
              true,
            )}
            {line('Rests then, min', air.rest, 'plain', (p, v) => (p.air.rest = v), undefined, true)}
            {line('Hose', air.hose * 1000, 'length', (p, v) => (p.air.hose = v / 1000), undefined, true)}
          </div>
          <div className="form">
            {line('Tyres, nominal width', air.width, 'length', (p, v) => (p.air.width = v), undefined, true)}
            {line('Rim, radius', air.rim, 'length', (p, v) => (p.air.rim = v), undefined, true)}
            {line('How many are filled', air.tyres, 'plain', (p, v) => (p.air.tyres = v), 'Empty: four', true)}
            {line('Let down to', air.low, 'pressure', (p, v) => (p.air.low = v), undefined, true)}
            {line('Filled again to', air.high, 'pressure', (p, v) => (p.air.high = v), undefined, true)}
          </div>
          <div className="form">
            {figures && figures.minutes > 0 && (
              <p data-inflation>
                <b className="figure">{figures.minutes.toFixed(1)} min</b> to fill all tyres
                {figures.withRests > figures.minutes + 0.05 && `, ${figures.withRests.toFixed(0)} min with its rests`},
                of {say(figures.volume, 'volume')} each
              </p>
            )}
            <ul className="wheels">
              {figures?.wheels.map((w) => (
                <li key={w.wheel} data-wheel={w.wheel} className={w.reached ? '' : 'over'}>
                  {w.wheel}: <b className="figure">{metres(w.hose)}</b> from {w.coupling}
                  {w.reached ? '' : ', not reached'}
                </li>
              ))}
            </ul>
          </div>
        </div>
        <ThingTable
          label="Couplings"
          what="Coupling"
          things={air.couplings}
          empty="No place where the hose begins is entered."
          onRename={(c, name) =>
            edit(
              'Name of a coupling',
              coupling(c, (x) => (x.name = name)),
            )
          }
          onRemove={(c) => edit(`Remove ${c.name}`, (p) => drop(p.air.couplings, c.id))}
          columns={[
            {
              head: `Station ${unit('length')}`,
              cell: (c) =>
                input(`Station of ${c.name}`, c.at.x - origin, 'length', (p, v) =>
                  coupling(c, (x) => (x.at.x = v + origin))(p),
                ),
            },
            {
              head: `Side ${unit('length')}`,
              title: 'Right of the centre line; left is negative',
              cell: (c) => input(`Side of ${c.name}`, c.at.y, 'length', (p, v) => coupling(c, (x) => (x.at.y = v))(p)),
            },
            {
              head: `Height ${unit('length')}`,
              cell: (c) =>
                input(`Height of ${c.name}`, c.at.z, 'length', (p, v) => coupling(c, (x) => (x.at.z = v))(p)),
            },
          ]}
        />
        <ThingTable<HelperBag>
          label="Helper bags"
          what="Helper bag"
          things={air.bags}
          empty="No helper bags are entered."
          onRename={(b, name) => edit('Name of a bag', (p) => on(p.air.bags, b.id, (x) => (x.name = name)))}
          onRemove={(b) => edit(`Remove ${b.name}`, (p) => drop(p.air.bags, b.id))}
          columns={[
            {
              head: 'Axle',
              words: true,
              cell: (b) => (
                <SelectField
                  label={`Axle of ${b.name}`}
                  value={b.axle}
                  options={bagAxles}
                  onCommit={(v) => edit(`Axle of ${b.name}`, (p) => on(p.air.bags, b.id, (x) => (x.axle = v)))}
                />
              ),
            },
            {
              head: 'Valve by hand',
              words: true,
              cell: (b) => (
                <SelectField
                  label={`Valve by hand of ${b.name}`}
                  value={b.manual}
                  options={yesses}
                  onCommit={(v) => edit(`Valve of ${b.name}`, (p) => on(p.air.bags, b.id, (x) => (x.manual = v)))}
                />
              ),
            },
          ]}
        />
        <p className="list-adds">
          <AddButton
            label="Add coupling"
            onClick={() =>
              edit('Add coupling', (p) =>
                p.air.couplings.push({
                  id: newId(p.air.couplings, 'coupling'),
                  name: 'New coupling',
                  at: { x: 4000, y: 0, z: 600 },
                }),
              )
            }
          />
          <AddButton
            label="Add helper bag"
            onClick={() =>
              edit('Add helper bag', (p) =>
                p.air.bags.push({ id: newId(p.air.bags, 'bag'), name: 'New bag', axle: 'rear', manual: '' }),
              )
            }
          />
        </p>
      </Panel>
      <Panel
        title="Tyre pressures"
        className="wide"
        note="The workshop’s own table, cold; the tyre maker’s has the last word"
        actions={
          <AddButton
            label="Add line"
            onClick={() =>
              edit('Add pressure', (p) =>
                p.pressures.push({
                  id: newId(p.pressures, 'pressure'),
                  axle: 'rear',
                  surface: '',
                  upTo: 1500,
                  kpa: 250,
                  bags: 0,
                  note: '',
                }),
              )
            }
          />
        }
      >
        {pressures.length === 0 ? (
          <p className="empty">
            No pressure is entered. With a line for each load, every leg and the card tell what its tyres want.
          </p>
        ) : (
          <div className="table-wrap">
            <table className="sheet-table" aria-label="Tyre pressures">
              <thead>
                <tr>
                  <th scope="col">Axle</th>
                  <th scope="col">On</th>
                  <th scope="col" className="over-figures">
                    Up to {unit('mass')}
                  </th>
                  <th scope="col" className="over-figures">
                    {unit('pressure')}
                  </th>
                  <th scope="col" className="over-figures">
                    Bags {unit('pressure')}
                  </th>
                  <th scope="col">Note</th>
                  <th scope="col" className="col-remove">
                    <span className="visually-hidden">Remove</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {pressures.map((t, i) => {
                  const set = (change: (x: TyrePressure) => void) => (p: typeof plumbing) =>
                    on(p.pressures, t.id, change);
                  const n = `line ${i + 1}`;
                  return (
                    <tr key={t.id} data-thing={t.id}>
                      <td>
                        <SelectField
                          label={`Axle of ${n}`}
                          value={t.axle}
                          options={axles}
                          onCommit={(v) =>
                            edit(
                              'Axle',
                              set((x) => (x.axle = v)),
                            )
                          }
                        />
                      </td>
                      <td>
                        <SelectField
                          label={`Surface of ${n}`}
                          value={t.surface}
                          options={[
                            { value: '', label: 'Every surface' },
                            ...job.brief.surfaces.map((s) => ({ value: s.id, label: s.name })),
                          ]}
                          onCommit={(v) =>
                            edit(
                              'Surface',
                              set((x) => (x.surface = v)),
                            )
                          }
                        />
                      </td>
                      <td>{input(`Axle load of ${n}`, t.upTo, 'mass', (p, v) => set((x) => (x.upTo = v))(p))}</td>
                      <td>{input(`Pressure of ${n}`, t.kpa, 'pressure', (p, v) => set((x) => (x.kpa = v))(p))}</td>
                      <td>{input(`Bags of ${n}`, t.bags, 'pressure', (p, v) => set((x) => (x.bags = v))(p), true)}</td>
                      <td>
                        <TextField
                          label={`Note of ${n}`}
                          value={t.note}
                          maxLength={200}
                          onCommit={(v) =>
                            edit(
                              'Note',
                              set((x) => (x.note = v)),
                            )
                          }
                        />
                      </td>
                      <td>
                        <RemoveButton
                          label={`Remove ${n}`}
                          onClick={() => edit('Remove pressure', (p) => drop(p.pressures, t.id))}
                        />
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        )}
        {(trip?.pressures.length ?? 0) > 0 && view && (
          <ul className="leg-pressures" aria-label="On the legs">
            {trip?.pressures.map((p) => (
              <li key={p.leg} data-leg-pressure={p.leg}>
                From {view.route[p.leg]?.name}: front{' '}
                <b className="figure">{p.front > 0 ? say(p.front, 'pressure') : 'not in the table'}</b>, rear{' '}
                <b className="figure">{p.rear > 0 ? say(p.rear, 'pressure') : 'not in the table'}</b>
                {p.bags > 0 && `, bags ${say(p.bags, 'pressure')}`}
                {p.note !== '' && `, ${p.note}`}
              </li>
            ))}
          </ul>
        )}
      </Panel>
    </>
  );
}
