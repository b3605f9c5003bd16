import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { bodyMountKinds } from '../words/vehicle';
import { useVehicleEdit } from './useVehicleEdit';

/** Points on which a body, tray or box stands on the frame. */
export function BodyMountsCard() {
  const { vehicle, edit, input, placeColumns, unit } = useVehicleEdit();
  const add = () =>
    edit('Add body mount', (v) =>
      v.bodyMounts.push({
        id: newId(v.bodyMounts, 'mount'),
        name: 'New body mount',
        kind: 'rubber',
        at: { x: v.outline.headboard + 100, y: -400, z: v.outline.sillHeight + 200 },
        rating: 0,
        travel: 0,
        behind: false,
      }),
    );
  return (
    <Panel
      title="Body mounts"
      className="wide"
      note="On what body, tray or box stand on a frame that twists"
      actions={<AddButton label="Add body mount" onClick={add} />}
    >
      <ThingTable
        label="Body mounts"
        what="Mount"
        things={vehicle.bodyMounts}
        empty="None entered. With three or more, what each carries and how far the frame twists there is estimated."
        onRename={(m, name) =>
          edit(`Name of ${m.name}`, (v) => on(v.bodyMounts, m.id, (x) => (x.name = name)), `body mount ${m.id}`)
        }
        onRemove={(m) => edit(`Remove ${m.name}`, (v) => drop(v.bodyMounts, m.id))}
        columns={[
          {
            head: 'Kind',
            words: true,
            cell: (m) => (
              <SelectField
                label={`Kind of ${m.name}`}
                value={m.kind}
                options={bodyMountKinds}
                onCommit={(kind) => edit(`Kind of ${m.name}`, (v) => on(v.bodyMounts, m.id, (x) => (x.kind = kind)))}
              />
            ),
          },
          {
            head: `Carries ${unit('mass')}`,
            title: 'Its rating; empty is not stated',
            cell: (m) =>
              input(
                `Rating of ${m.name}`,
                m.rating,
                'mass',
                (v, kg) => on(v.bodyMounts, m.id, (x) => (x.rating = kg)),
                true,
              ),
          },
          {
            head: `Gives ${unit('length')}`,
            title: 'How far it lets the body rise off the frame',
            cell: (m) =>
              input(`Travel of ${m.name}`, m.travel, 'length', (v, mm) =>
                on(v.bodyMounts, m.id, (x) => (x.travel = mm)),
              ),
          },
          ...placeColumns((v) => v.bodyMounts),
        ]}
      />
    </Panel>
  );
}
