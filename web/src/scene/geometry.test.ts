import { describe, expect, it } from 'vitest';

import type { Assessment, Item, Job } from '../api/types';
import { drawX, drawY, fitWindow, ruleTicks, shownItems } from './geometry';

const item = (id: string, x: number, length: number, z = 900): Item =>
  ({
    id,
    name: id,
    at: { x, y: 0, z },
    size: { length, width: 400, height: 300 },
    form: 'box',
    seat: '',
    mass: 10,
    presence: { kind: 'always' },
  }) as unknown as Item;

const figures = (i: Item) => ({ id: i.id, mass: i.mass, present: true, ...i.at, front: 1, rear: 9, per100: 0.3 });

function ute(...items: Item[]): { job: Job; assessment: Assessment } {
  const job = {
    units: 'metric',
    chosen: 'a',
    variants: [{ id: 'a', items }],
    vehicle: {
      tyreRadius: 390,
      outline: { frontOverhang: 900, rearOverhang: 1100, height: 1850 },
      hitch: { overhang: 1200 },
    },
  } as unknown as Job;
  return { job, assessment: { variant: 'a', wheelbase: 3150, items: items.map(figures) } as unknown as Assessment };
}

describe('the window', () => {
  it('holds the whole vehicle and all items, to one scale', () => {
    const { job, assessment } = ute(item('box', 3000, 500), item('bike rack', 5600, 800, 2600));
    const shown = shownItems({ job, assessment, assessed: job });
    const w = fitWindow(job, assessment, shown, 860, 280);
    expect(drawX(w, -900)).toBeGreaterThan(0);
    expect(drawX(w, 6000)).toBeLessThan(860);
    expect(drawY(w, 2750)).toBeGreaterThan(0);
    expect(drawX(w, 1000) - drawX(w, 0)).toBeCloseTo(drawY(w, 0) - drawY(w, 1000), 9);
  });
});

describe('items', () => {
  it('stand where they are now while the figures are a moment older', () => {
    const { job, assessment } = ute(item('box', 3000, 500));
    const moved = structuredClone(job);
    for (const i of moved.variants[0]?.items ?? []) i.at.x = 3200;
    expect(shownItems({ job: moved, assessment, assessed: job })[0]?.figures.x).toBe(3200);
  });

  it('show before they have been assessed', () => {
    const { job } = ute(item('new', 2500, 500));
    expect(shownItems({ job, assessment: undefined, assessed: undefined })[0]?.figures).toMatchObject({
      x: 2500,
      mass: 10,
      rear: 0,
    });
  });
});

it('rules in the datum, with figures each 500 mm or 20 in', () => {
  const w = { from: -1000, scale: 5, width: 1000, height: 280, ground: 220 };
  const labels = (units: Job['units']) => ruleTicks(w, 3150, units).flatMap((t) => t.label ?? []);
  expect(labels('metric')).toContain('−500');
  expect(labels('metric')).toContain('0');
  expect(ruleTicks(w, 3150, 'us').find((t) => t.label === '20')?.x).toBeCloseTo(3150 + 508, 9);
});
