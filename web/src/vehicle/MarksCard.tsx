import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { markKinds, sightSides } from '../words/layout';
import { useVehicleEdit } from './useVehicleEdit';

/** What has to stay in sight or in reach once the fitout is in. */
export function MarksCard() {
  const { vehicle, edit, placeColumns } = useVehicleEdit();
  const add = () =>
    edit('Add what must stay free', (v) =>
      v.marks.push({
        id: newId(v.marks, 'mark'),
        name: 'New lamp',
        kind: 'lamp',
        at: { x: v.wheelbase + v.outline.rearOverhang, y: 0, z: v.outline.floorHeight },
        from: 'rear',
        behind: false,
      }),
    );
  return (
    <Panel
      title="What must stay free"
      className="wide"
      note="Lamps, plate, filler, ball: what the fitout may not hide; and where the exhaust is hot"
      actions={<AddButton label="Add what must stay free" onClick={add} />}
    >
      <ThingTable
        label="What must stay free"
        what="Thing"
        things={vehicle.marks}
        empty="Nothing yet. List tail lamps, number plate, filler, tow ball the exhaust, and whatever else has to be seen or reached."
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
                onCommit={(kind) => edit(`Kind of ${m.name}`, (v) => on(v.marks, m.id, (x) => (x.kind = kind)))}
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
        ]}
      />
    </Panel>
  );
}
