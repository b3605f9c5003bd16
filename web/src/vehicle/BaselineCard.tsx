import type { Vehicle } from '../api/types';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { formatQuantity } from '../quantity/format';
import { useVocabulary } from '../words/words';
import { addTicket } from './ticketEdits';
import { useVehicleEdit } from './useVehicleEdit';

type Definition = Vehicle['baseline']['definition'];

const terms: Record<Exclude<Definition, 'as-weighed'>, string> = {
  tare: 'tare',
  kerb: 'kerb',
  'running-order': 'runningOrder',
  unladen: 'unladen',
};

const traySaid: { value: Vehicle['baseline']['tray']; label: string }[] = [
  { value: '', label: 'not said' },
  { value: 'held', label: 'is in the figure' },
  { value: 'bare', label: 'is not: cab and chassis alone' },
];

/** The mass that the plan starts from, and what was in it. */
export function BaselineCard() {
  const { job, vehicle, assessment, edit, line } = useVehicleEdit();
  const vocabulary = useVocabulary();
  const b = vehicle.baseline;
  const definitions = [
    ...(Object.keys(terms) as (keyof typeof terms)[]).map((value) => ({
      value: value,
      label: vocabulary(job.region, terms[value]).word,
    })),
    { value: 'as-weighed' as Definition, label: 'as weighed' },
  ];
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  return (
    <Panel
      title="Empty vehicle"
      {...(assessment ? { note: `Dry: front ${mass(assessment.dry.front)}, rear ${mass(assessment.dry.rear)}` } : {})}
    >
      <div className="form">
        <Field label="What the figure contains">
          <SelectField
            label="What the figure contains"
            value={b.definition}
            options={definitions}
            onCommit={(definition) =>
              edit('Definition of the empty mass', (v) => {
                v.baseline.definition = definition;
                if (definition === 'as-weighed' && v.baseline.tickets.length === 0) addTicket(v);
              })
            }
          />
        </Field>
        {b.definition === 'as-weighed' ? (
          <p className="hint">
            {assessment && assessment.weighing.tickets.length > 0
              ? `From ${assessment.weighing.tickets.length === 1 ? 'one ticket' : `${assessment.weighing.tickets.length} tickets`} below, each axle ± ${mass(2 * assessment.weighing.sigma.front)} and ${mass(2 * assessment.weighing.sigma.rear)}.`
              : 'The tickets below replace a figure from papers.'}
            {assessment &&
              !assessment.weighing.split &&
              assessment.weighing.tickets.length > 0 &&
              ' No ticket reads the axles apart: the share below is assumed.'}
          </p>
        ) : (
          <PaperFigures />
        )}
        {b.definition !== 'as-weighed' && vehicle.outline.body === 'tray' && (
          <Field label="The tray">
            <SelectField
              label="The tray"
              value={b.tray}
              options={traySaid}
              onCommit={(tray) => edit('The tray of the empty mass', (v) => (v.baseline.tray = tray))}
            />
          </Field>
        )}
        {b.definition === 'as-weighed' &&
          assessment &&
          !assessment.weighing.split &&
          line(
            'Share on the front, %',
            b.frontShare * 100,
            'plain',
            (v, share) => (v.baseline.frontShare = share / 100),
            'Weigh axle by axle before anything is cut',
          )}
        {line('Centre of gravity height', b.cgHeight, 'length', (v, mm) => (v.baseline.cgHeight = mm))}
        <label className="switch-line">
          <input
            type="checkbox"
            className="form-check-input"
            checked={b.cgHeightKnown}
            onChange={(event) => edit('Height known', (v) => (v.baseline.cgHeightKnown = event.target.checked))}
          />
          The height is known, not assumed
        </label>
        {line('Right of the centre line', b.cgSide, 'length', (v, mm) => (v.baseline.cgSide = mm), 'Left is negative')}
      </div>
    </Panel>
  );
}

/** A figure from papers: axle by axle, or a total with an assumed split. */
function PaperFigures() {
  const { vehicle, edit, line } = useVehicleEdit();
  const b = vehicle.baseline;
  return (
    <>
      <Field label="Axle split">
        <SelectField
          label="Axle split"
          value={b.split}
          options={[
            { value: 'known', label: 'Read axle by axle' },
            { value: 'assumed', label: 'Assumed (estimate)' },
          ]}
          onCommit={(split) =>
            edit('Axle split', (v) => {
              const { baseline } = v;
              if (split === 'assumed' && baseline.total === 0) {
                baseline.total = baseline.front + baseline.rear;
                baseline.frontShare =
                  baseline.total > 0 ? Math.round((1000 * baseline.front) / baseline.total) / 1000 : 0.5;
              }
              if (split === 'known' && baseline.front + baseline.rear === 0) {
                baseline.front = Math.round(baseline.total * baseline.frontShare * 10) / 10;
                baseline.rear = Math.round((baseline.total - baseline.front) * 10) / 10;
              }
              baseline.split = split;
            })
          }
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
          {line(
            'Share on the front, %',
            b.frontShare * 100,
            'plain',
            (v, share) => (v.baseline.frontShare = share / 100),
            'Weigh axle by axle before anything is cut',
          )}
        </>
      )}
    </>
  );
}
