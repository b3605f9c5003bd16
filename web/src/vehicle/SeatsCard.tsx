import type { Seat, Vehicle } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { TextField } from '../components/TextField';
import { newId } from '../load/itemEdits';
import { useVehicleEdit } from './useVehicleEdit';

/** Where people and animals travel. */
export function SeatsCard() {
  const { vehicle, edit, placeCells, placeHeads } = useVehicleEdit();
  const on = (id: string, set: (seat: Seat) => void) => (v: Vehicle) => v.seats.filter((s) => s.id === id).forEach(set);
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
            <th scope="col">
              <span className="visually-hidden">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {vehicle.seats.map((seat) => (
            <tr key={seat.id} data-seat={seat.id}>
              <th scope="row">
                <TextField label={`Name of ${seat.name}`} value={seat.name} maxLength={120} required onCommit={(name) => edit('Name of seat', on(seat.id, (s) => (s.name = name)), `seat ${seat.id}`)} />
              </th>
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
