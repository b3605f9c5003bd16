import { replaceEqualDeep } from '@tanstack/react-query';

import { answer, api, Refused } from '../api/client';
import type { Assessment, Job } from '../api/types';

/** Asks for figures while a job is edited or dragged: one request in flight, the newest wins. */
export class LiveAssessment {
  latest: Assessment | undefined;
  /** The job that latest was asked for. */
  asked: Job | undefined;
  private waiting: Job | undefined;
  private busy = false;

  /** changed is called after each answer, with why there is none or ''. */
  constructor(private readonly changed: (problem: string) => void) {}

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
        const fresh = await answer(api.POST('/api/assess', { body: job }));
        // What did not change stays the same object, so that it is not drawn again.
        this.latest = replaceEqualDeep(this.latest, fresh);
        this.asked = job;
        this.changed('');
      } catch (error) {
        this.changed(error instanceof Refused ? error.message : '');
      }
    }
    this.busy = false;
  }
}
