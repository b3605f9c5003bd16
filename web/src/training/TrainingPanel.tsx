import { Link } from 'react-router';

import { answer, api } from '../api/client';
import type { Lesson } from '../api/types';
import { RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { TextField } from '../components/TextField';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { useAsked } from '../document/useAsked';

/** An exercise: what the learner marked, and once compared what was found, missed and marked in vain. */
export function TrainingPanel() {
  const { job } = useSnapshot();
  if (!job.training) return null;
  return job.training.compared ? <Compared /> : <Marks />;
}

function Marks() {
  const session = useSession();
  const { job } = useSnapshot();
  const training = job.training;
  if (!training) return null;
  const nameOf = (id: string) =>
    chosenVariant(job).items.find((i) => i.id === id)?.name ?? job.vehicle.bays.find((b) => b.id === id)?.name ?? id;
  return (
    <Panel
      title="Find the mistakes"
      className="wide training"
      note={`${training.made.length} are in this build; findings are hidden. Choose a thing on the bench or in the ledger and mark it.`}
      actions={
        <button
          type="button"
          className="btn btn-sm btn-primary"
          onClick={() => session.edit('Compare', (j) => j.training && (j.training.compared = true))}
        >
          Compare
        </button>
      }
    >
      {training.marked.length === 0 ? (
        <p className="empty">Nothing is marked yet.</p>
      ) : (
        <ul className="marks" aria-label="Marked as wrong">
          {training.marked.map((m) => (
            <li key={m.of} data-marked={m.of}>
              <Link to={`layout#${m.of}`}>{nameOf(m.of)}</Link>
              <TextField
                label={`What is wrong with ${nameOf(m.of)}`}
                value={m.what}
                maxLength={1000}
                placeholder="what is wrong, if you like"
                onCommit={(what) =>
                  session.edit(`What is wrong with ${nameOf(m.of)}`, (j) =>
                    j.training?.marked.filter((x) => x.of === m.of).forEach((x) => (x.what = what)),
                  )
                }
              />
              <RemoveButton
                label={`Take the mark off ${nameOf(m.of)}`}
                onClick={() =>
                  session.edit(`Take the mark off ${nameOf(m.of)}`, (j) => {
                    if (j.training) j.training.marked = j.training.marked.filter((x) => x.of !== m.of);
                  })
                }
              />
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}

function Compared() {
  const session = useSession();
  const { view, trouble } = useAsked(
    'lesson',
    (job, signal) => answer(api.POST('/api/lesson', { body: job, signal })),
    'The server does not answer; what came of it appears when it does.',
  );
  return (
    <Panel
      title="Find the mistakes"
      className="wide training"
      note={view ? `${view.found.length} of ${view.mistakes} found` : 'Comparing…'}
      actions={
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() => session.edit('Look once more', (j) => j.training && (j.training.compared = false))}
        >
          Look once more
        </button>
      }
    >
      {trouble !== '' && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      {view && (
        <div className="lesson">
          <Lines title="Found" icon="bi-check-lg" lines={view.found} empty="None of them yet." kind="found" />
          <Lines title="Missed" icon="bi-eye-slash" lines={view.missed} empty="None: all were seen." kind="missed" />
          <Lines title="Marked in vain" icon="bi-x-lg" lines={view.inVain} kind="in-vain" />
          <Lines title="True too, though nobody put it in" icon="bi-info-lg" lines={view.alsoSo} kind="also-so" />
        </div>
      )}
    </Panel>
  );
}

function Lines({
  title,
  icon,
  lines,
  empty,
  kind,
}: {
  title: string;
  icon: string;
  lines: Lesson['found'];
  empty?: string;
  kind: string;
}) {
  if (lines.length === 0 && !empty) return null;
  return (
    <section aria-label={title} data-lesson={kind}>
      <h3>
        <i className={`bi ${icon}`} aria-hidden /> {title} <small className="figure">{lines.length}</small>
      </h3>
      {lines.length === 0 && <p className="hint">{empty}</p>}
      <ul>
        {lines.map((l, i) => (
          <li key={i} data-lesson-of={l.of}>
            <Link to={`layout#${l.of}`}>{l.title}</Link>
            {l.what !== '' && <span className="hint"> You wrote: “{l.what}”</span>}
            <p>{l.told}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}
