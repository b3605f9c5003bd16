import { useFields } from '../document/useFields';

/** The job's brief, and short ways to show and edit its fields. */
export function useBriefEdit() {
  const fields = useFields((job) => job.brief);
  return { ...fields, brief: fields.job.brief };
}
