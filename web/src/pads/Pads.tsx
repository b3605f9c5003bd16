import { Link } from 'react-router';

import type { Pad } from '../api/types';
import { StateMark } from '../components/StateMark';
import { useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import type { System } from '../quantity/units';
import { useVocabulary } from '../words/words';

const terms: Record<Pad['id'], string> = {
  front: 'frontAxle',
  rear: 'rearAxle',
  gross: 'gross',
  combination: 'combination',
};

/** The vehicle on its weighing pads: what rests where, of how much, and what is left. */
export function Pads() {
  const { job, assessment, stale, trial } = useSnapshot();
  const vocabulary = useVocabulary();
  if (!assessment) return <div className="pads" aria-busy="true" aria-label="Pads" />;
  return (
    <section
      className={`pads ${stale ? 'pads-stale' : ''}`}
      aria-label={stale ? 'Pads, of the last state that could be counted' : 'Pads'}
    >
      {assessment.pads.map((pad) => {
        const { word, others } = vocabulary(job.region, terms[pad.id]);
        const before = trial?.before?.pads.find((p) => p.id === pad.id);
        return (
          <OnePad key={pad.id} pad={pad} before={before} job={job.id} system={job.units} term={word} others={others} />
        );
      })}
    </section>
  );
}

function OnePad({
  pad,
  before,
  job,
  system,
  term,
  others,
}: {
  pad: Pad;
  before: Pad | undefined;
  job: string;
  system: System;
  term: string;
  others: string;
}) {
  const mass = (kg: number) => formatQuantity(kg, 'mass', system);
  return (
    <article
      title={
        pad.limit > 0
          ? `${mass(pad.load)} ± ${mass(2 * pad.sigma)}, over with a probability of ${(100 * pad.over).toFixed(1)} %`
          : undefined
      }
      className={`pad pad-${pad.state}`}
      data-pad={pad.id}
      aria-label={pad.title}
    >
      <div className="pad-head">
        <h2>
          <Link to={`/jobs/${job}/load/account#${pad.id}`} title="Where this comes from">
            {pad.title}
          </Link>
        </h2>
        <StateMark state={pad.state} />
      </div>
      <div className="pad-figures">
        <span className="pad-load figure" data-figure="load">
          {mass(pad.load)}
        </span>
        <span className="pad-of" title={pad.binds === '' ? others : `${term}. Binds: ${pad.binds}. ${others}`}>
          {pad.limit > 0 ? (
            <>
              of{' '}
              <span className="figure" data-figure="limit">
                {mass(pad.limit)}
              </span>{' '}
              {term}
              {pad.binds !== '' && <span className="pad-binds">, here {pad.binds}</span>}
            </>
          ) : (
            <>{term} not stated</>
          )}
        </span>
      </div>
      <PadPlate pad={pad} before={before} />
      <div className="pad-foot">
        {pad.limit > 0 && (
          <span className="pad-left figure" data-figure="left">
            {pad.left < 0 ? `${mass(-pad.left)} over` : `${mass(pad.left)} left`}
          </span>
        )}
        {before && (
          <span className="pad-before" data-figure="before">
            before <span className="figure">{mass(before.load)}</span>
          </span>
        )}
        {!before && Math.abs(pad.done - pad.load) >= 0.05 && (
          <span className="hint" title="With what comes later and what others fit">
            finished{' '}
            <span className="figure" data-figure="done">
              {mass(pad.done)}
            </span>
          </span>
        )}
        {!before && (
          <span className="hint" title="The most that this job can put here, over every switch, choice, tank and level">
            worst state <span className="figure">{mass(pad.worst)}</span>
          </span>
        )}
      </div>
    </article>
  );
}

/** The plate of a pad: pressed down from the left by the load, with the limit as a stop and the worst state as a tick. */
function PadPlate({ pad, before }: { pad: Pad; before: Pad | undefined }) {
  const full = Math.max(pad.limit, pad.worst, pad.load, before?.load ?? 0, 1) * 1.06;
  const at = (kg: number) => Math.max(0, (kg / full) * 200);
  return (
    <svg className="pad-plate" viewBox="0 0 200 18" preserveAspectRatio="none" aria-hidden>
      <path d="M3 4h194l3 12H0z" className="plate" />
      <path d={`M3 4h${Math.max(0, at(pad.load) - 3)}v12H0z`} className="plate-load" />
      <rect
        x={at(pad.load - 2 * pad.sigma)}
        y={7}
        width={Math.max(1, at(pad.load + 2 * pad.sigma) - at(pad.load - 2 * pad.sigma))}
        height={6}
        className="plate-band"
      />
      {before && <path d={`M${at(before.load)} 2v14`} className="plate-before" />}
      <path d={`M${at(pad.worst)} 4v12`} className="plate-worst" />
      {pad.limit > 0 && <path d={`M${at(pad.limit)} 0v18`} className="plate-limit" />}
    </svg>
  );
}
