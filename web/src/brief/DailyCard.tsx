import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { useBriefEdit } from './useBriefEdit';

/** What the vehicle has to do between trips. */
export function DailyCard() {
  const { brief, job, edit, input, tick } = useBriefEdit();
  const d = brief.daily;
  return (
    <Panel
      title="Between trips"
      actions={
        <AddButton
          label="Add what lifts out"
          onClick={() =>
            edit('Add what lifts out', (b) =>
              b.daily.liftOut.push({ id: newId(b.daily.liftOut, 'lift'), name: 'New part', minutes: 15, people: 2 }),
            )
          }
        />
      }
    >
      <div className="form">
        {tick('Daily driver', 'It is the daily driver too', d.driver, (b, yes) => (b.daily.driver = yes))}
        <fieldset>
          <legend>Seats that stay</legend>
          {job.vehicle.seats.map((seat) => (
            <div key={seat.id}>
              {tick(
                `${seat.name} stays`,
                seat.name,
                d.seats.some((s) => s.seat === seat.id),
                (b, stays) => {
                  b.daily.seats = b.daily.seats.filter((s) => s.seat !== seat.id);
                  if (stays) b.daily.seats.push({ seat: seat.id });
                },
              )}
            </div>
          ))}
        </fieldset>
      </div>
      <ThingTable
        label="What lifts out"
        what="Has to come out"
        things={d.liftOut}
        empty="Nothing has to come out."
        onRename={(l, name) =>
          edit(`Name of ${l.name}`, (b) => on(b.daily.liftOut, l.id, (x) => (x.name = name)), `lift ${l.id}`)
        }
        onRemove={(l) => edit(`Remove ${l.name}`, (b) => drop(b.daily.liftOut, l.id))}
        columns={[
          {
            head: 'in minutes',
            cell: (l) =>
              input(`Minutes for ${l.name}`, l.minutes, 'plain', (b, n) =>
                on(b.daily.liftOut, l.id, (x) => (x.minutes = n)),
              ),
          },
          {
            head: 'by people',
            cell: (l) =>
              input(`People for ${l.name}`, l.people, 'plain', (b, n) =>
                on(b.daily.liftOut, l.id, (x) => (x.people = n)),
              ),
          },
        ]}
      />
    </Panel>
  );
}
