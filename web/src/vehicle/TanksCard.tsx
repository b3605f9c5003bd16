import { AddButton, RemoveButton, RemoveHead } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { newId } from '../load/itemEdits';
import { NameCell, onThing } from './NameCell';
import { useVehicleEdit } from './useVehicleEdit';

/** The vehicle's own tanks. */
export function TanksCard() {
  const { vehicle, edit, input, placeCells, placeHeads, unit } = useVehicleEdit();
  const add = () =>
    edit('Add tank', (v) => {
      v.tanks.push({ id: newId(v.tanks.map((t) => t.id), 'tank'), name: 'New tank', kind: 'fuel', capacity: 50, density: 0.84, at: { x: v.wheelbase, y: 0, z: 600 }, min: 0, now: 0, behind: false });
    });
  const remove = (id: string) =>
    edit('Remove tank', (v) => {
      v.tanks = v.tanks.filter((t) => t.id !== id);
      if (v.baseline.weighed) v.baseline.weighed.tanks = v.baseline.weighed.tanks.filter((t) => t.tank !== id);
    });
  return (
    <Panel
      title="Tanks" className="wide"
      actions={<AddButton label="Add tank" onClick={add} />}
    >
      <table className="sheet-table" aria-label="Tanks">
        <thead>
          <tr>
            <th scope="col">Tank</th>
            <th scope="col">Holds</th>
            <th scope="col">Capacity {unit('volume')}</th>
            <th scope="col">Least {unit('volume')}</th>
            <th scope="col">Now {unit('volume')}</th>
            <th scope="col">kg/L</th>
            {placeHeads}
            <RemoveHead />
          </tr>
        </thead>
        <tbody>
          {vehicle.tanks.map((tank) => (
            <tr key={tank.id} data-tank={tank.id}>
              <NameCell list="tanks" thing={tank} />
              <td>
                <SelectField label={`Kind of ${tank.name}`} value={tank.kind} options={[{ value: 'fuel', label: 'Fuel' }, { value: 'other', label: 'Other' }]} onCommit={(kind) => edit(`Kind of ${tank.name}`, onThing('tanks', tank.id, (t) => (t.kind = kind)))} />
              </td>
              <td>{input(`Capacity of ${tank.name}`, tank.capacity, 'volume', (v, x) => onThing('tanks', tank.id, (t) => (t.capacity = x))(v))}</td>
              <td>{input(`Least in ${tank.name}`, tank.min, 'volume', (v, x) => onThing('tanks', tank.id, (t) => (t.min = x))(v))}</td>
              <td>{input(`Now in ${tank.name}`, tank.now, 'volume', (v, x) => onThing('tanks', tank.id, (t) => (t.now = x))(v))}</td>
              <td>{input(`Density in ${tank.name}, kg per litre`, tank.density, 'plain', (v, x) => onThing('tanks', tank.id, (t) => (t.density = x))(v))}</td>
              {placeCells(tank.name, tank.at, (v) => v.tanks.find((t) => t.id === tank.id)?.at)}
              <td>
                <RemoveButton label={`Remove ${tank.name}`} onClick={() => remove(tank.id)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Panel>
  );
}
