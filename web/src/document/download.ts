import type { MouseEvent } from 'react';

import type { JobSession } from './session';

/** Fetches a file of the job as it is on the screen: what waits to be saved goes first. */
export async function download(session: JobSession, path: string): Promise<void> {
  await session.flush();
  window.location.assign(path);
}

/** A link to a file of the job that does the same; opened in another way it is a plain link. */
export const downloading = (session: JobSession, path: string) => (event: MouseEvent) => {
  event.preventDefault();
  void download(session, path);
};
