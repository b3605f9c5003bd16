import { describe, expect, it } from 'vitest';

import { sidesOf, windowOf } from './solid';

const box = (x: number, y: number, z: number, size = 100) => ({
  from: { x, y, z },
  to: { x: x + size, y: y + size, z: z + size },
});
const numbers = (points: string) => points.split(' ').map((p) => p.split(',').map(Number) as [number, number]);

describe('a box as it is drawn', () => {
  it('shows its top, its side and its end, which meet in the nearest corner', () => {
    const sides = sidesOf(box(0, 0, 0));
    expect(sides.map((s) => s.shade).sort()).toEqual(['end', 'side', 'top']);
    const corners = sides.map((s) => new Set(s.points.split(' ')));
    const shared = [...(corners[0] ?? [])].filter((p) => corners.every((c) => c.has(p)));
    expect(shared).toHaveLength(1);
  });

  it('draws what is higher higher, what is nearer lower, and nothing in a mirror', () => {
    const middle = (b: ReturnType<typeof box>) => {
      const all = sidesOf(b).flatMap((s) => numbers(s.points));
      return [all.reduce((n, p) => n + p[0], 0) / all.length, all.reduce((n, p) => n + p[1], 0) / all.length] as const;
    };
    expect(middle(box(0, 0, 500))[1]).toBeLessThan(middle(box(0, 0, 0))[1]);
    expect(middle(box(0, 0, 500))[0]).toBeCloseTo(middle(box(0, 0, 0))[0]);
    expect(middle(box(0, 500, 0))[1]).toBeGreaterThan(middle(box(0, 0, 0))[1]);
    expect(middle(box(0, 500, 0))[0]).toBeGreaterThan(middle(box(0, 0, 0))[0]);
    // Toward the rear is to the left for who stands on the right.
    expect(middle(box(500, 0, 0))[0]).toBeLessThan(middle(box(0, 0, 0))[0]);
  });

  it('lies within its window with room to spare', () => {
    const boxes = [box(-300, 20, 0), box(700, -900, 400, 250)];
    const [x, y, w, h] = windowOf(boxes).split(' ').map(Number) as [number, number, number, number];
    for (const [px, py] of boxes.flatMap((b) => sidesOf(b).flatMap((s) => numbers(s.points)))) {
      expect(px).toBeGreaterThan(x);
      expect(px).toBeLessThan(x + w);
      expect(py).toBeGreaterThan(y);
      expect(py).toBeLessThan(y + h);
    }
  });
});
