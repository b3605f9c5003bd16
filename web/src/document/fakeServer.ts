import type { Document, Job } from '../api/types';

/** A server that keeps one job in memory and answers as the real one does; for tests. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly conflict?: unknown,
  ) {
    super(message);
  }
}

type Save = { base: number; lineage?: string; job: Job };

export const state = {
  stored: { revision: 1, lineage: 'a', job: {} } as Document,
  saves: [] as Save[],
  assessed: [] as unknown[],
  /** What the next saves are answered with instead. */
  next: [] as ((body: Save) => unknown)[],
  /** The server does not answer anything. */
  away: false,
};

const answered = <T>(value: () => T): Promise<T> =>
  state.away ? Promise.reject(new TypeError('away')) : Promise.resolve(structuredClone(value()));

export const answer = (request: Promise<unknown>) => request;

export const api = {
  GET: (path: string) =>
    answered(() =>
      path.endsWith('revision') ? { revision: state.stored.revision, lineage: state.stored.lineage } : state.stored,
    ),
  POST: (path: string, { body }: { body: Job }): Promise<unknown> => {
    if (path === '/api/lift') return answered(() => ({ ...body, version: state.stored.job.version }));
    state.assessed.push(body);
    return answered(() => ({ variant: 'a', items: [], findings: [] }));
  },
  PUT: async (_: string, { body }: { body: Save }) => {
    state.saves.push(structuredClone(body));
    const special = state.next.shift();
    if (special) return special(body);
    return answered(() => (state.stored = { ...state.stored, revision: state.stored.revision + 1, job: body.job }));
  },
};
