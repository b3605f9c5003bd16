import { useState } from 'react';

import type { WeighIn, WeighInView } from '../api/types';
import { Field } from '../components/Field';
import { RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextArea } from '../components/TextArea';
import { downloading } from '../document/download';
import { drop, on } from '../document/things';
import { derived, useDerive } from '../document/useDerive';
import { formatMassColumn } from '../quantity/format';
import { Aboard } from './Aboard';
import { Bands, readingNames as names } from './Bands';
import { useWeigh } from './useWeigh';

const readings = [
  { value: 'axles', label: 'Two axles' },
  { value: 'corners', label: 'Four corners' },
  { value: 'total', label: 'The whole only' },
] as const;

const figures = {
  axles: [
    ['front', 'Front axle'],
    ['rear', 'Rear axle'],
    ['total', 'Whole, as read at once'],
  ],
  corners: [
    ['frontLeft', 'Front left'],
    ['frontRight', 'Front right'],
    ['rearLeft', 'Rear left'],
    ['rearRight', 'Rear right'],
  ],
  total: [['total', 'The whole']],
} as const;

/** One weighing beside the plan of its day: what it read, what that says, and what explains it. */
export function WeighInCard({ look, own }: { look: WeighInView; own: WeighIn }) {
  const { session, job, edit, line, tick, text, say, change } = useWeigh();
  const derive = useDerive();
  const [open, setOpen] = useState(false);
  const set = (label: string, to: (w: WeighIn) => void) =>
    edit(label, (v) => on(v.weighIns, own.id, to), `${label} ${own.id}`);
  const mine = (to: (w: WeighIn, value: number) => void) => (v: { weighIns: WeighIn[] }, value: number) =>
    on(v.weighIns, own.id, (w) => to(w, value));
  const papers = job.handover.papers.filter((p) => p.kind === 'weighbridge');
  const certificate = `/api/jobs/${job.id}/weighing.pdf?of=${own.id}`;
  return (
    <Panel
      title={own.name}
      className={`wide weigh-in ${own.calibrates ? 'is-calibrating' : ''}`}
      note={own.at.replace('T', ' ')}
      actions={
        <>
          <a
            className="btn btn-sm btn-outline-secondary"
            href={certificate}
            onClick={downloading(session, certificate)}
          >
            Certificate
          </a>
          <button
            type="button"
            className={`btn btn-sm ${own.calibrates ? 'btn-outline-secondary' : 'btn-primary'}`}
            disabled={look.degrees === 0}
            onClick={() =>
              edit(own.calibrates ? 'Plan by its own figures' : 'Calibrate the plan', (v) =>
                on(v.weighIns, own.id, (w) => (w.calibrates = !own.calibrates)),
              )
            }
          >
            {own.calibrates ? 'Take the calibration off' : 'Calibrate'}
          </button>
          <RemoveButton
            label={`Remove ${own.name}`}
            onClick={() => edit(`Remove ${own.name}`, (v) => drop(v.weighIns, own.id))}
          />
        </>
      }
    >
      <div data-weigh-in={own.id}>
        {look.degrees === 0 ? (
          <p className="empty">
            {own.aboard.length === 0
              ? 'Nobody wrote down what was aboard; note it below.'
              : 'Nothing was read yet. Type the figures of the ticket below.'}
          </p>
        ) : (
          <>
            <ul className={`weigh-says ${look.agrees ? '' : 'is-doubted'}`} aria-label={`What ${own.name} says`}>
              {look.sentences.map((s) => (
                <li key={s}>{s}</li>
              ))}
            </ul>
            {look.explanations.length > 0 && (
              <ol className="weigh-causes" aria-label="What would explain it, the likeliest first">
                {look.explanations.map((e) => (
                  <li key={e.cause + e.of} data-cause={e.cause}>
                    <meter min={0} max={1} value={e.share} aria-label={`How likely: ${Math.round(e.share * 100)} %`} />
                    <span>{e.sentence}</span>
                    <button
                      type="button"
                      className="btn btn-sm btn-outline-secondary"
                      onClick={() => set('What it turned out to be', (w) => (w.why = e.sentence.slice(0, 1000)))}
                    >
                      It was this
                    </button>
                  </li>
                ))}
              </ol>
            )}
            <div className="weigh-tables">
              <table className="sheet-table" aria-label={`${own.name}, read and planned`}>
                <thead>
                  <tr>
                    <th scope="col">Reading</th>
                    <th scope="col" className="over-figures">
                      Read
                    </th>
                    <th scope="col" className="over-figures">
                      Planned
                    </th>
                    <th scope="col" className="over-figures">
                      Off
                    </th>
                    <th scope="col" className="over-figures" title="Standard uncertainty of plan and scale together">
                      ± σ
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {look.figures.map((f) => (
                    <tr key={f.name}>
                      <th scope="row">{names[f.name]}</th>
                      <td className="figure">{formatMassColumn(f.read, job.units)}</td>
                      <td className="figure">{formatMassColumn(f.planned, job.units)}</td>
                      <td className={`figure ${Math.abs(f.read - f.planned) > 2 * f.sigma ? 'is-off' : ''}`}>
                        {change(f.read - f.planned)}
                      </td>
                      <td className="figure">{formatMassColumn(f.sigma, job.units)}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <div>
                <h3>If the plan goes by it</h3>
                <Bands look={look} />
                {look.turned
                  .filter((t) => Math.abs(t.kg) >= 0.5)
                  .slice(0, 4)
                  .map((t) => (
                    <p key={t.of + t.name} className="figure weigh-turned">
                      {t.name}: {change(t.kg)}{' '}
                      <small>
                        ± {say(t.sigma)}, was ± {say(t.before)}
                      </small>
                    </p>
                  ))}
              </div>
              <table className="sheet-table" aria-label={`${own.name}, against the limits`}>
                <thead>
                  <tr>
                    <th scope="col">Against the limit</th>
                    <th scope="col" className="over-figures">
                      Read
                    </th>
                    <th scope="col" className="over-figures">
                      Limit
                    </th>
                    <th scope="col" className="over-figures">
                      Left
                    </th>
                    <th scope="col" className="over-figures">
                      Over, probably
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {look.results.map((r) => (
                    <tr key={r.title}>
                      <th scope="row">{r.title}</th>
                      <td className="figure">{formatMassColumn(r.read, job.units)}</td>
                      <td className="figure">{r.limit > 0 ? formatMassColumn(r.limit, job.units) : 'not stated'}</td>
                      <td className={`figure ${r.left < 0 ? 'is-over' : ''}`}>{r.limit > 0 ? change(r.left) : ''}</td>
                      <td className="figure">
                        {r.limit > 0 ? `${(100 * r.over).toFixed(r.over < 0.1 ? 1 : 0)} %` : ''}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </>
        )}
        <p className="hint weigh-legal">
          {look.legal ? 'With the ticket of a public weighbridge.' : 'Not a legal weighing.'}
          {look.since > 0.5 && ` Since then ${say(look.since)} was changed in the plan.`}
        </p>
        <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
          <summary>How it was weighed, and what was aboard</summary>
          {open && (
            <>
              <div className="form">
                <Field label="Called">
                  {text(
                    `Name of ${own.name}`,
                    own.name,
                    (v, t) => on(v.weighIns, own.id, (w) => (w.name = t)),
                    120,
                    true,
                  )}
                </Field>
                <Field label="When">
                  {text(`When of ${own.name}`, own.at, (v, t) => on(v.weighIns, own.id, (w) => (w.at = t)), 40)}
                </Field>
                <Field label="Device">
                  {text(
                    `Device of ${own.name}`,
                    own.device,
                    (v, t) => on(v.weighIns, own.id, (w) => (w.device = t)),
                    120,
                  )}
                </Field>
                <Field label="By">
                  {text(
                    `Who weighed ${own.name}`,
                    own.operator,
                    (v, t) => on(v.weighIns, own.id, (w) => (w.operator = t)),
                    120,
                  )}
                </Field>
                <Field label="Read were">
                  <SelectField
                    label={`What was read of ${own.name}`}
                    value={own.reading}
                    options={readings}
                    onCommit={(r) => set('What was read', (w) => (w.reading = r))}
                  />
                </Field>
                {figures[own.reading].map(([key, label]) => (
                  <div key={key}>
                    {line(
                      [label, `${label} of ${own.name}`],
                      own[key],
                      'mass',
                      mine((w, x) => (w[key] = x)),
                      undefined,
                      true,
                    )}
                  </div>
                ))}
                {line(
                  ['Its step', `Step of ${own.name}`],
                  own.resolution,
                  'mass',
                  mine((w, x) => (w.resolution = x)),
                  'smallest that it shows',
                  true,
                )}
                {line(
                  ['Class, σ', `Class of ${own.name}`],
                  own.class,
                  'mass',
                  mine((w, x) => (w.class = x)),
                  'of one reading, where it is known',
                  true,
                )}
                {line(
                  ['Pads, front', `Pads in front of ${own.name}`],
                  own.padFront,
                  'length',
                  mine((w, x) => (w.padFront = x)),
                )}
                {line(
                  ['Pads, rear', `Pads behind of ${own.name}`],
                  own.padRear,
                  'length',
                  mine((w, x) => (w.padRear = x)),
                )}
                {line(
                  ['Slope, nose up', `Slope of ${own.name}`],
                  own.slope,
                  'angle',
                  mine((w, x) => (w.slope = x)),
                )}
              </div>
              <div className="weigh-way">
                {tick(`${own.name} stood level`, 'stood level, or its slope was measured', own.level, (v, x) =>
                  on(v.weighIns, own.id, (w) => (w.level = x)),
                )}
                {tick(`${own.name} brakes off`, 'brakes off', own.brakesOff, (v, x) =>
                  on(v.weighIns, own.id, (w) => (w.brakesOff = x)),
                )}
                {tick(`${own.name} twice`, 'weighed twice alike', own.twice, (v, x) =>
                  on(v.weighIns, own.id, (w) => (w.twice = x)),
                )}
                {tick(`${own.name} public`, 'by a public weighbridge', own.public, (v, x) =>
                  on(v.weighIns, own.id, (w) => (w.public = x)),
                )}
                {own.public && (
                  <SelectField
                    label={`Ticket of ${own.name}`}
                    value={papers.some((p) => p.id === own.paper) ? own.paper : ''}
                    options={[
                      {
                        value: '',
                        label: papers.length > 0 ? 'Which ticket?' : 'Its ticket goes under Handover, Papers',
                      },
                      ...papers.map((p) => ({ value: p.id, label: p.name })),
                    ]}
                    onCommit={(id) => set('Ticket', (w) => (w.paper = id))}
                  />
                )}
              </div>
              <Field label="What it turned out to be">
                <TextArea
                  label={`What ${own.name} turned out to be`}
                  value={own.why}
                  maxLength={1000}
                  rows={2}
                  onCommit={(t) => set('What it turned out to be', (w) => (w.why = t))}
                />
              </Field>
              <Aboard
                own={own}
                onNote={() => void derive('Note what is aboard', derived('weigh-note', { id: own.id }))}
              />
            </>
          )}
        </details>
      </div>
    </Panel>
  );
}
