import createClient from 'openapi-fetch';

import type { Conflict, Document } from './types';
import type { paths } from './schema';
import { written } from './written';

export const api = createClient<paths>({ bodySerializer: (body: unknown) => written(body) });

/** A request that the server refused, with the sentence that says why. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly conflict?: { current: Document; conflicts: Conflict[] },
  ) {
    super(message);
  }
}

interface Problem {
  detail?: string;
  title?: string;
  status?: number;
  current?: Document;
  conflicts?: Conflict[];
}

/** Unwraps an answer: its data, or a Refused with the server's own sentence. */
export async function answer<T>(request: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await request;
  if (response.ok) return data as T;
  const problem = (typeof error === 'object' && error !== null ? error : {}) as Problem;
  const message = problem.detail ?? problem.title ?? `The server answered ${response.status}.`;
  const conflict =
    problem.current && problem.conflicts ? { current: problem.current, conflicts: problem.conflicts } : undefined;
  throw new Refused(response.status, message, conflict);
}
