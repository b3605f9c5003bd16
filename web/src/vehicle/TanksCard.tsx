import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import type { Tank } from '../api/types';
import { forgetTank } from './ticketEdits';
import { useVehicleEdit } from './useVehicleEdit';

const kinds = [
  { value: 'fuel', label: 'Fuel' },
  { value: 'other', label: 'Other' },
] as const;

/** The vehicle's own tanks. */
export function TanksCard() {
  const { vehicle, edit, input, placeColumns, unit } = useVehicleEdit();
  const add = () =>
    edit('Add tank', (v) => {
      v.tanks.push({
        id: newId(v.tanks, 'tank'),
        name: 'New tank',
        kind: 'fuel',
        capacity: 50,
        density: 0.84,
        at: { x: v.wheelbase, y: 0, z: 600 },
        min: 0,
        now: 0,
        behind: false,
      });
    });
  const litres = (label: string, key: 'capacity' | 'min' | 'now') => (t: Tank) =>
    input(`${label} ${t.name}`, t[key], 'volume', (v, value) => on(v.tanks, t.id, (x) => (x[key] = value)));
  return (
    <Panel title="Tanks" className="wide" actions={<AddButton label="Add tank" onClick={add} />}>
      <ThingTable
        label="Tanks"
        what="Tank"
        things={vehicle.tanks}
        empty="No tanks. The fuel tank belongs here, and every tank that is part of the vehicle."
        onRename={(t, name) =>
          edit(`Name of ${t.name}`, (v) => on(v.tanks, t.id, (x) => (x.name = name)), `tank ${t.id}`)
        }
        onRemove={(t) =>
          edit('Remove tank', (v) => {
            drop(v.tanks, t.id);
            forgetTank(v, t.id);
          })
        }
        columns={[
          {
            head: 'Holds',
            words: true,
            cell: (t) => (
              <SelectField
                label={`Kind of ${t.name}`}
                value={t.kind}
                options={kinds}
                onCommit={(kind) => edit(`Kind of ${t.name}`, (v) => on(v.tanks, t.id, (x) => (x.kind = kind)))}
              />
            ),
          },
          { head: `Capacity ${unit('volume')}`, cell: litres('Capacity of', 'capacity') },
          { head: `Least ${unit('volume')}`, cell: litres('Least in', 'min') },
          { head: `Now ${unit('volume')}`, cell: litres('Now in', 'now') },
          {
            head: 'kg/L',
            cell: (t) =>
              input(`Density in ${t.name}, kg per litre`, t.density, 'plain', (v, x) =>
                on(v.tanks, t.id, (tank) => (tank.density = x)),
              ),
          },
          ...placeColumns((v) => v.tanks),
        ]}
      />
    </Panel>
  );
}
