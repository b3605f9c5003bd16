import type { Seat } from '../api/types';
import { AddButton, RemoveButton, RemoveHead } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { newId } from '../load/itemEdits';
import { NameCell } from './NameCell';
import { useVehicleEdit } from './useVehicleEdit';

/** Where people and animals travel. */
export function SeatsCard() {
  const { vehicle, edit, placeCells, placeHeads } = useVehicleEdit();
  const add = () =>
    edit('Add seat', (v) => {
      v.seats.push({ id: newId(v.seats.map((s) => s.id), 'seat'), name: 'New seat', driver: false, at: { x: 2000, y: 0, z: 950 } });
    });
  const remove = (seat: Seat) =>
    edit(`Remove ${seat.name}`, (v, job) => {
      v.seats = v.seats.filter((s) => s.id !== seat.id);
      if (v.baseline.weighed) v.baseline.weighed.people = v.baseline.weighed.people.filter((p) => p.seat !== seat.id);
      // Who sat there stays in the job, where the seat was.
      for (const variant of job.variants) {
        for (const item of variant.items) {
          if (item.seat === seat.id) {
            item.seat = '';
            item.at = { ...seat.at };
          }
        }
      }
    });
  return (
    <Panel
      title="Seats" className="wide"
      actions={<AddButton label="Add seat" onClick={add} />}
    >
      <table className="sheet-table" aria-label="Seats">
        <thead>
          <tr>
            <th scope="col">Seat</th>
            <th scope="col">Driver’s</th>
            {placeHeads}
            <RemoveHead />
          </tr>
        </thead>
        <tbody>
          {vehicle.seats.map((seat) => (
            <tr key={seat.id} data-seat={seat.id}>
              <NameCell list="seats" thing={seat} />
              <td className="centred">
                <input
                  type="radio" name="driver-seat" className="form-check-input" aria-label={`${seat.name} is the driver’s seat`} checked={seat.driver}
                  onChange={() => edit('Driver’s seat', (v) => v.seats.forEach((s) => (s.driver = s.id === seat.id)))}
                />
              </td>
              {placeCells(seat.name, seat.at, (v) => v.seats.find((s) => s.id === seat.id)?.at)}
              <td>
                <RemoveButton label={`Remove ${seat.name}`} onClick={() => remove(seat)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Panel>
  );
}
