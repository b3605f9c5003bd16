import type { Warmer } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { derived, useDerive } from '../document/useDerive';
import { warmed } from '../words/range';
import { usePlumbing } from './usePlumbing';

/** What warms water, how long that takes, and what it takes a day. */
export function WarmersCard() {
  const { plumbing, trip, edit, input, unit, say, vesselOptions } = usePlumbing();
  const derive = useDerive();
  const set = (w: { id: string }, change: (x: Warmer) => void) => (p: typeof plumbing) => on(p.warmers, w.id, change);
  return (
    <Panel
      title="Warm water"
      className="wide"
      note="Estimates: 1.163 Wh for a litre and a degree Celsius; of a flame six tenths get into the water"
      actions={
        <AddButton
          label="Add warmer"
          onClick={() =>
            edit('Add warmer', (p) =>
              p.warmers.push({
                id: newId([...p.outlets, ...p.pumps, ...p.burners, ...p.warmers], 'warmer'),
                name: 'New warmer',
                litres: 5,
                rise: 30,
                times: 1,
                by: '',
                watts: 0,
                vessel: '',
              }),
            )
          }
        />
      }
    >
      <ThingTable<Warmer>
        label="Warmers"
        what="Warmer"
        things={plumbing.warmers}
        empty="Nothing that warms water is entered."
        onRename={(w, name) =>
          edit(
            'Name of a warmer',
            set(w, (x) => (x.name = name)),
          )
        }
        onRemove={(w) => edit(`Remove ${w.name}`, (p) => drop(p.warmers, w.id))}
        columns={[
          {
            head: unit('volume'),
            title: 'Warmed each time',
            cell: (w) => input(`Litres of ${w.name}`, w.litres, 'volume', (p, v) => set(w, (x) => (x.litres = v))(p)),
          },
          {
            head: 'By °C',
            title: 'Degrees Celsius that it gets warmer',
            cell: (w) => input(`Rise of ${w.name}`, w.rise, 'plain', (p, v) => set(w, (x) => (x.rise = v))(p)),
          },
          {
            head: 'A day',
            cell: (w) => input(`Times of ${w.name}`, w.times, 'plain', (p, v) => set(w, (x) => (x.times = v))(p)),
          },
          {
            head: 'By',
            words: true,
            cell: (w) => (
              <SelectField
                label={`What warms ${w.name}`}
                value={w.by}
                options={warmed}
                onCommit={(v) =>
                  edit(
                    `What warms ${w.name}`,
                    set(w, (x) => (x.by = v)),
                  )
                }
              />
            ),
          },
          {
            head: 'Gas from',
            words: true,
            cell: (w) =>
              w.by === 'gas' ? (
                <SelectField
                  label={`Gas of ${w.name}`}
                  value={w.vessel}
                  options={vesselOptions}
                  onCommit={(v) =>
                    edit(
                      `Gas of ${w.name}`,
                      set(w, (x) => (x.vessel = v)),
                    )
                  }
                />
              ) : null,
          },
          {
            head: unit('power'),
            cell: (w) => input(`Power of ${w.name}`, w.watts, 'power', (p, v) => set(w, (x) => (x.watts = v))(p), true),
          },
          {
            head: 'Takes a day',
            cell: (w) => {
              const f = trip?.warmers.find((x) => x.id === w.id);
              return (
                <span className="figure" data-warms={w.id}>
                  {f ? (f.gas > 0 ? say(f.gas, 'mass') : say(f.wh, 'energy')) : ''}
                  {f && f.minutes > 0 ? `, ${f.minutes.toFixed(0)} min each` : ''}
                </span>
              );
            },
          },
          {
            head: 'In Power',
            words: true,
            cell: (w) =>
              w.by === 'power' ? (
                <button
                  type="button"
                  className="chip"
                  onClick={() => void derive(`Count ${w.name} in Power`, derived('plumbing-power', { id: w.id }))}
                >
                  Count it<span className="visually-hidden"> in Power: {w.name}</span>
                </button>
              ) : null,
          },
        ]}
      />
    </Panel>
  );
}
