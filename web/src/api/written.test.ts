import { produce } from 'immer';
import { describe, expect, it } from 'vitest';

import { written } from './written';

/** Something that counts how often it is read. */
function counted() {
  const count = { read: 0 };
  const thing = Object.defineProperty({}, 'kg', { enumerable: true, get: () => ++count.read });
  return { count, thing };
}

/** A number between 0 and 1, always the same ones. */
function numbers(seed: number) {
  return () => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return seed / 2147483648;
  };
}

describe('what is written', () => {
  it('is what JSON says, of anything', () => {
    const next = numbers(7);
    const plain = [undefined, null, true, 0, -1.5, NaN, 1e300, '', 'a "b"\n\u2028 Ä 🛻', '\ud800'];
    const any = (depth: number): unknown => {
      const many = Math.floor(next() * 4);
      if (depth === 0 || next() < 0.3) return plain[Math.floor(next() * plain.length)];
      if (next() < 0.4) return Array.from({ length: many }, () => any(depth - 1));
      return Object.fromEntries(Array.from({ length: many }, (_, i) => [`${i} "key"`, any(depth - 1)]));
    };
    for (let i = 0; i < 500; i++) {
      const value = any(9);
      expect(written(value)).toBe(JSON.stringify(value));
      expect(written(value)).toBe(JSON.stringify(value)); // and again
    }
    expect(written({ at: new Date(0) })).toBe('{"at":"1970-01-01T00:00:00.000Z"}');
  });

  it('of an edited job is new where the edit is, and only there', () => {
    const job = {
      vehicle: { wheelbase: 3210 },
      variants: [
        {
          items: [
            { id: 'a', kg: 1 },
            { id: 'b', kg: 2 },
          ],
        },
      ],
    };
    written(job);
    const next = produce(job, (draft) => {
      (draft.variants[0]?.items[1] as { kg: number }).kg = 3;
    });
    expect(written(next)).toBe(JSON.stringify(next));
    expect(written({ base: 4, job: next })).toBe(JSON.stringify({ base: 4, job: next }));
    expect(written(job)).toBe(JSON.stringify(job));
  });

  it('is read once, wherever it is part of', () => {
    const { count, thing } = counted();
    const job = { variants: [{ items: [thing] }] };
    const text = written(job);
    written({ base: 1, job });
    written({ variants: job.variants.slice() });
    expect(count.read).toBe(1);
    expect(text).toBe('{"variants":[{"items":[{"kg":1}]}]}');
  });
});
