import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { useBriefEdit } from './useBriefEdit';

/** What the way is made of, and what each surface does to the fuel. */
export function SurfacesCard() {
  const { brief, edit, input } = useBriefEdit();
  const sum = brief.surfaces.reduce((total, s) => total + s.share, 0);
  return (
    <Panel
      title="Surfaces"
      note={sum === 100 ? 'Shares of the way' : `Shares add up to ${Math.round(sum)} % and count as the whole`}
      actions={
        <AddButton
          label="Add surface"
          onClick={() =>
            edit('Add surface', (b) =>
              b.surfaces.push({ id: newId(b.surfaces, 'surface'), name: 'New surface', share: 0, factor: 1 }),
            )
          }
        />
      }
    >
      <ThingTable
        label="Surfaces"
        what="Surface"
        things={brief.surfaces}
        onRename={(s, name) =>
          edit(`Name of ${s.name}`, (b) => on(b.surfaces, s.id, (x) => (x.name = name)), `surface ${s.id}`)
        }
        onRemove={(s) => edit(`Remove ${s.name}`, (b) => drop(b.surfaces, s.id))}
        columns={[
          {
            head: 'Share %',
            cell: (s) =>
              input(`Share of ${s.name}`, s.share, 'plain', (b, n) => on(b.surfaces, s.id, (x) => (x.share = n))),
          },
          {
            head: 'Fuel ×',
            title: 'Fuel against a sealed road',
            cell: (s) =>
              input(`Fuel factor of ${s.name}`, s.factor, 'plain', (b, n) =>
                on(b.surfaces, s.id, (x) => (x.factor = n)),
              ),
          },
        ]}
      />
    </Panel>
  );
}
