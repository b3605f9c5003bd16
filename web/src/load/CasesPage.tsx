import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';

import { answer, api, Refused } from '../api/client';
import type { Case, Job } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { newId } from '../document/things';
import { CaseMatrix } from './CaseMatrix';
import { CaseSheet } from './CaseSheet';
import { ConfidenceList } from './ConfidenceList';
import { useShowState } from './useShowState';
import { UseUpCurve } from './UseUpCurve';
import { WorstList } from './WorstList';

/** The setting of everything that may vary, as it is shown now. */
function caseOfNow(job: Job): Omit<Case, 'id' | 'name'> {
  const variant = chosenVariant(job);
  return {
    switches: variant.switches.map((s) => ({ switch: s.id, on: s.on })),
    choices: variant.choices.map((c) => ({ choice: c.id, member: c.chosen })),
    levels: [
      ...job.vehicle.tanks.map((t) => ({ of: t.id, litres: t.now })),
      ...variant.items.flatMap((i) =>
        i.presence.kind === 'level' && i.presence.level ? [{ of: i.id, litres: i.presence.level.now }] : [],
      ),
    ],
    people: [],
    charges: [],
    coupled: job.trailer?.coupled ?? false,
    stance: '',
  };
}

/** Is it legal and good in every state that it will be driven in, and how sure is that? */
export function CasesPage() {
  const session = useSession();
  const { job } = useSnapshot();
  const [open, setOpen] = useState('');
  const show = useShowState();
  const { data, error } = useQuery({
    queryKey: ['load', job],
    queryFn: ({ signal }) => answer(api.POST('/api/load', { body: job, signal })),
    placeholderData: keepPreviousData,
  });
  const keep = () => {
    const id = newId(chosenVariant(job).cases, 'case');
    session.edit('Keep the state as a case', (j) =>
      chosenVariant(j).cases.push({ id, name: `Case ${chosenVariant(j).cases.length + 1}`, ...caseOfNow(j) }),
    );
  };
  return (
    <div className="cases-page">
      <Panel
        title="Cases"
        className="wide"
        note="Each state that it is driven in against every limit; the last rows are the exact worst, whatever the cases"
        actions={
          <>
            <AddButton label="Keep the state shown as a case" onClick={keep} />
            <Link className="btn btn-sm btn-outline-secondary" to={`/jobs/${job.id}/load`}>
              To the load
            </Link>
          </>
        }
      >
        {error ? (
          <p className="empty" role="alert">
            {error instanceof Refused ? error.message : 'The server does not answer; the cases appear when it does.'}
          </p>
        ) : !data ? (
          <p className="empty" aria-busy="true">
            Counting…
          </p>
        ) : (
          <CaseMatrix
            figures={data}
            job={job}
            onRename={(id, name) =>
              session.edit(
                'Name of case',
                (j) =>
                  chosenVariant(j)
                    .cases.filter((c) => c.id === id)
                    .forEach((c) => (c.name = name)),
                `case ${id}`,
              )
            }
            onRemove={(id) =>
              session.edit('Remove case', (j) => {
                const v = chosenVariant(j);
                v.cases = v.cases.filter((c) => c.id !== id);
              })
            }
            open={open}
            onOpen={setOpen}
            onShow={show}
            onUpdate={(id) =>
              session.edit('Set case to the state shown', (j) => {
                const v = chosenVariant(j);
                v.cases = v.cases.map((c) =>
                  c.id === id ? { ...c, ...caseOfNow(j), people: c.people, stance: c.stance } : c,
                );
              })
            }
          />
        )}
      </Panel>
      {open !== '' && <CaseSheet id={open} onClose={() => setOpen('')} />}
      {data && <WorstList columns={data.columns} job={job} />}
      {data && <ConfidenceList bands={data.confidence} job={job} />}
      {data && <UseUpCurve figures={data} job={job} />}
    </div>
  );
}
