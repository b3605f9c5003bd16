import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import type { Entry } from './types';

const asked: { path: string; body: { id: string } }[] = [];
let respond: (id: string) => unknown = () => undefined;

class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

vi.mock('./client', () => ({
  Refused,
  answer: (request: Promise<unknown>) => request,
  api: {
    POST: (path: string, { body }: { body: { id: string } }) => {
      asked.push({ path, body });
      return Promise.resolve().then(() => respond(body.id));
    },
  },
}));

const kept = new Map<string, string>();
const entry = (id: string) => ({ to: 'log' as const, job: 'job', row: { id } as Entry });
const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

/** The outbox as a page begins with it. */
const begin = async () => {
  vi.resetModules();
  return import('./outbox');
};

beforeEach(() => {
  vi.useFakeTimers();
  kept.clear();
  asked.length = 0;
  respond = () => undefined;
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('what is kept beside a job', () => {
  it('goes out at once, and is not kept here any longer', async () => {
    const box = await begin();
    box.post(entry('a'));
    await settle();
    expect(asked.map((a) => a.body.id)).toEqual(['a']);
    expect(box.waiting()).toEqual([]);
    expect(kept.size).toBe(0);
  });

  it('waits while the server is away, also over a reload, and goes out in its order', async () => {
    respond = () => {
      throw new TypeError('away');
    };
    const box = await begin();
    box.post(entry('a'));
    box.post(entry('b'));
    await settle();
    expect(box.waiting()).toHaveLength(2);
    const again = await begin();
    expect(again.waiting().map((l) => l.row.id)).toEqual(['a', 'b']);
    respond = () => undefined;
    asked.length = 0;
    await again.send();
    expect(asked.map((a) => a.body.id)).toEqual(['a', 'b']);
    expect(again.waiting()).toEqual([]);
  });

  it('is tried again by itself', async () => {
    respond = () => {
      throw new Refused(503, 'busy');
    };
    const box = await begin();
    box.post(entry('a'));
    await settle();
    respond = () => undefined;
    await settle(3000);
    expect(box.waiting()).toEqual([]);
  });

  it('that is refused is shown with why, holds nothing else up, and can be thrown away', async () => {
    respond = (id) => {
      if (id === 'bad') throw new Refused(422, 'the litres that were filled in');
    };
    const box = await begin();
    box.post(entry('bad'));
    box.post(entry('good'));
    await settle();
    expect(box.waiting()).toMatchObject([{ row: { id: 'bad' }, refused: 'the litres that were filled in' }]);
    box.discard('bad');
    expect(box.waiting()).toEqual([]);
  });
});
