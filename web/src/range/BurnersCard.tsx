import type { Burner } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { bases, yesses } from '../words/range';
import { usePlumbing } from './usePlumbing';

/** What burns gas or fuel, and whether people breathe beside it. */
export function BurnersCard() {
  const { plumbing, edit, input, box, unit, vesselOptions } = usePlumbing();
  const set = (b: { id: string }, change: (x: Burner) => void) => (p: typeof plumbing) => on(p.burners, b.id, change);
  const select = <K extends 'air' | 'alarm'>(b: Burner, key: K, label: string) => (
    <SelectField
      label={`${label} of ${b.name}`}
      value={b[key]}
      options={yesses}
      onCommit={(v) =>
        edit(
          `${label} of ${b.name}`,
          set(b, (x) => (x[key] = v)),
        )
      }
    />
  );
  return (
    <Panel
      title="What burns"
      className="wide"
      note="Gas fitting and fuel heaters belong to licensed people"
      actions={
        <AddButton
          label="Add burner"
          onClick={() =>
            edit('Add burner', (p) =>
              p.burners.push({
                id: newId([...p.outlets, ...p.pumps, ...p.burners], 'burner'),
                name: 'New burner',
                vessel: '',
                kw: 2,
                basis: '',
                litres: 0,
                hours: 1,
                below: 5,
                heater: false,
                inside: false,
                air: '',
                alarm: '',
              }),
            )
          }
        />
      }
    >
      <ThingTable<Burner>
        label="Burners"
        what="Burner"
        things={plumbing.burners}
        empty="Nothing that burns is entered. A stove or a heater uses up what it burns, day by day."
        onRename={(b, name) =>
          edit(
            'Name of a burner',
            set(b, (x) => (x.name = name)),
          )
        }
        onRemove={(b) => edit(`Remove ${b.name}`, (p) => drop(p.burners, b.id))}
        columns={[
          {
            head: 'From',
            words: true,
            cell: (b) => (
              <SelectField
                label={`What ${b.name} burns from`}
                value={b.vessel}
                options={vesselOptions}
                onCommit={(v) =>
                  edit(
                    `What ${b.name} burns from`,
                    set(b, (x) => (x.vessel = v)),
                  )
                }
              />
            ),
          },
          {
            head: 'kW of gas',
            cell: (b) => input(`Power of ${b.name}, kW`, b.kw, 'plain', (p, v) => set(b, (x) => (x.kw = v))(p), true),
          },
          {
            head: 'By',
            title: 'Which heat value its label counts with',
            words: true,
            cell: (b) => (
              <SelectField
                label={`Heat value of ${b.name}`}
                value={b.basis}
                options={bases}
                onCommit={(v) =>
                  edit(
                    `Heat value of ${b.name}`,
                    set(b, (x) => (x.basis = v)),
                  )
                }
              />
            ),
          },
          {
            head: `Fuel ${unit('volume')}/h`,
            cell: (b) =>
              input(`Fuel of ${b.name} an hour`, b.litres, 'volume', (p, v) => set(b, (x) => (x.litres = v))(p), true),
          },
          {
            head: 'Hours',
            title: 'A day, or a cold night',
            cell: (b) => input(`Hours of ${b.name}`, b.hours, 'time', (p, v) => set(b, (x) => (x.hours = v))(p), true),
          },
          {
            head: 'At night',
            title: 'A heater: runs in cold nights',
            centred: true,
            cell: (b) => box(`${b.name} runs in cold nights`, b.heater, (p, v) => set(b, (x) => (x.heater = v))(p)),
          },
          {
            head: `Below ${unit('temperature')}`,
            cell: (b) =>
              input(`${b.name} runs below`, b.below, 'temperature', (p, v) => set(b, (x) => (x.below = v))(p)),
          },
          {
            head: 'Among people',
            title: 'It burns where people are, and its exhaust stays there',
            centred: true,
            cell: (b) => box(`${b.name} burns among people`, b.inside, (p, v) => set(b, (x) => (x.inside = v))(p)),
          },
          { head: 'Fresh air', words: true, cell: (b) => select(b, 'air', 'Fresh air') },
          { head: 'CO alarm', words: true, cell: (b) => select(b, 'alarm', 'Carbon monoxide alarm') },
        ]}
      />
    </Panel>
  );
}
