import { useOutletContext } from 'react-router';

import { answer, api } from '../api/client';
import type { WeighView } from '../api/types';
import { chosenVariant } from '../document/SessionContext';
import { useAsked } from '../document/useAsked';
import { useFields } from '../document/useFields';
import { formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';

export interface WeighState {
  view: WeighView | undefined;
  trouble: string;
}

/** What is known of the weight of the job; asked for once for all its sheets. */
export const useWeighAsked = (): WeighState =>
  useAsked(
    'weigh',
    (job, signal) => answer(api.POST('/api/weigh', { body: { job }, signal })),
    'The server does not answer. What is weighed is kept here until it does.',
  );

/** The weighing below its page, the variant's fields, and short ways to say figures. */
export function useWeigh() {
  const state = useOutletContext<WeighState>();
  const fields = useFields((job) => chosenVariant(job));
  const { job } = fields;
  const say = (value: number, kind: Kind = 'mass') => formatQuantity(value, kind, job.units);
  /** A mass to a tenth below a hundred, else whole, with its sign where it is a difference. */
  const change = (kg: number) => `${kg > 0 ? '+' : kg < 0 ? '−' : ''}${say(Math.abs(kg))}`;
  return { ...fields, ...state, variant: chosenVariant(job), say, change };
}
