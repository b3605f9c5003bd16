import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable, type Column } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import type { Mark } from '../api/types';
import { markKinds, sightSides } from '../words/layout';
import { useVehicleEdit } from './useVehicleEdit';

/** What is kept clear of, and nobody has to see. */
const unseen: Mark['kind'][] = ['exhaust', 'shaft', 'line'];

/** What has to stay in sight or in reach once the fitout is in. */
export function MarksCard() {
  const { vehicle, edit, box, placeColumns } = useVehicleEdit();
  const add = () =>
    edit('Add what must stay free', (v) =>
      v.marks.push({
        id: newId(v.marks, 'mark'),
        name: 'New lamp',
        kind: 'lamp',
        at: { x: v.wheelbase + v.outline.rearOverhang, y: 0, z: v.outline.floorHeight },
        from: 'rear',
        shield: false,
        behind: false,
      }),
    );
  const shield: Column<Mark> = {
    head: 'Shield',
    title: 'Of an exhaust: a shield of sheet with air behind it stands there',
    centred: true,
    cell: (m) =>
      m.kind === 'exhaust' &&
      box(`A shield stands at ${m.name}`, m.shield, (v, yes) => on(v.marks, m.id, (x) => (x.shield = yes))),
  };
  return (
    <Panel
      title="What must stay free"
      className="wide"
      note="Lamps, plate, filler, ball: what the fitout may not hide; and where exhaust, shafts and lines run below"
      actions={<AddButton label="Add what must stay free" onClick={add} />}
    >
      <ThingTable
        label="What must stay free"
        what="Thing"
        className="marks-table"
        things={vehicle.marks}
        empty="Nothing yet. List tail lamps, number plate, filler, tow ball, the exhaust, shafts and lines, and whatever else has to be seen or reached."
        onRename={(m, name) =>
          edit(`Name of ${m.name}`, (v) => on(v.marks, m.id, (x) => (x.name = name)), `mark ${m.id}`)
        }
        onRemove={(m) => edit(`Remove ${m.name}`, (v) => drop(v.marks, m.id))}
        columns={[
          {
            head: 'What it is',
            words: true,
            cell: (m) => (
              <SelectField
                label={`Kind of ${m.name}`}
                value={m.kind}
                options={markKinds}
                onCommit={(kind) =>
                  edit(`Kind of ${m.name}`, (v) =>
                    on(v.marks, m.id, (x) => {
                      x.kind = kind;
                      if (unseen.includes(kind)) x.from = 'none';
                    }),
                  )
                }
              />
            ),
          },
          {
            head: 'Seen or reached',
            words: true,
            cell: (m) => (
              <SelectField
                label={`Where ${m.name} is seen or reached`}
                value={m.from}
                options={sightSides}
                onCommit={(from) => edit(`Side of ${m.name}`, (v) => on(v.marks, m.id, (x) => (x.from = from)))}
              />
            ),
          },
          ...placeColumns((v) => v.marks),
          ...(vehicle.marks.some((m) => m.kind === 'exhaust') ? [shield] : []),
        ]}
      />
    </Panel>
  );
}
