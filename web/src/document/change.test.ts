import { describe, expect, it } from 'vitest';

import { apply, diff, equal, fits, inverse, join, type Change, type Json } from './change';

const job: Json = {
  name: 'A',
  vehicle: { wheelbase: 3150, tanks: [{ id: 'fuel', now: 60 }] },
  variants: [
    {
      id: 'a',
      items: [
        { id: 'fridge', mass: 43, at: { x: 2790, y: 420 } },
        { id: 'spare', mass: 31, at: { x: 4020, y: 300 } },
      ],
    },
  ],
};

const edited: Json = {
  name: 'A',
  vehicle: { wheelbase: 3150, tanks: [] },
  trailer: { mass: 900 },
  variants: [
    {
      id: 'a',
      items: [
        { id: 'spare', mass: 31, at: { x: 3900, y: 300 } },
        { id: 'water', mass: 55, at: { x: 2360, y: 0 } },
      ],
    },
  ],
};

const items = ['variants', 'a', 'items'];

describe('what a gesture did', () => {
  it('is told field by field, by id', () => {
    expect(
      diff(job, edited)
        .map((c) => c.path.join('/'))
        .sort(),
    ).toEqual([
      'trailer',
      'variants/a/items/fridge',
      'variants/a/items/spare/at/x',
      'variants/a/items/water',
      'vehicle/tanks/fuel',
    ]);
  });

  it('makes the edited document again, and back', () => {
    const changes = diff(job, edited);
    expect(equal(apply(job, changes), edited)).toBe(true);
    expect(apply(edited, inverse(changes))).toEqual(job);
  });

  it('is carried over onto what somebody else changed', () => {
    const theirs = apply(job, [{ path: [...items, 'fridge', 'mass'], before: 43, after: 47 }]);
    const mine = diff(job, apply(job, [{ path: [...items, 'fridge', 'at', 'x'], before: 2790, after: 2500 }]));
    expect(apply(theirs, mine)).toMatchObject({
      variants: [{ items: [{ id: 'fridge', mass: 47, at: { x: 2500 } }, {}] }],
    });
  });

  it('does nothing inside of what is gone', () => {
    const gone = apply(job, [{ path: [...items, 'fridge'], before: null, after: undefined }]);
    expect(apply(gone, [{ path: [...items, 'fridge', 'mass'], before: 43, after: 1 }])).toEqual(gone);
  });

  it('can be taken back only while it stands', () => {
    const change = { path: [...items, 'fridge', 'mass'], before: 43, after: 47 };
    const now = apply(job, [change]);
    const [back] = inverse([change]) as [Change];
    expect(fits(now, back)).toBe(true);
    expect(fits(apply(now, [{ ...change, before: 47, after: 50 }]), back)).toBe(false);
  });

  it('joins nudges into one', () => {
    const step = (from: number, to: number) => ({ path: [...items, 'fridge', 'at', 'x'], before: from, after: to });
    const now = apply(job, [step(2790, 2800), step(2800, 2810)]);
    expect(join([step(2790, 2800)], [step(2800, 2810)], now)).toEqual([step(2790, 2810)]);
  });

  it('keeps apart what an id of their own does not tell apart', () => {
    const crew = (people: Json[]): Json => ({ variants: [{ id: 'a', cases: [{ id: 'home', people }] }] });
    const ann = { item: 'ann', aboard: false, seat: '' };
    const bo = { item: 'bo', aboard: true, seat: 'rear' };
    const changes = diff(crew([ann]), crew([ann, bo]));
    expect(changes.map((c) => c.path.join('/'))).toEqual(['variants/a/cases/home/people/bo']);
    // Meanwhile somebody else put a third one on the same seat: both stay.
    const theirs = crew([ann, { item: 'cy', aboard: true, seat: 'rear' }]);
    expect(apply(theirs, changes)).toEqual(crew([ann, bo, { item: 'cy', aboard: true, seat: 'rear' }]));
  });

  it('sees another order where the order says something', () => {
    const used = (...of: string[]): Json => ({ variants: [{ id: 'a', usedUp: of.map((id) => ({ of: id })) }] });
    const changes = diff(used('fuel', 'water'), used('water', 'fuel'));
    expect(apply(used('fuel', 'water'), changes)).toEqual(used('water', 'fuel'));
    const seats = (...ids: string[]): Json => ({ vehicle: { seats: ids.map((id) => ({ id })) } });
    expect(diff(seats('left', 'right'), seats('right', 'left'))).toEqual([]);
  });
});
