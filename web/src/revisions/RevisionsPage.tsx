import { useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useNavigate, useParams } from 'react-router';

import { answer, api, Refused } from '../api/client';
import { BesidePage } from '../components/BesidePage';
import { RevisionRow } from './RevisionRow';

const PAGE = 30;

/** What a job was before: who changed what and when, and the ways back. It stands beside the job's own frame, because
 * it must open for a job that cannot be opened itself. */
export function RevisionsPage() {
  const { id = '' } = useParams();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [told, setTold] = useState('');
  const list = useInfiniteQuery({
    queryKey: ['revisions', id],
    initialPageParam: 0,
    queryFn: ({ pageParam, signal }) =>
      answer(
        api.GET('/api/jobs/{id}/revisions', {
          params: { path: { id }, query: { below: pageParam, limit: PAGE } },
          signal,
        }),
      ),
    getNextPageParam: (last) => (last.more ? last.revisions.at(-1)?.number : undefined),
  });
  const change = useMutation({
    mutationFn: (act: () => Promise<string>) => act(),
    onSuccess: setTold,
    onError: (error) => setTold(error instanceof Refused ? error.message : 'The server does not answer.'),
    onSettled: () => client.invalidateQueries({ queryKey: ['revisions', id] }),
  });
  const path = (number: number) => ({ params: { path: { id, number } } });
  const first = list.data?.pages[0];
  const all = list.data?.pages.flatMap((p) => p.revisions) ?? [];
  return (
    <BesidePage to={`/jobs/${id}`} back="Back to the job" title="Revisions" hint={first?.name ?? ''}>
      {told !== '' && (
        <div className={`notice ${change.isError ? 'notice-trouble' : ''}`} role={change.isError ? 'alert' : 'status'}>
          <p>{told}</p>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => setTold('')}>
            Understood
          </button>
        </div>
      )}
      <p className="hint">
        Every change that was saved, the newest first. Of those older than 30 days the last of each day is kept, and
        each that has a name. Going back makes an earlier state the newest again; nothing between is lost.
      </p>
      {list.isError && (
        <p className="trouble" role="alert">
          {list.error instanceof Refused ? list.error.message : 'The server does not answer.'}
        </p>
      )}
      {list.isPending && (
        <p className="empty" aria-busy="true">
          Reading what was saved…
        </p>
      )}
      {first && (
        <div className="table-wrap sheet">
          <table className="sheet-table revisions-table" aria-label="Revisions">
            <thead>
              <tr>
                <th scope="col">No.</th>
                <th scope="col">When</th>
                <th scope="col">Who</th>
                <th scope="col">What changed</th>
                <th scope="col">Name</th>
                <th scope="col">
                  <span className="visually-hidden">What can be done</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {all.map((r, k) => (
                <RevisionRow
                  key={r.number}
                  revision={r}
                  newest={k === 0}
                  units={first.units}
                  onName={(label) =>
                    change.mutate(async () => {
                      await answer(
                        api.PUT('/api/jobs/{id}/revisions/{number}/label', { ...path(r.number), body: { label } }),
                      );
                      return label === ''
                        ? `Revision ${r.number} has no name any more.`
                        : `Revision ${r.number} is called “${label}” and kept for good.`;
                    })
                  }
                  onBeside={() =>
                    change.mutate(async () => {
                      const copy = await answer(api.POST('/api/jobs/{id}/revisions/{number}/copy', path(r.number)));
                      void navigate(`/jobs/${copy.job.id}`);
                      return '';
                    })
                  }
                  onBack={() =>
                    change.mutate(async () => {
                      const now = await answer(api.POST('/api/jobs/{id}/revisions/{number}/back', path(r.number)));
                      return `The job is as it was at revision ${r.number}; that is revision ${now.revision} now.`;
                    })
                  }
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {list.hasNextPage && (
        <p className="more">
          <Button
            size="sm"
            variant="outline-secondary"
            disabled={list.isFetchingNextPage}
            onClick={() => void list.fetchNextPage()}
          >
            Show older ones
          </Button>
        </p>
      )}
    </BesidePage>
  );
}
