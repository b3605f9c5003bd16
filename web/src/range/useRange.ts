import { keepPreviousData, useQuery } from '@tanstack/react-query';

import { answer, api, Refused } from '../api/client';
import { shownOnly } from '../document/liveAssessment';
import { chosenVariant } from '../document/SessionContext';
import { useDerive } from '../document/useDerive';
import { useFields } from '../document/useFields';
import { formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';

/** The way of the trip, how it comes out, and short ways to edit it. */
export function useRange() {
  const fields = useFields((job) => job.route);
  const { job } = fields;
  const { data: view, error } = useQuery({
    queryKey: ['range', job],
    queryFn: ({ signal }) => answer(api.POST('/api/range', { body: shownOnly(job), signal })),
    placeholderData: keepPreviousData,
  });
  const say = (value: number, kind: Kind) => formatQuantity(value, kind, job.units);
  return {
    ...fields,
    route: job.route,
    variant: chosenVariant(job),
    typed: job.route.stops.length > 1,
    view,
    trouble: error
      ? error instanceof Refused
        ? error.message
        : 'The server does not answer; the way appears when it does.'
      : '',
    say,
    derive: useDerive(),
  };
}
