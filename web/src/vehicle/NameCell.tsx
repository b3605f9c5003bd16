import type { Vehicle } from '../api/types';
import { TextField } from '../components/TextField';
import { useVehicleEdit } from './useVehicleEdit';

type List = 'parts' | 'tanks' | 'seats';

/** Changes the thing with an id in one of the vehicle's lists. */
export function onThing<L extends List>(list: L, id: string, set: (thing: Vehicle[L][number]) => void) {
  return (vehicle: Vehicle) => {
    for (const thing of vehicle[list] as Vehicle[L][number][]) if (thing.id === id) set(thing);
  };
}

/** The first cell of a part, tank or seat: its name. */
export function NameCell({ list, thing: { id, name } }: { list: List; thing: { id: string; name: string } }) {
  const { edit } = useVehicleEdit();
  const rename = (text: string) => edit(`Name of ${name}`, onThing(list, id, (thing) => (thing.name = text)), `${list} ${id}`);
  return (
    <th scope="row">
      <TextField label={`Name of ${name}`} value={name} maxLength={120} required onCommit={rename} />
    </th>
  );
}
