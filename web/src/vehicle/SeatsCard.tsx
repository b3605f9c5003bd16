import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import type { Seat } from '../api/types';
import { forgetSeat } from './ticketEdits';
import { useVehicleEdit } from './useVehicleEdit';

/** Where people and animals travel. */
export function SeatsCard() {
  const { vehicle, edit, input, unit, placeColumns } = useVehicleEdit();
  const add = () =>
    edit('Add seat', (v) =>
      v.seats.push({
        id: newId(v.seats, 'seat'),
        name: 'New seat',
        driver: false,
        at: { x: 2000, y: 0, z: 950 },
        turns: 0,
        size: { length: 0, width: 0, height: 0 },
      }),
    );
  const remove = (seat: Seat) =>
    edit(`Remove ${seat.name}`, (v, job) => {
      drop(v.seats, seat.id);
      forgetSeat(v, seat.id);
      job.brief.daily.seats = job.brief.daily.seats.filter((s) => s.seat !== seat.id);
      // Who sat there stays in the job, where the seat was.
      for (const item of job.variants.flatMap((variant) => variant.items)) {
        if (item.seat === seat.id) {
          item.seat = '';
          item.at = { ...seat.at };
        }
      }
    });
  const side = (seat: Seat, key: keyof Seat['size'], how: string) =>
    input(
      `${how} ${seat.name} is`,
      seat.size[key],
      'length',
      (v, mm) => on(v.seats, seat.id, (s) => (s.size[key] = mm)),
      true,
    );
  return (
    <Panel title="Seats" className="wide" actions={<AddButton label="Add seat" onClick={add} />}>
      <ThingTable
        label="Seats"
        what="Seat"
        things={vehicle.seats}
        empty="No seats. Everyone who travels needs one."
        onRename={(s, name) =>
          edit(`Name of ${s.name}`, (v) => on(v.seats, s.id, (x) => (x.name = name)), `seat ${s.id}`)
        }
        onRemove={remove}
        columns={[
          {
            head: 'Driver’s',
            centred: true,
            cell: (seat) => (
              <input
                type="radio"
                name="driver-seat"
                className="form-check-input"
                aria-label={`${seat.name} is the driver’s seat`}
                checked={seat.driver}
                onChange={() => edit('Driver’s seat', (v) => v.seats.forEach((s) => (s.driver = s.id === seat.id)))}
              />
            ),
          },
          ...placeColumns((v) => v.seats),
          {
            head: `Turns ${unit('angle')}`,
            title: 'How far it turns from looking ahead; empty: it does not',
            cell: (seat) =>
              input(
                `How far ${seat.name} turns`,
                seat.turns,
                'angle',
                (v, by) => on(v.seats, seat.id, (s) => (s.turns = by)),
                true,
              ),
          },
        ]}
        below={(seat) =>
          seat.turns > 0 && (
            <tr>
              <td colSpan={7}>
                <div className="more-line">
                  <span>The seat itself, for what it turns past: long</span>
                  {side(seat, 'length', 'How long')}
                  <span>broad</span>
                  {side(seat, 'width', 'How broad')}
                  <span>high</span>
                  {side(seat, 'height', 'How high')}
                  <span>{unit('length')}</span>
                </div>
              </td>
            </tr>
          )
        }
      />
    </Panel>
  );
}
