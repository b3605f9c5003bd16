import type { Vehicle } from '../api/types';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { formatQuantity } from '../quantity/format';
import { useVocabulary } from '../words/words';
import { useVehicleEdit } from './useVehicleEdit';

type Definition = Vehicle['baseline']['definition'];

const terms: Record<Exclude<Definition, 'as-weighed'>, string> = { tare: 'tare', kerb: 'kerb', 'running-order': 'runningOrder', unladen: 'unladen' };

/** The mass that the plan starts from, and what was in it. */
export function BaselineCard() {
  const { job, vehicle, assessment, edit, line } = useVehicleEdit();
  const vocabulary = useVocabulary();
  const b = vehicle.baseline;
  const definitions = [
    ...(Object.keys(terms) as (keyof typeof terms)[]).map((value) => ({ value: value, label: vocabulary(job.region, terms[value]).word })),
    { value: 'as-weighed' as Definition, label: 'as weighed' },
  ];
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  return (
    <Panel title="Empty vehicle" {...(assessment ? { note: `Dry: front ${mass(assessment.dry.front)}, rear ${mass(assessment.dry.rear)}` } : {})}>
      <div className="form">
        <Field label="What the figure contains">
          <SelectField
            label="What the figure contains" value={b.definition} options={definitions}
            onCommit={(definition) => edit('Definition of the empty mass', (v) => {
              v.baseline.definition = definition;
              if (definition === 'as-weighed') v.baseline.weighed ??= { date: '', where: '', level: true, tanks: v.tanks.map((t) => ({ tank: t.id, litres: t.now })), people: [] };
            })}
          />
        </Field>
        <Field label="Axle split">
          <SelectField
            label="Axle split" value={b.split} options={[{ value: 'known', label: 'Read axle by axle' }, { value: 'assumed', label: 'Assumed (estimate)' }]}
            onCommit={(split) => edit('Axle split', (v) => {
              const { baseline } = v;
              if (split === 'assumed' && baseline.total === 0) {
                baseline.total = baseline.front + baseline.rear;
                baseline.frontShare = baseline.total > 0 ? Math.round((1000 * baseline.front) / baseline.total) / 1000 : 0.5;
              }
              if (split === 'known' && baseline.front + baseline.rear === 0) {
                baseline.front = Math.round(baseline.total * baseline.frontShare * 10) / 10;
                baseline.rear = Math.round((baseline.total - baseline.front) * 10) / 10;
              }
              baseline.split = split;
            })}
          />
        </Field>
        {b.split === 'known' ? (
          <>
            {line('Front axle', b.front, 'mass', (v, kg) => (v.baseline.front = kg))}
            {line('Rear axle', b.rear, 'mass', (v, kg) => (v.baseline.rear = kg))}
          </>
        ) : (
          <>
            {line('Total', b.total, 'mass', (v, kg) => (v.baseline.total = kg))}
            {line('Share on the front, %', b.frontShare * 100, 'plain', (v, share) => (v.baseline.frontShare = share / 100), 'Weigh axle by axle before anything is cut')}
          </>
        )}
        {line('Centre of gravity height', b.cgHeight, 'length', (v, mm) => (v.baseline.cgHeight = mm))}
        <label className="switch-line">
          <input type="checkbox" className="form-check-input" checked={b.cgHeightKnown} onChange={(event) => edit('Height known', (v) => (v.baseline.cgHeightKnown = event.target.checked))} />
          The height is known, not assumed
        </label>
        {line('Right of the centre line', b.cgSide, 'length', (v, mm) => (v.baseline.cgSide = mm), 'Left is negative')}
        {b.definition === 'as-weighed' && b.weighed && <WeighedFields />}
      </div>
    </Panel>
  );
}

/** What was aboard on the scale. */
function WeighedFields() {
  const { job, vehicle, edit, line } = useVehicleEdit();
  const weighed = vehicle.baseline.weighed;
  if (!weighed) return null;
  type Weighed = NonNullable<Vehicle['baseline']['weighed']>;
  const change = (label: string, set: (w: Weighed) => void, key?: string) =>
    edit(label, (v) => {
      if (v.baseline.weighed) set(v.baseline.weighed);
    }, key);
  const litres = (id: string) => weighed.tanks.find((t) => t.tank === id)?.litres ?? 0;
  const kg = (id: string) => weighed.people.find((p) => p.seat === id)?.kg ?? 0;
  return (
    <fieldset>
      <legend>Aboard on the scale</legend>
      <Field label="Weighed at">
        <TextField label="Weighed at" value={weighed.where} maxLength={200} onCommit={(where) => change('Weighed at', (w) => (w.where = where), 'weighed at')} />
      </Field>
      <Field label="Day">
        <input type="date" className="form-control form-control-sm" aria-label="Day of weighing" value={weighed.date} onChange={(event) => change('Day of weighing', (w) => (w.date = event.target.value))} />
      </Field>
      <label className="switch-line">
        <input type="checkbox" className="form-check-input" checked={weighed.level} onChange={(event) => change('Scale level', (w) => (w.level = event.target.checked))} />
        The vehicle stood level
      </label>
      {vehicle.tanks.map((tank) => (
        <div key={tank.id}>
          {line(`In ${tank.name}`, litres(tank.id), 'volume', (v, value) => {
            const w = v.baseline.weighed;
            if (w) w.tanks = [...w.tanks.filter((t) => t.tank !== tank.id), { tank: tank.id, litres: value }];
          })}
        </div>
      ))}
      {vehicle.seats.map((seat) => (
        <div key={seat.id}>
          {line(`Person on ${seat.name}`, kg(seat.id), 'mass', (v, value) => {
            const w = v.baseline.weighed;
            if (w) w.people = [...w.people.filter((p) => p.seat !== seat.id), ...(value > 0 ? [{ seat: seat.id, kg: value }] : [])];
          })}
        </div>
      ))}
      <small className="hint">Parts fitted that day are those marked “in the baseline” below. {job.vehicle.parts.length === 0 && 'None are listed yet.'}</small>
    </fieldset>
  );
}
