import type { ReactNode } from 'react';

import type { Ticket } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { drop, on } from '../document/things';
import { formatQuantity } from '../quantity/format';
import { addTicket, setLitres, setPart, setPerson } from './ticketEdits';
import { useVehicleEdit } from './useVehicleEdit';

type Figure = 'front' | 'rear' | 'frontLeft' | 'frontRight' | 'rearLeft' | 'rearRight' | 'total' | 'resolution';

const readings: readonly { value: Ticket['reading']; label: string }[] = [
  { value: 'axles', label: 'Two axles' },
  { value: 'corners', label: 'Four corners' },
  { value: 'total', label: 'The whole only' },
];

const figures: { key: Figure; label: string; reading?: Ticket['reading'][] }[] = [
  { key: 'front', label: 'Front axle', reading: ['axles'] },
  { key: 'rear', label: 'Rear axle', reading: ['axles'] },
  { key: 'frontLeft', label: 'Front left', reading: ['corners'] },
  { key: 'frontRight', label: 'Front right', reading: ['corners'] },
  { key: 'rearLeft', label: 'Rear left', reading: ['corners'] },
  { key: 'rearRight', label: 'Rear right', reading: ['corners'] },
  { key: 'total', label: 'The whole at once' },
  { key: 'resolution', label: 'Step of the scale' },
];

/** The weighing tickets side by side: what was read, who and what was aboard, and what each gives for the dry vehicle. */
export function TicketsCard() {
  const { vehicle, job, assessment, edit, input, box, unit } = useVehicleEdit();
  const { tickets } = vehicle.baseline;
  const change = (id: string, set: (ticket: Ticket) => void) => (v: typeof vehicle) => on(v.baseline.tickets, id, set);
  const row = (label: ReactNode, cell: (ticket: Ticket) => ReactNode, key: string) => (
    <tr key={key}>
      <th scope="row">{label}</th>
      {tickets.map((t) => (
        <td key={t.id}>{cell(t)}</td>
      ))}
    </tr>
  );
  const group = (label: string) => (
    <tr key={label} className="group-row">
      <th scope="rowgroup" colSpan={tickets.length + 1}>
        {label}
      </th>
    </tr>
  );
  const dry = (id: string) => assessment?.weighing.tickets.find((t) => t.id === id);
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  const shown = figures.filter((f) => !f.reading || tickets.some((t) => f.reading?.includes(t.reading)));
  return (
    <Panel
      title="Weighing tickets"
      className="wide"
      note={`In ${unit('mass')}; several are combined, each with what was aboard taken off`}
      actions={<AddButton label="Add ticket" onClick={() => edit('Add ticket', addTicket)} />}
    >
      {tickets.length === 0 ? (
        <p className="empty">
          No ticket yet. A weighbridge reads the axles apart; add its ticket with the fuel, people and parts that were
          aboard.
        </p>
      ) : (
        <div className="table-wrap">
          <table className="sheet-table tickets" aria-label="Weighing tickets">
            <tbody>
              {row(
                'Ticket',
                (t) => (
                  <span className="with-remove" data-thing={t.id}>
                    <TextField
                      label={`Name of ${t.name}`}
                      value={t.name}
                      maxLength={120}
                      required
                      onCommit={(name) =>
                        edit(
                          `Name of ${t.name}`,
                          change(t.id, (x) => (x.name = name)),
                          `ticket ${t.id}`,
                        )
                      }
                    />
                    <RemoveButton
                      label={`Remove ${t.name}`}
                      onClick={() => edit(`Remove ${t.name}`, (v) => drop(v.baseline.tickets, t.id))}
                    />
                  </span>
                ),
                'name',
              )}
              {row(
                'Day',
                (t) => (
                  <input
                    type="date"
                    className="form-control form-control-sm"
                    aria-label={`Day of ${t.name}`}
                    value={t.date}
                    onChange={(event) =>
                      edit(
                        `Day of ${t.name}`,
                        change(t.id, (x) => (x.date = event.target.value)),
                      )
                    }
                  />
                ),
                'date',
              )}
              {row(
                'Read',
                (t) => (
                  <SelectField
                    label={`Reading of ${t.name}`}
                    value={t.reading}
                    options={readings}
                    onCommit={(reading) =>
                      edit(
                        `Reading of ${t.name}`,
                        change(t.id, (x) => (x.reading = reading)),
                      )
                    }
                  />
                ),
                'reading',
              )}
              {shown.map((f) =>
                row(
                  f.label,
                  (t) =>
                    f.reading && !f.reading.includes(t.reading)
                      ? null
                      : input(
                          `${f.label}, ${t.name}`,
                          t[f.key],
                          'mass',
                          (v, kg) => change(t.id, (x) => (x[f.key] = kg))(v),
                          true,
                        ),
                  f.key,
                ),
              )}
              {row(
                'The vehicle stood level',
                (t) => box(`${t.name} level`, t.level, (v, yes) => change(t.id, (x) => (x.level = yes))(v)),
                'level',
              )}
              {row(
                'It counts',
                (t) => box(`${t.name} counts`, t.counted, (v, yes) => change(t.id, (x) => (x.counted = yes))(v)),
                'counted',
              )}
              {group('Aboard on the scale')}
              {vehicle.tanks.map((tank) =>
                row(
                  `In ${tank.name}, ${unit('volume')}`,
                  (t) =>
                    input(
                      `In ${tank.name}, ${t.name}`,
                      t.tanks.find((x) => x.tank === tank.id)?.litres ?? 0,
                      'volume',
                      (v, l) => change(t.id, (x) => setLitres(x, tank.id, l))(v),
                    ),
                  tank.id,
                ),
              )}
              {vehicle.seats.map((seat) =>
                row(
                  `On ${seat.name}`,
                  (t) =>
                    input(
                      `On ${seat.name}, ${t.name}`,
                      t.people.filter((x) => x.seat === seat.id).reduce((sum, x) => sum + x.kg, 0),
                      'mass',
                      (v, kg) => change(t.id, (x) => setPerson(x, seat.id, kg))(v),
                      true,
                    ),
                  seat.id,
                ),
              )}
              {[...vehicle.parts, ...vehicle.modifications].map((part) =>
                row(
                  part.name,
                  (t) =>
                    box(
                      `${part.name} on, ${t.name}`,
                      t.parts.some((x) => x.part === part.id),
                      (v, yes) => change(t.id, (x) => setPart(x, part.id, yes))(v),
                    ),
                  `part ${part.id}`,
                ),
              )}
              {group('Gives for the dry vehicle, nobody aboard, parts as in the baseline')}
              {row(
                'Front',
                (t) => (
                  <Given>{dry(t.id)?.readAxles ? mass(dry(t.id)?.axles.front ?? 0) : '–'}</Given>
                ),
                'dry front',
              )}
              {row(
                'Rear',
                (t) => (
                  <Given>{dry(t.id)?.readAxles ? mass(dry(t.id)?.axles.rear ?? 0) : '–'}</Given>
                ),
                'dry rear',
              )}
              {row(
                'Together',
                (t) => (
                  <Given>{dry(t.id) ? mass(dry(t.id)?.gross ?? 0) : 'does not count'}</Given>
                ),
                'dry gross',
              )}
            </tbody>
          </table>
        </div>
      )}
    </Panel>
  );
}

function Given({ children }: { children: ReactNode }) {
  return <span className="figure given">{children}</span>;
}
