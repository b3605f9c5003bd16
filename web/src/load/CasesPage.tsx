import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';

import { answer, api, Refused } from '../api/client';
import type { Case, Job } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { newId } from '../document/things';
import { CaseMatrix } from './CaseMatrix';
import { ConfidenceList } from './ConfidenceList';
import { UseUpCurve } from './UseUpCurve';

/** The setting of everything that may vary, as it is shown now. */
function caseOfNow(job: Job): Omit<Case, 'id' | 'name'> {
  const variant = chosenVariant(job);
  return {
    switches: variant.switches.map((s) => ({ switch: s.id, on: s.on })),
    choices: variant.choices.map((c) => ({ choice: c.id, member: c.chosen })),
    levels: [...job.vehicle.tanks.map((t) => ({ of: t.id, litres: t.now })), ...variant.items.flatMap((i) => (i.presence.kind === 'level' && i.presence.level ? [{ of: i.id, litres: i.presence.level.now }] : []))],
    coupled: job.trailer?.coupled ?? false,
    stance: '',
  };
}

/** Shows a case: sets everything that may vary as it says. */
function showCase(job: Job, c: Case): void {
  const variant = chosenVariant(job);
  for (const s of variant.switches) s.on = c.switches.find((x) => x.switch === s.id)?.on ?? s.on;
  for (const choice of variant.choices) {
    const member = c.choices.find((x) => x.choice === choice.id)?.member;
    if (member !== undefined && (member === '' ? choice.none : choice.members.some((m) => m.id === member))) choice.chosen = member;
  }
  for (const tank of job.vehicle.tanks) tank.now = Math.min(tank.capacity, c.levels.find((l) => l.of === tank.id)?.litres ?? tank.now);
  for (const item of variant.items) {
    const level = item.presence.level;
    const litres = c.levels.find((l) => l.of === item.id)?.litres;
    if (level && litres !== undefined) level.now = Math.min(level.max, Math.max(level.min, litres));
  }
  if (job.trailer) job.trailer.coupled = c.coupled;
}

/** Is it legal and good in every state that it will be driven in, and how sure is that? */
export function CasesPage() {
  const session = useSession();
  const { job } = useSnapshot();
  const variant = chosenVariant(job);
  const { data, error } = useQuery({
    queryKey: ['load', job],
    queryFn: ({ signal }) => answer(api.POST('/api/load', { body: job, signal })),
    placeholderData: keepPreviousData,
  });
  const keep = () => {
    const id = newId(variant.cases, 'case');
    session.edit('Keep the state as a case', (j) => chosenVariant(j).cases.push({ id, name: `Case ${chosenVariant(j).cases.length + 1}`, ...caseOfNow(j) }));
  };
  return (
    <div className="cases-page">
      <Panel
        title="Cases" className="wide" note="Each state that it is driven in against every limit; the last rows are the exact worst, whatever the cases"
        actions={
          <>
            <AddButton label="Keep the state shown as a case" onClick={keep} />
            <Link className="btn btn-sm btn-outline-secondary" to={`/jobs/${job.id}/load`}>To the load</Link>
          </>
        }
      >
        {error ? <p className="empty" role="alert">{error instanceof Refused ? error.message : 'The server does not answer; the cases appear when it does.'}</p> : !data ? <p className="empty" aria-busy="true">Counting…</p> : (
          <CaseMatrix
            figures={data} job={job}
            onRename={(id, name) => session.edit('Name of case', (j) => chosenVariant(j).cases.filter((c) => c.id === id).forEach((c) => (c.name = name)), `case ${id}`)}
            onRemove={(id) => session.edit('Remove case', (j) => {
              const v = chosenVariant(j);
              v.cases = v.cases.filter((c) => c.id !== id);
            })}
            onShow={(id) => {
              const c = variant.cases.find((x) => x.id === id);
              if (c) session.edit(`Show ${c.name}`, (j) => showCase(j, c));
            }}
            onUpdate={(id) => session.edit('Set case to the state shown', (j) => {
              const v = chosenVariant(j);
              v.cases = v.cases.map((c) => (c.id === id ? { ...c, ...caseOfNow(j), stance: c.stance } : c));
            })}
          />
        )}
      </Panel>
      {data && <ConfidenceList bands={data.confidence} job={job} />}
      {data && <UseUpCurve figures={data} job={job} />}
    </div>
  );
}
