import { useState } from 'react';
import { Link } from 'react-router';

import type { BuildStep, BuildView } from '../api/types';
import { QuantityField } from '../components/QuantityField';
import { TextArea } from '../components/TextArea';
import { useSnapshot } from '../document/SessionContext';
import { formatNumber } from '../quantity/format';
import { Solids } from './Solids';
import { useBuildAsked } from './useBuild';
import { useSteps } from './useSteps';

/** One step at a time, large, for the tablet in the bay: tick it, weigh it, note a trouble. */
export function BenchPage() {
  const { view, trouble } = useBuildAsked();
  const { job } = useSnapshot();
  const [at, setAt] = useState<string>();
  if (trouble !== '' && !view)
    return (
      <p className="empty" role="alert">
        {trouble}
      </p>
    );
  if (!view)
    return (
      <p className="empty" aria-busy="true">
        Putting the steps into their order…
      </p>
    );
  const first = view.steps.find((s) => !s.done) ?? view.steps.at(-1);
  const step = view.steps.find((s) => s.id === at) ?? first;
  const index = view.steps.findIndex((s) => s.id === step?.id);
  const back = (
    <Link className="btn btn-outline-secondary" to={`/jobs/${job.id}/build/order`}>
      All steps
    </Link>
  );
  if (!step)
    return (
      <div className="bench-page">
        <p className="empty">
          {view.ring.length > 0 ? 'The order of work runs in a ring; see under Order.' : 'Nothing is built yet.'}
        </p>
        {back}
      </div>
    );
  const go = (by: number) => setAt(view.steps[index + by]?.id);
  return (
    <div className="bench-page">
      <header>
        {back}
        <span className="figure">
          Step {index + 1} of {view.steps.length}, day {step.day}
          {step.date !== '' && `, ${step.date}`}
        </span>
        <span>
          <button type="button" className="btn btn-outline-secondary" disabled={index <= 0} onClick={() => go(-1)}>
            Back
          </button>{' '}
          <button
            type="button"
            className="btn btn-outline-secondary"
            disabled={index >= view.steps.length - 1}
            onClick={() => go(1)}
          >
            Next
          </button>
        </span>
      </header>
      <BenchStep key={step.id} step={step} view={view} onDone={() => setAt(view.steps[index + 1]?.id)} />
    </div>
  );
}

function BenchStep({ step, view, onDone }: { step: BuildStep; view: BuildView; onDone: () => void }) {
  const { job } = useSnapshot();
  const steps = useSteps();
  const noted = steps.noted(step);
  const part = view.parts.find((p) => p.id === step.module);
  const boards = part ? part.panels.length + part.rods.length : 0;
  // A step that takes all of a part is shown by the whole of it.
  const dark = new Set(step.parts.length < boards ? step.parts : []);
  return (
    <main className={`bench-step ${noted.done ? 'is-done' : ''}`} data-step={step.id}>
      <h1>{step.title}</h1>
      <div className={boards > 0 ? 'bench-columns' : 'bench-column'}>
        {boards > 0 && (
          <div>
            <Solids view={view} module={step.module} dark={dark} label={part?.name ?? ''} />
            {step.parts.length > 0 && <p className="bench-parts figure">{step.parts.join('  ')}</p>}
          </div>
        )}
        <div>
          {step.caution !== '' && <p className="bench-caution">{step.caution}</p>}
          {step.takes.length > 0 && (
            <ul className="bench-takes">
              {step.takes.map((t) => (
                <li key={t}>{t}</li>
              ))}
            </ul>
          )}
          <p>
            {step.tools !== '' && <>Tools: {step.tools}. </>}
            {formatNumber(step.minutes, 'plain', job.units)} min planned
            {step.people > 1 && `, ${step.people} people`}
            {step.makers.length > 0 && `, ${step.makers.join(' and ')}`}.
            {step.wait > 0 && ` Then wait ${formatNumber(step.wait, 'plain', job.units)} h: ${step.why}.`}
          </p>
          <div className="bench-notes">
            <div>
              It took, minutes
              <QuantityField
                bare
                label="Minutes it took"
                value={noted.minutes}
                kind="plain"
                system={job.units}
                emptyForZero
                onCommit={(v) => steps.note(step, 'Minutes', (d) => (d.minutes = v))}
              />
            </div>
            {step.work === 'weigh' && (
              <div>
                It weighs
                <QuantityField
                  label="What it weighs"
                  value={noted.kg}
                  kind="mass"
                  system={job.units}
                  emptyForZero
                  onCommit={(v) => steps.note(step, 'Weighed', (d) => (d.kg = v))}
                />
              </div>
            )}
            <div>
              Trouble
              <TextArea
                label="Trouble"
                value={noted.trouble}
                maxLength={1000}
                rows={2}
                onCommit={(v) => steps.note(step, 'Trouble', (d) => (d.trouble = v))}
              />
            </div>
          </div>
          <button
            type="button"
            className={`btn btn-lg bench-done ${noted.done ? 'btn-outline-secondary' : 'btn-primary'}`}
            onClick={() => {
              steps.tick(step, !noted.done);
              if (!noted.done) onDone();
            }}
          >
            {noted.done ? 'Not done after all' : 'Done'}
          </button>
        </div>
      </div>
    </main>
  );
}
