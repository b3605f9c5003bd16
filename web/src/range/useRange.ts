import { keepPreviousData, useQuery } from '@tanstack/react-query';

import { answer, api, Refused } from '../api/client';
import type { FixEdit } from '../api/types';
import { shownOnly } from '../document/liveAssessment';
import { chosenVariant } from '../document/SessionContext';
import { useFields } from '../document/useFields';
import { formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';

/** The way of the trip, how it comes out, and short ways to edit it. */
export function useRange() {
  const fields = useFields((job) => job.route);
  const { job, session } = fields;
  const { data: view, error } = useQuery({
    queryKey: ['range', job],
    queryFn: ({ signal }) => answer(api.POST('/api/range', { body: shownOnly(job), signal })),
    placeholderData: keepPreviousData,
  });
  const say = (value: number, kind: Kind) => formatQuantity(value, kind, job.units);
  /** Makes an edit that the core derives; a refusal is told. */
  const derive = (label: string, edit: FixEdit) =>
    session
      .derive(label, (j) => answer(api.POST('/api/fix', { body: { edits: [edit], job: j } })))
      .catch((e: unknown) =>
        session.tell(e instanceof Refused ? e.message : 'The server does not answer; nothing was changed.'),
      );
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
    derive,
  };
}

/** An edit that the core derives, with what it does not need left empty. */
export const derived = (kind: FixEdit['kind'], rest: Partial<FixEdit> = {}): FixEdit => ({
  kind,
  id: '',
  with: '',
  value: 0,
  ...rest,
});
