import { useEffect, useSyncExternalStore } from 'react';

import { onWaiting, send, waiting } from './outbox';

/** What of a job waits for the server, or was refused; sends it as soon as that answers. */
export function useOutbox(job: string) {
  const all = useSyncExternalStore(onWaiting, waiting);
  useEffect(() => void send(), []);
  return all.filter((letter) => letter.job === job);
}
