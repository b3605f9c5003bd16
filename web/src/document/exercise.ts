import type { Assessment, Job } from '../api/types';

/** In an exercise findings are hidden until the learner compares. */
export const findingsHidden = (job: Job): boolean => job.training !== undefined && !job.training.compared;

const hidden = new WeakMap<Assessment, Assessment>();

/** An assessment without its findings, where the job is an exercise that was not compared yet; the same one each time. */
export function unspoilt(assessment: Assessment | undefined, job: Job): Assessment | undefined {
  if (!assessment || !findingsHidden(job)) return assessment;
  let bare = hidden.get(assessment);
  if (!bare) {
    bare = { ...assessment, findings: [] };
    hidden.set(assessment, bare);
  }
  return bare;
}
