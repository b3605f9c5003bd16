import { answer, api, Refused } from '../api/client';
import type { Job } from '../api/types';
import { forgetPending, keptIds, readPending, type Pending } from './pending';

/** A job of the version that the server writes; what an older program kept is lifted by it. */
async function lifted(job: Job, version: number): Promise<Job> {
  return job.version === version ? job : answer(api.POST('/api/lift', { body: job }));
}

/** The edits that this browser keeps for a job, lifted; undefined for none that can be read. */
export async function keptFor(id: string, version: number): Promise<Pending | undefined> {
  const pending = readPending(id);
  if (!pending || (pending.job.version === version && pending.baseJob.version === version)) return pending;
  try {
    return { ...pending, baseJob: await lifted(pending.baseJob, version), job: await lifted(pending.job, version) };
  } catch (error) {
    if (error instanceof Refused) return undefined;
    throw error;
  }
}

/**
 * Sends edits that this browser keeps for jobs that are not open: left while the
 * server was away, or with the window closed at once. What has to be asked about
 * waits until its job is opened.
 */
export async function sendKept(open: (id: string) => boolean): Promise<void> {
  for (const id of keptIds()) {
    if (open(id)) continue;
    try {
      const { job: stored } = await answer(api.GET('/api/jobs/{id}', { params: { path: { id } } }));
      const pending = await keptFor(id, stored.version);
      if (!pending || open(id)) continue;
      const body = { base: pending.base, lineage: pending.lineage ?? '', job: pending.job };
      await answer(api.PUT('/api/jobs/{id}', { params: { path: { id } }, body }));
      forgetPending(id);
    } catch (error) {
      if (!(error instanceof Refused)) return; // the server is away
    }
  }
}
