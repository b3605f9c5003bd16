import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, on } from '../document/things';
import { linkKinds } from '../words/power';
import { usePower } from './usePower';

/** What joins two batteries. */
export function LinksTable({ systems }: { systems: readonly { value: string; label: string }[] }) {
  const { electrics, edit, input, box } = usePower();
  if (electrics.links.length === 0) return null;
  return (
    <ThingTable
      label="Links between batteries"
      what="Link"
      things={electrics.links}
      onRename={(l, name) => edit(`Name of ${l.name}`, (e) => on(e.links, l.id, (x) => (x.name = name)))}
      onRemove={(l) => edit(`Remove ${l.name}`, (e) => drop(e.links, l.id))}
      columns={[
        {
          head: 'Kind',
          words: true,
          cell: (l) => (
            <SelectField
              label={`Kind of ${l.name}`}
              value={l.kind}
              options={linkKinds}
              onCommit={(kind) => edit(`Kind of ${l.name}`, (e) => on(e.links, l.id, (x) => (x.kind = kind)))}
            />
          ),
        },
        ...(['from', 'to'] as const).map((end) => ({
          head: end === 'from' ? 'From' : 'To',
          words: true,
          cell: (l: (typeof electrics.links)[number]) => (
            <SelectField
              label={`${l.name} ${end}`}
              value={systems.some((o) => o.value === l[end]) ? l[end] : ''}
              options={systems}
              onCommit={(v) => edit(`Ends of ${l.name}`, (e) => on(e.links, l.id, (x) => (x[end] = v)))}
            />
          ),
        })),
        {
          head: 'A',
          cell: (l) =>
            input(`Rating of ${l.name}`, l.amps, 'current', (e, v) => on(e.links, l.id, (x) => (x.amps = v)), true),
        },
        {
          head: 'Closes V',
          cell: (l) =>
            input(
              `Closing voltage of ${l.name}`,
              l.close,
              'voltage',
              (e, v) => on(e.links, l.id, (x) => (x.close = v)),
              true,
            ),
        },
        {
          head: 'Opens V',
          cell: (l) =>
            input(
              `Opening voltage of ${l.name}`,
              l.open,
              'voltage',
              (e, v) => on(e.links, l.id, (x) => (x.open = v)),
              true,
            ),
        },
        {
          head: 'Breaks first',
          title: 'Parts the one before it joins the other',
          centred: true,
          cell: (l) =>
            box(`${l.name} breaks first`, l.breakFirst, (e, v) => on(e.links, l.id, (x) => (x.breakFirst = v))),
        },
      ]}
    />
  );
}
