import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { TextField } from '../components/TextField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { useVehicleEdit } from './useVehicleEdit';

/** Points that things can be fixed to. */
export function MountsCard() {
  const { vehicle, edit, input, placeColumns, unit } = useVehicleEdit();
  const add = () =>
    edit('Add mounting point', (v) =>
      v.mounts.push({
        id: newId(v.mounts, 'mount'),
        name: 'New point',
        at: { x: v.outline.headboard + 200, y: 0, z: v.outline.floorHeight },
        rating: 0,
        beneath: '',
        behind: false,
      }),
    );
  return (
    <Panel
      title="Mounting points"
      className="wide"
      note="What holds the build, and what a drill would meet"
      actions={<AddButton label="Add mounting point" onClick={add} />}
    >
      <ThingTable
        label="Mounting points"
        what="Point"
        things={vehicle.mounts}
        empty="No points yet. List seat mounts, tie-down rings and chassis brackets with the rating on them."
        onRename={(m, name) =>
          edit(`Name of ${m.name}`, (v) => on(v.mounts, m.id, (x) => (x.name = name)), `mount ${m.id}`)
        }
        onRemove={(m) => edit(`Remove ${m.name}`, (v) => drop(v.mounts, m.id))}
        columns={[
          {
            head: `Holds ${unit('mass')}`,
            title: 'Its rating, as force of this mass; empty is unknown',
            cell: (m) =>
              input(
                `Rating of ${m.name}`,
                m.rating,
                'mass',
                (v, kg) => on(v.mounts, m.id, (x) => (x.rating = kg)),
                true,
              ),
          },
          {
            head: 'Beneath it',
            wide: true,
            cell: (m) => (
              <TextField
                label={`Beneath ${m.name}`}
                value={m.beneath}
                maxLength={200}
                placeholder="nothing"
                onCommit={(beneath) =>
                  edit(`Beneath ${m.name}`, (v) => on(v.mounts, m.id, (x) => (x.beneath = beneath)), `beneath ${m.id}`)
                }
              />
            ),
          },
          ...placeColumns((v) => v.mounts),
        ]}
      />
    </Panel>
  );
}
