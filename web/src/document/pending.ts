import { written } from '../api/written';
import type { Job } from '../api/types';

/** Edits that are not on the server yet, kept over a reload of the page. */
export interface Pending {
  base: number;
  /** Missing in what was kept before there was one. */
  lineage?: string;
  baseJob: Job;
  job: Job;
}

const prefix = 'zaino.pending.';
const key = (id: string) => `${prefix}${id}`;

export function keepPending(pending: Pending): void {
  try {
    localStorage.setItem(key(pending.job.id), written(pending));
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

/** The jobs that edits are kept for in this browser. */
export function keptIds(): string[] {
  try {
    return Object.keys(localStorage)
      .filter((k) => k.startsWith(prefix))
      .map((k) => k.slice(prefix.length));
  } catch {
    return [];
  }
}

/** Puts kept edits that cannot be read out of the way, without losing them. */
export function setAside(id: string): void {
  try {
    const text = localStorage.getItem(key(id));
    if (text !== null) localStorage.setItem(`zaino.unread.${id}`, text);
    localStorage.removeItem(key(id));
  } catch {
    // see keepPending
  }
}
