import type { MouseEvent } from 'react';

import type { JobSession } from './session';

/**
 * Fetches a file of the job as it is on the screen: what waits to be saved goes first.
 * Where it cannot be saved, it is said that the file is older; a server that is away
 * gives none, and the page stays.
 */
export async function download(session: JobSession, path: string): Promise<void> {
  const trouble = await session.flush();
  if (session.getSnapshot().save === 'offline') {
    session.tell(`There is no file yet. ${trouble}`);
    return;
  }
  if (trouble !== '') session.tell(`The file is of what was saved last; the edits since are not in it. ${trouble}`);
  window.location.assign(path);
}

/** A link to a file of the job that does the same; opened in another way it is a plain link. */
export const downloading = (session: JobSession, path: string) => (event: MouseEvent) => {
  event.preventDefault();
  void download(session, path);
};
