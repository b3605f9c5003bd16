import type { Outlet, Pump } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { derived, useDerive } from '../document/useDerive';
import { usePlumbing } from './usePlumbing';

/** Taps and showers with what they give, and the pumps that feed them. */
export function OutletsCard() {
  const { plumbing, trip, edit, input, box, say, unit, origin, vesselOptions, itemOptions } = usePlumbing();
  const derive = useDerive();
  const pumps = [
    { value: '', label: 'Its own weight' },
    ...plumbing.pumps.map((p) => ({ value: p.id, label: p.name })),
  ];
  const set = (o: { id: string }, change: (x: Outlet) => void) => (p: typeof plumbing) => on(p.outlets, o.id, change);
  const setPump = (o: { id: string }, change: (x: Pump) => void) => (p: typeof plumbing) => on(p.pumps, o.id, change);
  return (
    <Panel
      title="Taps and pumps"
      className="wide"
      note="What they give is an estimate"
      actions={
        <>
          <AddButton
            label="Add tap"
            onClick={() =>
              edit('Add tap', (p) =>
                p.outlets.push({
                  id: newId([...p.outlets, ...p.pumps, ...p.burners], 'tap'),
                  name: 'New tap',
                  vessel: '',
                  pump: '',
                  at: { x: 3000, y: 900, z: 800 },
                  bore: 10,
                  hose: 1,
                  loss: 0.5,
                  flow: 0,
                  shut: false,
                  cold: false,
                }),
              )
            }
          />
          <AddButton
            label="Add pump"
            onClick={() =>
              edit('Add pump', (p) =>
                p.pumps.push({
                  id: newId([...p.outlets, ...p.pumps, ...p.burners], 'pump'),
                  name: 'New pump',
                  flow: 10,
                  amps: 5,
                  item: '',
                  spare: false,
                }),
              )
            }
          />
        </>
      }
    >
      <ThingTable<Outlet>
        label="Taps"
        className="taps-table"
        what="Tap"
        things={plumbing.outlets}
        empty="No tap or shower is entered yet."
        onRename={(o, name) =>
          edit(
            'Name of a tap',
            set(o, (x) => (x.name = name)),
          )
        }
        onRemove={(o) => edit(`Remove ${o.name}`, (p) => drop(p.outlets, o.id))}
        columns={[
          {
            head: 'From',
            words: true,
            cell: (o) => (
              <SelectField
                label={`What ${o.name} draws from`}
                value={o.vessel}
                options={vesselOptions}
                onCommit={(v) =>
                  edit(
                    `What ${o.name} draws from`,
                    set(o, (x) => (x.vessel = v)),
                  )
                }
              />
            ),
          },
          {
            head: 'Fed by',
            words: true,
            cell: (o) => (
              <SelectField
                label={`What feeds ${o.name}`}
                value={o.pump}
                options={pumps}
                onCommit={(v) =>
                  edit(
                    `What feeds ${o.name}`,
                    set(o, (x) => (x.pump = v)),
                  )
                }
              />
            ),
          },
          {
            head: `Station ${unit('length')}`,
            cell: (o) =>
              input(`Station of ${o.name}`, o.at.x - origin, 'length', (p, v) =>
                set(o, (x) => (x.at.x = v + origin))(p),
              ),
          },
          {
            head: `Height ${unit('length')}`,
            cell: (o) => input(`Height of ${o.name}`, o.at.z, 'length', (p, v) => set(o, (x) => (x.at.z = v))(p)),
          },
          {
            head: `Bore ${unit('length')}`,
            cell: (o) => input(`Bore of ${o.name}`, o.bore, 'length', (p, v) => set(o, (x) => (x.bore = v))(p), true),
          },
          {
            head: `Hose ${unit('length')}`,
            cell: (o) =>
              input(
                `Hose of ${o.name}`,
                o.hose * 1000,
                'length',
                (p, v) => set(o, (x) => (x.hose = v / 1000))(p),
                true,
              ),
          },
          {
            head: 'Losses',
            title: 'Sum of the losses of bends and valves',
            cell: (o) => input(`Losses of ${o.name}`, o.loss, 'plain', (p, v) => set(o, (x) => (x.loss = v))(p), true),
          },
          {
            head: `Wants ${unit('flow')}`,
            cell: (o) => input(`Flow of ${o.name}`, o.flow, 'flow', (p, v) => set(o, (x) => (x.flow = v))(p), true),
          },
          {
            head: 'Gives',
            title: 'By its own weight: full, and a third full',
            cell: (o) => {
              const figures = trip?.taps.find((t) => t.id === o.id);
              return (
                <span className="figure" data-gives={o.id}>
                  {figures ? `${say(figures.full, 'flow')} · ${say(figures.third, 'flow')}` : 'pumped'}
                </span>
              );
            },
          },
          {
            head: 'Alone',
            title: 'Never open while another one is',
            centred: true,
            cell: (o) => box(`${o.name} is never open with another`, o.shut, (p, v) => set(o, (x) => (x.shut = v))(p)),
          },
          {
            head: 'Cold',
            title: 'Its line runs in the cold air',
            centred: true,
            cell: (o) => box(`The line of ${o.name} is in the cold`, o.cold, (p, v) => set(o, (x) => (x.cold = v))(p)),
          },
        ]}
      />
      <ThingTable<Pump>
        label="Pumps"
        what="Pump"
        things={plumbing.pumps}
        empty="No pump is entered."
        onRename={(o, name) =>
          edit(
            'Name of a pump',
            setPump(o, (x) => (x.name = name)),
          )
        }
        onRemove={(o) => edit(`Remove ${o.name}`, (p) => drop(p.pumps, o.id))}
        columns={[
          {
            head: `Gives ${unit('flow')}`,
            cell: (o) => input(`Flow of ${o.name}`, o.flow, 'flow', (p, v) => setPump(o, (x) => (x.flow = v))(p), true),
          },
          {
            head: unit('current'),
            cell: (o) =>
              input(`Current of ${o.name}`, o.amps, 'current', (p, v) => setPump(o, (x) => (x.amps = v))(p), true),
          },
          {
            head: 'A day',
            cell: (o) => {
              const f = trip?.pumps.find((x) => x.id === o.id);
              return (
                <span className="figure" data-pumps={o.id}>
                  {f ? `${(60 * f.hours).toFixed(0)} min, ${say(f.ah, 'charge')}` : ''}
                </span>
              );
            },
          },
          {
            head: 'In Power',
            words: true,
            cell: (o) => (
              <button
                type="button"
                className="chip"
                onClick={() => void derive(`Count ${o.name} in Power`, derived('plumbing-power', { id: o.id }))}
              >
                Count it<span className="visually-hidden"> in Power: {o.name}</span>
              </button>
            ),
          },
          {
            head: 'Is',
            title: 'The thing of Load that it is',
            words: true,
            cell: (o) => (
              <SelectField
                label={`What ${o.name} is`}
                value={o.item}
                options={itemOptions}
                onCommit={(v) =>
                  edit(
                    `What ${o.name} is`,
                    setPump(o, (x) => (x.item = v)),
                  )
                }
              />
            ),
          },
          {
            head: 'Another way comes along',
            centred: true,
            cell: (o) =>
              box(`Another way to draw than ${o.name}`, o.spare, (p, v) => setPump(o, (x) => (x.spare = v))(p)),
          },
        ]}
      />
      {trip && trip.drain.length > 0 && (
        <div className="drain" data-drain>
          <b>Before frost, in this order</b>
          <ol>
            {trip.drain.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
        </div>
      )}
    </Panel>
  );
}
