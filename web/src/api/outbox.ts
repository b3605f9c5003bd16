import { answer, api, Refused } from './client';
import type { Entry, Weighed } from './types';

/** What is kept beside a job and never changed: it waits here until the server has it, also over a reload. */
export type Letter =
  | { to: 'weighings'; job: string; row: Weighed; refused?: string }
  | { to: 'log'; job: string; row: Entry; refused?: string };

const key = 'zaino.outbox';
const listeners = new Set<() => void>();
let letters: Letter[] = read();
let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

const every = 2500;

function read(): Letter[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? '[]');
    return Array.isArray(kept) ? (kept as Letter[]) : [];
  } catch {
    return [];
  }
}

function keep(next: Letter[]): void {
  letters = next;
  try {
    if (next.length > 0) localStorage.setItem(key, JSON.stringify(next));
    else localStorage.removeItem(key);
  } catch {
    // A full or forbidden store costs only the safety of a reload.
  }
  for (const tell of listeners) tell();
}

/** What waits for the server, or was refused by it. */
export const waiting = (): Letter[] => letters;

export function onWaiting(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

/** Sends something, now or as soon as the server answers; the id that it carries lets it be sent again. */
export function post(letter: Letter): void {
  keep([...letters, letter]);
  void send();
}

/** Takes away what the server refused. */
export function discard(id: string): void {
  keep(letters.filter((l) => l.row.id !== id));
}

function later(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void send(), every);
}

const request = (letter: Letter): Promise<unknown> => {
  const params = { path: { id: letter.job } };
  return letter.to === 'weighings'
    ? answer(api.POST('/api/jobs/{id}/weighings', { params, body: letter.row }))
    : answer(api.POST('/api/jobs/{id}/log', { params, body: letter.row }));
};

/** Sends what waits, the oldest first; begins again by itself while the server is away. */
export async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (;;) {
      const next = letters.find((l) => l.refused === undefined);
      if (!next) return;
      try {
        await request(next);
        discard(next.row.id);
      } catch (error) {
        if (!(error instanceof Refused) || error.status === 401 || error.status >= 500) {
          later();
          return;
        }
        keep(letters.map((l) => (l.row.id === next.row.id ? { ...l, refused: error.message } : l)));
      }
    }
  } finally {
    sending = false;
  }
}

/** A name that no other has, for what is kept. */
export const rowId = (what: string): string =>
  `${what}-${Date.now().toString(36)}-${Math.random().toString(36).slice(2, 8)}`;
