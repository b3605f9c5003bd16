import { createContext, useContext, useSyncExternalStore } from 'react';

import type { Variant } from '../api/types';
import type { JobSession, Snapshot } from './session';

export const SessionContext = createContext<JobSession | undefined>(undefined);

/** The job session of this screen; only below a JobPage. */
export function useSession(): JobSession {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useSession outside of a job');
  return session;
}

export function useSnapshot(): Snapshot {
  const session = useSession();
  return useSyncExternalStore(session.subscribe, session.getSnapshot);
}

/** The variant that a job shows. */
export function chosenVariant(job: { variants: Variant[]; chosen: string }): Variant {
  const variant = job.variants.find((v) => v.id === job.chosen) ?? job.variants[0];
  if (!variant) throw new Error('a job has at least one variant');
  return variant;
}
