import { replaceEqualDeep } from '@tanstack/react-query';

import { answer, api } from '../api/client';
import type { Assessment, Job } from '../api/types';
import { Newest } from './newest';

/** A job with the variant that it shows alone: the others bear on no figure, and take their time to read. */
export const shownOnly = (job: Job): Job =>
  job.variants.length > 1 ? { ...job, variants: job.variants.filter((v) => v.id === job.chosen) } : job;

interface Asked {
  job: Job;
  moved: readonly string[];
}

/** Asks for figures while a job is edited or dragged: one request in flight, the newest wins. */
export class LiveAssessment {
  latest: Assessment | undefined;
  /** The job that latest was asked for. */
  asked: Job | undefined;
  /** The newest question had no answer, so latest is of an older state. */
  stale = false;
  private readonly newest: Newest<Asked, Assessment>;

  /** changed is called after each answer, also when there was none. */
  constructor(changed: () => void) {
    this.newest = new Newest(
      ({ job, moved }) =>
        answer(api.POST('/api/assess', { params: { query: { moved: moved.join() } }, body: shownOnly(job) })),
      ({ job, moved }, answered) => {
        const fresh = moved.length > 0 && this.latest ? withBench(answered, this.latest.bench) : answered;
        // What did not change stays the same object, so that it is not drawn again.
        this.latest = replaceEqualDeep(this.latest, fresh);
        this.asked = job;
        this.stale = false;
        changed();
      },
      () => {
        this.stale = true; // saving the same document tells why
        changed();
      },
    );
  }

  /** Shows what was said of a job before, until it is asked for again. */
  restore(assessment: Assessment, job: Job): void {
    this.latest = assessment;
    this.asked = job;
  }

  /** Asks for the figures of a job; of what is in the hand alone on the bench, where that is named. */
  ask(job: Job, moved: readonly string[] = []): void {
    this.newest.ask({ job, moved: this.latest ? moved.slice(0, 60) : [] });
  }
}

/** An assessment that has the figures of some parts, with those of the others as they were. */
function withBench(fresh: Assessment, before: Assessment['bench']): Assessment {
  const own = new Map(fresh.bench.map((f) => [f.id, f]));
  return { ...fresh, bench: before.map((f) => own.get(f.id) ?? f) };
}
