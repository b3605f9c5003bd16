import { describe, expect, it } from 'vitest';

import type { Item, Job } from '../api/types';
import { align, distribute, duplicate, mirror, shift, turn } from './partEdits';

const part = (id: string, x: number, y: number, z: number, more: Partial<Item> = {}): Item =>
  ({
    id,
    name: id,
    at: { x, y, z },
    size: { length: 400, width: 300, height: 200 },
    seat: '',
    bay: 'cargo',
    locked: false,
    module: { faces: 'rear', mirrored: false },
    ...more,
  }) as unknown as Item;

function bench(...items: Item[]): Job {
  const stances = [
    {
      id: 'cook',
      loose: [
        { item: 'table', outside: false, at: { x: 5000, y: 0, z: 700 } },
        { item: 'chair', outside: true, at: { x: 0, y: 0, z: 0 } },
      ],
    },
  ];
  return {
    chosen: 'a',
    vehicle: { wheelbase: 3200, outline: { headboard: 2000, floorHeight: 800 } },
    variants: [{ id: 'a', items, stances }],
  } as unknown as Job;
}

const at = (job: Job, id: string) => job.variants[0]?.items.find((i) => i.id === id)?.at;

describe('parts on the bench', () => {
  it('are moved together, but not what is locked, lies in a drawer or sits in a seat', () => {
    const job = bench(
      part('unit', 2500, 0, 900),
      part('safe', 2500, 0, 900, { locked: true }),
      part('pot', 1, 2, 3, { in: { module: 'unit', cell: 'a' } }),
      part('ann', 0, 0, 0, { seat: 'driver' }),
    );
    shift(job, ['unit', 'safe', 'pot', 'ann'], { x: 10.04, y: -5, z: 0 });
    expect(at(job, 'unit')).toEqual({ x: 2510, y: -5, z: 900 });
    expect(at(job, 'safe')).toEqual({ x: 2500, y: 0, z: 900 });
    expect(at(job, 'pot')).toEqual({ x: 1, y: 2, z: 3 });
    expect(at(job, 'ann')).toEqual({ x: 0, y: 0, z: 0 });
  });

  it('that stand elsewhere in a stance are moved in that stance only', () => {
    const job = bench(part('table', 2500, 0, 900), part('chair', 2600, 0, 900));
    shift(job, ['table', 'chair'], { x: 100, y: 0, z: 0 }, 'cook');
    expect(at(job, 'table')).toEqual({ x: 2500, y: 0, z: 900 });
    expect(job.variants[0]?.stances[0]?.loose[0]?.at).toEqual({ x: 5100, y: 0, z: 700 });
    expect(at(job, 'chair'), 'what stands outside has no place there, so its own is meant').toEqual({
      x: 2700,
      y: 0,
      z: 900,
    });
    shift(job, ['table'], { x: 100, y: 0, z: 0 });
    expect(at(job, 'table')).toEqual({ x: 2600, y: 0, z: 900 });
  });

  it('are copied beside themselves, and a copy is not locked', () => {
    const job = bench(part('unit', 2500, 0, 900, { locked: true }));
    const [copy] = duplicate(job, ['unit']);
    expect(at(job, copy ?? '')).toEqual({ x: 2550, y: 0, z: 900 });
    expect(job.variants[0]?.items[1]?.locked).toBe(false);
    expect(job.variants[0]?.items[0]?.locked).toBe(true);
  });

  it('are mirrored to the other side, and twice is as before', () => {
    const left = part('pantry', 2500, -550, 900);
    if (left.module) left.module.faces = 'left';
    const job = bench(left, part('middle', 2500, 0, 900));
    const before = structuredClone(job);
    mirror(job, ['pantry', 'middle']);
    expect(at(job, 'pantry')?.y).toBe(550);
    expect(job.variants[0]?.items[0]?.module).toMatchObject({ faces: 'right', mirrored: true });
    expect(Object.is(at(job, 'middle')?.y, 0), 'no minus nought').toBe(true);
    mirror(job, ['pantry', 'middle']);
    expect(job).toEqual(before);
  });

  it('are turned by a quarter, and four times is as before', () => {
    const job = bench(part('unit', 2500, 0, 900));
    const before = structuredClone(job);
    turn(job, ['unit']);
    expect(job.variants[0]?.items[0]).toMatchObject({
      size: { length: 300, width: 400, height: 200 },
      module: { faces: 'left' },
    });
    for (let n = 0; n < 3; n++) turn(job, ['unit']);
    expect(job).toEqual(before);
  });

  it('are brought to the faces and the middle of the one chosen last', () => {
    const wide = part('wide', 3000, 100, 900, { size: { length: 800, width: 600, height: 200 } });
    for (const [to, x] of [
      ['low', 2800],
      ['middle', 3000],
      ['high', 3200],
    ] as const) {
      const job = bench(part('a', 2500, 0, 900), part('b', 2100, 0, 900, { locked: true }), wide);
      align(job, ['a', 'b', 'wide'], 'x', to);
      expect(at(job, 'a')?.x).toBe(x);
      expect(at(job, 'b')?.x, 'what is locked stays').toBe(2100);
      expect(at(job, 'wide')?.x).toBe(3000);
    }
    const job = bench(part('a', 2500, 0, 900));
    align(job, [], 'x', 'low');
    expect(at(job, 'a')?.x).toBe(2500);
  });

  it('are spread with the same gap between them', () => {
    const job = bench(
      part('a', 2000, 0, 900),
      part('b', 2450, 0, 900),
      part('c', 2700, 0, 900, { size: { length: 200, width: 1, height: 1 } }),
      part('d', 4000, 0, 900),
    );
    distribute(job, ['d', 'b', 'a', 'c'], 'x');
    const edges = ['a', 'b', 'c', 'd'].map((id) => {
      const item = job.variants[0]?.items.find((i) => i.id === id);
      return item ? [item.at.x - item.size.length / 2, item.at.x + item.size.length / 2] : [];
    });
    const gaps = edges.slice(1).map((edge, i) => Math.round(((edge[0] ?? 0) - (edges[i]?.[1] ?? 0)) * 10) / 10);
    expect(Math.max(...gaps) - Math.min(...gaps), `${String(gaps)}: to the tenth of a mm`).toBeLessThanOrEqual(0.11);
    expect(edges[0]?.[0]).toBe(1800);
    expect(edges[3]?.[1]).toBe(4200);
    distribute(job, ['a', 'b'], 'x');
    expect(at(job, 'a')?.x, 'two have nothing between them').toBe(2000);
  });
});
