import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';

import { answer, api } from '../api/client';
import { useOutbox } from '../api/useOutbox';
import { useSnapshot } from '../document/SessionContext';

/** The day by the clock on the wall, as 2026-03-30. */
export const today = () => {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
};

/** The seasons of the job beside its plan; anew when a line of the log has arrived. */
export function useSeason() {
  const { job, save } = useSnapshot();
  const client = useQueryClient();
  const letters = useOutbox(job.id).filter((l) => l.to === 'log');
  const waits = letters.length;
  const key = ['season', job.id];
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: ({ signal }) =>
      answer(api.GET('/api/jobs/{id}/season', { params: { path: { id: job.id }, query: { today: today() } }, signal })),
  });
  useEffect(() => void client.invalidateQueries({ queryKey: ['season', job.id] }), [client, job.id, waits, save]);
  return { view: data, letters, away: error !== null };
}
