import { useEffect, useRef } from 'react';

import type { Bay, Finding, Step } from '../api/types';
import { QuantityField } from '../components/QuantityField';
import { on } from '../document/things';
import { useSession, useSnapshot } from '../document/SessionContext';
import { measureAt, setMeasure } from './path';
import { TapePicture } from './TapePicture';

interface Props {
  step: Step;
  bay: Bay;
  number: number;
  of: number;
  doubts: Finding[];
  onGo: (to: number) => void;
}

/** One measure: where the tape goes, and what it reads. */
export function StepCard({ step, bay, number, of, doubts, onGo }: Props) {
  const session = useSession();
  const { job } = useSnapshot();
  const entry = useRef<HTMLDivElement>(null);
  // The hand that holds the tape types at once.
  useEffect(() => entry.current?.querySelector('input')?.focus(), []);
  const value = measureAt(bay, step.path);
  const set = (read: number) =>
    session.edit(`${bay.name}: ${step.title}`, (j) => on(j.vehicle.bays, bay.id, (b) => setMeasure(b, step, read)));
  const own = doubts.filter((f) => f.subject.measure === step.path.join('/'));
  const next = () => onGo(number);
  return (
    <section className="sheet step-card" aria-label={step.title} data-measure={step.path.join('/')}>
      <header className="sheet-head">
        <h2>{step.title}</h2>
        <span className="hint figure">
          {step.group}, {number} of {of}
        </span>
      </header>
      <TapePicture step={step} bay={bay} />
      <p className="step-how">{step.how}</p>
      <div className="step-entry" ref={entry}>
        {step.kind === 'yes' ? (
          <label className="switch-line">
            <input
              type="checkbox"
              className="form-check-input"
              checked={value === 1}
              onChange={(event) => set(event.target.checked ? 1 : 0)}
              onKeyDown={(event) => event.key === 'Enter' && next()}
            />
            {step.title}
          </label>
        ) : (
          <QuantityField
            label={step.title}
            value={value}
            kind={step.kind}
            system={job.units}
            emptyForZero={!step.optional}
            onCommit={set}
            onDone={next}
          />
        )}
        <button
          type="button"
          className="btn btn-outline-secondary"
          disabled={number === 1}
          onClick={() => onGo(number - 2)}
        >
          Back
        </button>
        <button type="button" className="btn btn-primary" onClick={next}>
          {number === of ? 'Done' : 'Next'}
        </button>
      </div>
      {own.map((f) => (
        <p key={f.rule} className="step-doubt" role="status">
          {f.sentence}
        </p>
      ))}
      {step.optional && step.kind === 'length' && <p className="hint step-how">0 where there is none.</p>}
    </section>
  );
}
