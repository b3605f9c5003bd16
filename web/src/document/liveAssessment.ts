import { replaceEqualDeep } from '@tanstack/react-query';

import { answer, api } from '../api/client';
import type { Assessment, Job } from '../api/types';

/** A job with the variant that it shows alone: the others bear on no figure, and take their time to read. */
const shownOnly = (job: Job): Job =>
  job.variants.length > 1 ? { ...job, variants: job.variants.filter((v) => v.id === job.chosen) } : job;

/** Asks for figures while a job is edited or dragged: one request in flight, the newest wins. */
export class LiveAssessment {
  latest: Assessment | undefined;
  /** The job that latest was asked for. */
  asked: Job | undefined;
  /** The newest question had no answer, so latest is of an older state. */
  stale = false;
  private waiting: Job | undefined;
  private busy = false;

  /** changed is called after each answer, also when there was none. */
  constructor(private readonly changed: () => void) {}

  /** Shows what was said of a job before, until it is asked for again. */
  restore(assessment: Assessment, job: Job): void {
    this.latest = assessment;
    this.asked = job;
  }

  ask(job: Job): void {
    this.waiting = job;
    if (!this.busy) void this.work();
  }

  private async work(): Promise<void> {
    this.busy = true;
    while (this.waiting) {
      const job = this.waiting;
      this.waiting = undefined;
      try {
        const fresh = await answer(api.POST('/api/assess', { body: shownOnly(job) }));
        // What did not change stays the same object, so that it is not drawn again.
        this.latest = replaceEqualDeep(this.latest, fresh);
        this.asked = job;
        this.stale = false;
      } catch {
        this.stale = true; // saving the same document tells why
      }
      this.changed();
    }
    this.busy = false;
  }
}
