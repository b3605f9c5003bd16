import { keepPreviousData, useQuery } from '@tanstack/react-query';

import type { Job } from '../api/types';
import { shownOnly } from './liveAssessment';
import { useSnapshot } from './SessionContext';
import { useLast } from './useLast';

/** Asks the server for what follows from the job; what it said last stays while it is away or refuses. */
export function useAsked<T>(
  name: string,
  ask: (job: Job, signal: AbortSignal) => Promise<T>,
  away: string,
): { view: T | undefined; trouble: string } {
  const { job } = useSnapshot();
  const { data, error } = useQuery({
    queryKey: [name, job],
    queryFn: ({ signal }) => ask(shownOnly(job), signal),
    placeholderData: keepPreviousData,
  });
  const view = useLast(data);
  return { view, trouble: error ? (error instanceof TypeError ? away : error.message) : '' };
}
