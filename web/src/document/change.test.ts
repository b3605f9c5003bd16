import { describe, expect, it } from 'vitest';

import { apply, diff, equal, fits, inverse, join, type Change, type Json } from './change';

const job: Json = {
  name: 'A',
  vehicle: { wheelbase: 3150, tanks: [{ id: 'fuel', now: 60 }] },
  items: [
    { id: 'fridge', mass: 43, at: { x: 2790, y: 420 } },
    { id: 'spare', mass: 31, at: { x: 4020, y: 300 } },
  ],
};

const edited: Json = {
  name: 'A',
  vehicle: { wheelbase: 3150, tanks: [] },
  trailer: { mass: 900 },
  items: [
    { id: 'spare', mass: 31, at: { x: 3900, y: 300 } },
    { id: 'water', mass: 55, at: { x: 2360, y: 0 } },
  ],
};

describe('what a gesture did', () => {
  it('is told field by field, by id', () => {
    expect(diff(job, edited).map((c) => c.path.join('/')).sort()).toEqual(['items/fridge', 'items/spare/at/x', 'items/water', 'trailer', 'vehicle/tanks/fuel']);
  });

  it('makes the edited document again, and back', () => {
    const changes = diff(job, edited);
    expect(equal(apply(job, changes), edited)).toBe(true);
    expect(apply(edited, inverse(changes))).toEqual(job);
  });

  it('is carried over onto what somebody else changed', () => {
    const theirs = apply(job, [{ path: ['items', 'fridge', 'mass'], before: 43, after: 47 }]);
    const mine = diff(job, apply(job, [{ path: ['items', 'fridge', 'at', 'x'], before: 2790, after: 2500 }]));
    expect(apply(theirs, mine)).toMatchObject({ items: [{ id: 'fridge', mass: 47, at: { x: 2500 } }, {}] });
  });

  it('does nothing inside of what is gone', () => {
    const gone = apply(job, [{ path: ['items', 'fridge'], before: null, after: undefined }]);
    expect(apply(gone, [{ path: ['items', 'fridge', 'mass'], before: 43, after: 1 }])).toEqual(gone);
  });

  it('can be taken back only while it stands', () => {
    const change = { path: ['items', 'fridge', 'mass'], before: 43, after: 47 };
    const now = apply(job, [change]);
    const [back] = inverse([change]) as [Change];
    expect(fits(now, back)).toBe(true);
    expect(fits(apply(now, [{ ...change, before: 47, after: 50 }]), back)).toBe(false);
  });

  it('joins nudges into one', () => {
    const step = (from: number, to: number) => ({ path: ['items', 'fridge', 'at', 'x'], before: from, after: to });
    const now = apply(job, [step(2790, 2800), step(2800, 2810)]);
    expect(join([step(2790, 2800)], [step(2800, 2810)], now)).toEqual([step(2790, 2810)]);
  });
});
