import type { Hung, Stance } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { formatQuantity } from '../quantity/format';
import type { Bench } from './useBench';

interface Props {
  bench: Bench;
  stance: Stance;
  edit: (label: string, change: (s: Stance) => void, key?: string) => void;
}

/** Seats that look elsewhere than ahead in a stance. */
export function StanceTurned({ bench, stance, edit }: Props) {
  const { job } = bench;
  const seats = job.vehicle.seats;
  const free = seats.filter((s) => s.turns > 0 && !stance.turned.some((t) => t.seat === s.id));
  if (stance.turned.length === 0 && free.length === 0) return null;
  return (
    <fieldset data-turned>
      <legend>Seats turned</legend>
      {stance.turned.map((t) => {
        const seat = seats.find((s) => s.id === t.seat);
        const name = seat?.name ?? t.seat;
        return (
          <div key={t.seat} className="placed" data-thing={t.seat}>
            <div className="loose-line">
              <span>{name}</span>
              <RemoveButton
                label={`${name} looks ahead`}
                onClick={() =>
                  edit(`${name} looks ahead`, (s) => (s.turned = s.turned.filter((x) => x.seat !== t.seat)))
                }
              />
            </div>
            <Field
              label="Turned by"
              hint={`To the right; left is negative${seat ? `; at most ${formatQuantity(seat.turns, 'angle', job.units)}` : ''}`}
            >
              <QuantityField
                label={`How far ${name} is turned`}
                value={t.by}
                kind="angle"
                system={job.units}
                onCommit={(by) =>
                  edit(`Turn ${name}`, (s) => s.turned.filter((x) => x.seat === t.seat).forEach((x) => (x.by = by)))
                }
              />
            </Field>
          </div>
        );
      })}
      {free.map((seat) => (
        <AddButton
          key={seat.id}
          label={`Turn ${seat.name}`}
          onClick={() =>
            edit(`Turn ${seat.name}`, (s) => s.turned.push({ seat: seat.id, by: Math.min(180, seat.turns) }))
          }
        />
      ))}
    </fieldset>
  );
}

/** Hammocks in a stance for sleeping: whose, between which mounting points, how low. */
export function StanceHung({ bench, stance, edit }: Props) {
  const { job } = bench;
  const { mounts } = job.vehicle;
  const nameOf = (id: string) => job.brief.travellers.find((t) => t.id === id)?.name ?? id;
  const free = job.brief.travellers.filter(
    (t) => stance.sleepers.some((x) => x.traveller === t.id) && !stance.hung.some((h) => h.traveller === t.id),
  );
  const eyes = [{ value: '', label: 'Not chosen' }, ...mounts.map((m) => ({ value: m.id, label: m.name }))];
  return (
    <fieldset data-hung>
      <legend>Hammocks</legend>
      {stance.hung.map((h) => {
        const name = nameOf(h.traveller);
        const one = (label: string, change: (x: Hung) => void) =>
          edit(`${label} of the hammock of ${name}`, (s) =>
            s.hung.filter((x) => x.traveller === h.traveller).forEach(change),
          );
        return (
          <div key={h.traveller} className="placed" data-thing={h.traveller}>
            <div className="loose-line">
              <span>{name}</span>
              <RemoveButton
                label={`Take the hammock of ${name} down`}
                onClick={() =>
                  edit(`Take the hammock of ${name} down`, (s) => {
                    s.hung = s.hung.filter((x) => x.traveller !== h.traveller);
                  })
                }
              />
            </div>
            {(['head', 'foot'] as const).map((end) => (
              <div key={end} className="whole-line">
                <span>{end === 'head' ? 'Eye at the head' : 'Eye at the feet'}</span>
                <SelectField
                  label={`${end === 'head' ? 'Eye at the head' : 'Eye at the feet'} of ${name}`}
                  value={h[end]}
                  options={eyes}
                  onCommit={(id) => one('Eye', (x) => (x[end] = id))}
                />
              </div>
            ))}
            <Field label="Lowest point" hint="Above the ground, with somebody in it">
              <QuantityField
                label={`Lowest point of the hammock of ${name}`}
                value={h.low}
                kind="length"
                system={job.units}
                onCommit={(mm) => one('Lowest point', (x) => (x.low = mm))}
              />
            </Field>
            <Field label="Its own mass" hint="With bedding">
              <QuantityField
                label={`Mass of the hammock of ${name}`}
                value={h.kg}
                kind="mass"
                system={job.units}
                onCommit={(kg) => one('Mass', (x) => (x.kg = kg))}
              />
            </Field>
          </div>
        );
      })}
      {mounts.length < 2 && (
        <p className="hint">A hammock hangs on two rated mounting points: list them with the vehicle, under On it.</p>
      )}
      {free.map((t) => (
        <AddButton
          key={t.id}
          label={`Hammock for ${t.name}`}
          onClick={() =>
            edit(`Hammock for ${t.name}`, (s) =>
              s.hung.push({
                traveller: t.id,
                head: '',
                foot: '',
                low: job.vehicle.outline.floorHeight + 400,
                kg: 2,
              }),
            )
          }
        />
      ))}
      {free.length === 0 && stance.hung.length === 0 && (
        <p className="hint">Whoever sleeps inside may lie in a hammock instead of on a bed.</p>
      )}
    </fieldset>
  );
}
