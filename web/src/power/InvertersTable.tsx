import type { Inverter } from '../api/types';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, on } from '../document/things';
import { usePower } from './usePower';

/** What makes mains voltage out of a battery. */
export function InvertersTable({ systems }: { systems: readonly { value: string; label: string }[] }) {
  const { electrics, power, edit, input, box, say } = usePower();
  const inverter = (id: string, set: (i: Inverter) => void) => (e: typeof electrics) => on(e.inverters, id, set);
  if (electrics.inverters.length === 0) return null;
  return (
    <ThingTable
      label="Inverters"
      what="Inverter"
      things={electrics.inverters}
      onRename={(i, name) =>
        edit(
          `Name of ${i.name}`,
          inverter(i.id, (x) => (x.name = name)),
        )
      }
      onRemove={(i) => edit(`Remove ${i.name}`, (e) => drop(e.inverters, i.id))}
      columns={[
        {
          head: 'On',
          words: true,
          cell: (i) => (
            <SelectField
              label={`Battery of ${i.name}`}
              value={systems.some((o) => o.value === i.system) ? i.system : ''}
              options={systems}
              onCommit={(v) =>
                edit(
                  `Battery of ${i.name}`,
                  inverter(i.id, (x) => (x.system = v)),
                )
              }
            />
          ),
        },
        {
          head: 'W',
          cell: (i) =>
            input(`Watts of ${i.name}`, i.watts, 'power', (e, v) => on(e.inverters, i.id, (x) => (x.watts = v))),
        },
        {
          head: 'Start W',
          cell: (i) =>
            input(
              `Watts for a moment of ${i.name}`,
              i.surge,
              'power',
              (e, v) => on(e.inverters, i.id, (x) => (x.surge = v)),
              true,
            ),
        },
        {
          head: 'Waits W',
          cell: (i) =>
            input(
              `Standby of ${i.name}`,
              i.standby,
              'power',
              (e, v) => on(e.inverters, i.id, (x) => (x.standby = v)),
              true,
            ),
        },
        {
          head: 'η %',
          title: 'Efficiency',
          cell: (i) =>
            input(
              `Efficiency of ${i.name}, %`,
              i.efficiency * 100,
              'plain',
              (e, v) => on(e.inverters, i.id, (x) => (x.efficiency = v / 100)),
              true,
            ),
        },
        {
          head: 'Stays on',
          centred: true,
          cell: (i) => box(`${i.name} stays on`, i.always, (e, v) => on(e.inverters, i.id, (x) => (x.always = v))),
        },
        {
          head: 'Switch',
          title: 'A switch is in reach when all is packed',
          centred: true,
          cell: (i) =>
            box(`${i.name} has a switch in reach`, i.remote, (e, v) => on(e.inverters, i.id, (x) => (x.remote = v))),
        },
        {
          head: 'RCD proven',
          title: 'Its sockets are protected by a residual-current device that was proven with it',
          centred: true,
          cell: (i) =>
            box(`The residual-current device of ${i.name} was proven`, i.bonded, (e, v) =>
              on(e.inverters, i.id, (x) => (x.bonded = v)),
            ),
        },
        {
          head: 'At most',
          cell: (i) => {
            const f = power?.inverters.find((x) => x.id === i.id);
            return f ? (
              <span className="figure">
                {say(f.watts, 'power')}
                <small>{say(f.input, 'current')} at full</small>
              </span>
            ) : null;
          },
        },
      ]}
    />
  );
}
