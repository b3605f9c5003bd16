import { useQuery, useQueryClient } from '@tanstack/react-query';

import { answer, api, Refused } from '../api/client';
import { Panel } from '../components/Panel';
import { useSession, useSnapshot } from '../document/SessionContext';

const key = ['workshop'];

/** What all jobs of the workshop share: kept from this job, or taken into it. */
export function WorkshopCard() {
  const session = useSession();
  const { job } = useSnapshot();
  const client = useQueryClient();
  const { data } = useQuery({ queryKey: key, queryFn: ({ signal }) => answer(api.GET('/api/workshop', { signal })) });
  const failed = (e: unknown) =>
    session.tell(e instanceof Refused ? e.message : 'The server does not answer; nothing was changed.');
  const keep = () =>
    answer(api.PUT('/api/workshop', { body: { job } }))
      .then((kept) => client.setQueryData(key, kept))
      .catch(failed);
  const take = () =>
    session
      .derive('Take the workshop’s list', (j) => answer(api.POST('/api/workshop/take', { body: { job: j } })))
      .catch(failed);
  return (
    <Panel
      title="The workshop"
      className="wide"
      note="Stock, goods with prices, runners, figures, pace, people and terms"
      actions={
        <>
          <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => void keep()}>
            Keep for all jobs
          </button>
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            disabled={!data?.kept}
            onClick={() => void take()}
          >
            Take into this job
          </button>
        </>
      }
    >
      <p className="hint workshop-said" role="status" data-workshop={data?.kept ?? ''}>
        {data?.kept
          ? `Kept for all jobs on ${new Date(data.at).toLocaleString()}. A new job begins with it; a job that is there keeps its own until it takes it.`
          : 'Nothing is kept for all jobs yet: a new job begins with usual figures, without stock and prices.'}
      </p>
    </Panel>
  );
}
