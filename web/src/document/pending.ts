import type { Job } from '../api/types';

/** Edits that are not on the server yet, kept over a reload of the page. */
export interface Pending {
  base: number;
  baseJob: Job;
  job: Job;
}

const key = (id: string) => `zaino.pending.${id}`;

export function keepPending(pending: Pending): void {
  try {
    localStorage.setItem(key(pending.job.id), JSON.stringify(pending));
  } catch {
    // A full or forbidden store costs only the safety of a reload.
  }
}

export function forgetPending(id: string): void {
  try {
    localStorage.removeItem(key(id));
  } catch {
    // see keepPending
  }
}

export function readPending(id: string): Pending | undefined {
  try {
    const text = localStorage.getItem(key(id));
    return text === null ? undefined : (JSON.parse(text) as Pending);
  } catch {
    return undefined;
  }
}
