import { describe, expect, it } from 'vitest';

import { hashOfKey } from './hashOfKey';

describe('what a question is known by', () => {
  it('is the same of jobs that say the same, and other where one figure is', () => {
    const job = { id: 'a', vehicle: { wheelbase: 3210 } };
    expect(hashOfKey(['build', job])).toBe(hashOfKey(['build', structuredClone(job)]));
    expect(hashOfKey(['build', job])).not.toBe(hashOfKey(['build', { ...job, vehicle: { wheelbase: 3211 } }]));
  });

  it('tells questions, their parts and lists apart', () => {
    const all = [
      ['a', 'b'],
      ['ab'],
      ['a', ['b']],
      ['a', undefined],
      ['a', 'undefined'],
      ['a', null],
      ['a', 1],
      ['a', '1'],
      ['a\nb'],
    ];
    expect(new Set(all.map(hashOfKey)).size).toBe(all.length);
  });
});
