import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';

import { answer, api } from '../api/client';
import { Panel } from '../components/Panel';
import { useSession, useSnapshot } from '../document/SessionContext';
import { formatNumber } from '../quantity/format';
import { unitName } from '../quantity/units';
import { ViewDrawing } from '../scene/ViewDrawing';
import { PrintedSheet } from './PrintedSheet';
import { StepCard } from './StepCard';
import { StepList } from './StepList';

/** The measuring sheet of one space: one measure at a time, with a picture of where the tape goes. */
export function MeasurePage() {
  const { bay: id = '' } = useParams();
  const { job, assessment, assessed } = useSnapshot();
  const [finished, setFinished] = useState(false);
  // Each visit of a measure takes the hand to its field anew, also one to where it is already.
  const [{ at, visit }, setPlace] = useState({ at: 0, visit: 0 });
  const setAt = (to: number) => {
    setFinished(false);
    setPlace({ at: to, visit: visit + 1 });
  };
  const bay = job.vehicle.bays.find((b) => b.id === id);
  const { data: sheets, error } = useQuery({
    // Which measures there are hangs on what the space is, not on what was measured; their order comes from the core.
    queryKey: [
      'sheets',
      job.id,
      job.vehicle.bays.map((b) => [b.id, b.kind, b.opening.face, b.obstacles.map((o) => [o.id, o.name])]),
    ],
    queryFn: () => answer(api.POST('/api/sheets', { body: job })),
    placeholderData: keepPreviousData,
  });
  const back = (
    <Link
      to={`/jobs/${job.id}/vehicle/space`}
      className="icon-button"
      aria-label="Back to all spaces"
      title="Back to all spaces"
    >
      <i className="bi bi-arrow-left" aria-hidden />
    </Link>
  );
  if (!bay)
    return (
      <Panel title="Measuring sheet" actions={back}>
        <p className="empty" role="alert">
          This space is not in the job any more.
        </p>
      </Panel>
    );
  const steps = sheets?.find((s) => s.bay === id)?.steps;
  if (!steps)
    return (
      <Panel title="Measuring sheet" actions={back}>
        <p className="empty" aria-busy={!error} role={error ? 'alert' : undefined}>
          {error ? 'The server does not answer; the sheet appears when it does.' : 'Fetching the sheet…'}
        </p>
      </Panel>
    );
  const step = steps[Math.min(at, steps.length - 1)];
  const doubts = assessment?.findings.filter((f) => f.subject.kind === 'bay' && f.subject.id === id) ?? [];
  const figures = assessment?.bays.find((b) => b.id === id);
  const left = figures ? figures.measures - figures.taken : 0;
  // What the last measure says is known when the figures are of this very job.
  const known = finished && assessed === job && figures !== undefined;
  if (known && doubts.length === 0 && left === 0)
    return (
      <Measured
        says={`${bay.name} is measured: ${[figures.box.length, figures.box.width, figures.box.height]
          .filter((mm) => mm > 0)
          .map((mm) => formatNumber(mm, 'length', job.units))
          .join(
            ' × ',
          )} ${unitName('length', job.units)} are clear, ${figures.measures} of ${figures.measures} measures agree.`}
        to={`/jobs/${job.id}/vehicle/space`}
      />
    );
  return (
    <>
      <div className="measure-page">
        <Panel
          title={bay.name}
          className="measure-list"
          actions={
            <>
              {back}
              <button
                type="button"
                className="icon-button"
                aria-label="Print this sheet"
                title="Print this sheet"
                onClick={() => window.print()}
              >
                <i className="bi bi-printer" aria-hidden />
              </button>
            </>
          }
        >
          <StepList steps={steps} bay={bay} at={at} doubts={doubts} onGo={setAt} />
        </Panel>
        {step && (
          <StepCard
            key={`${step.path.join('/')} ${visit}`}
            step={step}
            bay={bay}
            number={at + 1}
            of={steps.length}
            doubts={doubts}
            onGo={(to) => {
              if (to < steps.length) setAt(Math.max(0, to));
              else setFinished(true);
            }}
          />
        )}
        <div className="measure-so-far">
          <ViewDrawing view="above" width={340} height={190} picked={id} alone />
          <ViewDrawing view="behind" width={340} height={190} picked={id} alone />
          {known && (
            <p className="notice" role="status">
              {left > 0 ? `${left} ${left === 1 ? 'measure is' : 'measures are'} still to be taken. ` : ''}
              {doubts.length > 0 ? 'What the measures say against each other stands below; take those again.' : ''}
            </p>
          )}
          <ul className="doubts" aria-label="What the measures say against each other">
            {doubts.map((f) => (
              <li key={f.rule + f.subject.measure} className={`finding finding-${f.severity}`} data-rule={f.rule}>
                <h3>{f.title}</h3>
                <p>{f.sentence}</p>
                {steps.some((s) => s.path.join('/') === f.subject.measure) && (
                  <button
                    type="button"
                    className="link"
                    onClick={() => setAt(steps.findIndex((s) => s.path.join('/') === f.subject.measure))}
                  >
                    Go to this measure
                  </button>
                )}
              </li>
            ))}
          </ul>
        </div>
      </div>
      <PrintedSheet steps={steps} bay={bay} />
    </>
  );
}

/** Says what was found and goes back to all spaces. */
function Measured({ says, to }: { says: string; to: string }) {
  const session = useSession();
  const navigate = useNavigate();
  useEffect(() => {
    session.tell(says);
    void navigate(to);
  }, [session, navigate, says, to]);
  return null;
}
