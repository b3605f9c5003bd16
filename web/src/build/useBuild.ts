import { useQuery, useQueryClient, keepPreviousData } from '@tanstack/react-query';
import { useState } from 'react';
import { useOutletContext } from 'react-router';

import { readLines } from '../api/lines';
import type { BuildLine, BuildView, Job } from '../api/types';
import { shownOnly } from '../document/liveAssessment';
import { useSnapshot } from '../document/SessionContext';
import { useDerive } from '../document/useDerive';
import { useFields } from '../document/useFields';
import { formatQuantity } from '../quantity/format';
import { MM_PER_INCH, type Kind } from '../quantity/units';

/** How a build that is being laid out stands. */
export interface BuildState {
  view: BuildView | undefined;
  /** What is done of the search for fewer sheets; undefined when it is over. */
  share: number | undefined;
  trouble: string;
  stop: () => void;
}

/** In a square metre. */
const SQUARE_FEET = 10.7639;

interface Progress {
  job: Job;
  share: number;
  view?: BuildView;
}

/** The build as it comes first, and then as good as it gets; asked for once for all its sheets. */
export function useBuildAsked(): BuildState {
  const { job } = useSnapshot();
  const client = useQueryClient();
  const [progress, setProgress] = useState<Progress>();
  const { data, error, isFetching } = useQuery({
    queryKey: ['build', job],
    queryFn: async ({ signal }) => {
      let last: BuildView | undefined;
      await readLines<BuildLine>('/api/build', { job: shownOnly(job) }, signal, (line) => {
        last = line.view ?? last;
        setProgress({ job, share: line.share, ...(last ? { view: last } : {}) });
      });
      if (!last) throw new Error('The server gave no build.');
      return last;
    },
    placeholderData: keepPreviousData,
  });
  const own = progress?.job === job ? progress : undefined;
  return {
    // While a job is refused, what was shown last stays, so that it can be put right.
    view: own?.view ?? data ?? progress?.view,
    share: isFetching ? (own?.share ?? 0) : undefined,
    trouble: error
      ? error instanceof TypeError
        ? 'The server does not answer; the build appears when it does.'
        : error.message
      : '',
    stop: () => void client.cancelQueries({ queryKey: ['build', job] }),
  };
}

const writers = new Map<number, Intl.NumberFormat>();

/** Writes figures with so many decimals; one writer for all of them, because to make one takes long. */
function figures(decimals: number): Intl.NumberFormat {
  const known =
    writers.get(decimals) ??
    new Intl.NumberFormat('en', { minimumFractionDigits: decimals, maximumFractionDigits: decimals });
  writers.set(decimals, known);
  return known;
}

/** The build below its page, its fields, and short ways to edit them. */
export function useBuild() {
  const state = useOutletContext<BuildState>();
  const fields = useFields((job) => job.build);
  const { job } = fields;
  const say = (value: number, kind: Kind) => formatQuantity(value, kind, job.units);
  const writer = figures(job.build.money.decimals);
  const money = (cents: number) =>
    `${writer.format(cents / 100).replaceAll(',', '\u202f')} ${job.brief.currency}`.trim();
  const us = job.units === 'us';
  /** A measure to cut by, finer than a tape tells it. */
  const fine = (mm: number) => (us ? (mm / MM_PER_INCH).toFixed(3) : String(+mm.toFixed(1)));
  const area = (m2: number) => (us ? `${(m2 * SQUARE_FEET).toFixed(1)} ft²` : `${m2.toFixed(2)} m²`);
  return { ...fields, ...state, fine, area, build: job.build, say, money, derive: useDerive() };
}
