import { chosenVariant } from '../document/SessionContext';
import { useFields } from '../document/useFields';
import { formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';

/** The plumbing of the variant, what can hold something, and short ways to edit it. */
export function usePlumbing() {
  const fields = useFields((job) => chosenVariant(job).plumbing);
  const { job, assessment } = fields;
  const variant = chosenVariant(job);
  const holders = [
    ...job.vehicle.tanks.map((t) => ({ id: t.id, name: t.name, litres: t.capacity })),
    ...variant.items.flatMap((i) =>
      i.presence.kind === 'level' && i.presence.level ? [{ id: i.id, name: i.name, litres: i.presence.level.max }] : [],
    ),
  ];
  const origin = assessment?.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  return {
    ...fields,
    /** Where stations are shown from, mm behind the front axle. */
    origin,
    plumbing: variant.plumbing,
    variant,
    holders,
    trip: assessment?.trip,
    say: (value: number, kind: Kind) => formatQuantity(value, kind, job.units),
    itemOptions: [{ value: '', label: 'Not named' }, ...variant.items.map((i) => ({ value: i.id, label: i.name }))],
    vesselOptions: [{ value: '', label: 'None named' }, ...holders.map((h) => ({ value: h.id, label: h.name }))],
  };
}
