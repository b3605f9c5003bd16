import { describe, expect, it } from 'vitest';

import { linesOf, moved, snap } from './snap';
import { fitSight, pan, windowOf, zoom } from './window';

const box = (x: number, y: number, z: number, l: number, w: number, h: number) => ({
  from: { x, y, z },
  to: { x: x + l, y: y + w, z: z + h },
});

describe('snapping', () => {
  const fridge = box(0, 0, 0, 700, 400, 450);
  const room = box(0, -300, 0, 1800, 1000, 800);

  it('pulls a face to a face', () => {
    const wish = box(706, 0, 0, 500, 400, 300);
    expect(snap(wish, 'x', linesOf([fridge, room], 'x'), 10, 5)).toEqual({ by: -6, at: 700 });
  });

  it('pulls the far face to the wall', () => {
    const wish = box(1297, 0, 0, 500, 400, 300);
    expect(snap(wish, 'x', linesOf([fridge, room], 'x'), 10, 5)).toEqual({ by: 3, at: 1800 });
  });

  it('pulls centre to centre', () => {
    const wish = box(900, -4, 0, 500, 400, 300);
    expect(snap(wish, 'y', { faces: [], centres: [200] }, 10, 5)).toEqual({ by: 4, at: 200 });
  });

  it('goes by the step of the rule where nothing is near', () => {
    const wish = box(903, 0, 0, 500, 400, 300);
    expect(snap(wish, 'x', linesOf([fridge], 'x'), 10, 5)).toEqual({ by: 2, at: undefined });
    expect(moved(wish, 'x', 2).from.x).toBe(905);
  });
});

describe('the three views', () => {
  const sizes = {
    left: { width: 560, height: 260 },
    above: { width: 826, height: 260 },
    behind: { width: 258, height: 260 },
  };

  it('have one scale and one place in their middle', () => {
    const sight = fitSight(box(2000, -800, 800, 2000, 1600, 900), sizes);
    const side = windowOf('left', sight, sizes.left);
    const plan = windowOf('above', sight, sizes.above);
    expect(side.scale).toBe(plan.scale);
    expect((3000 - side.from) / side.scale).toBeCloseTo(280);
    expect((3000 - plan.from) / plan.scale).toBeCloseTo(413);
  });

  it('go along with each other', () => {
    const sight = { centre: { x: 3000, y: 0, z: 1000 }, scale: 4 };
    expect(pan(sight, 'left', 10, 0).centre).toEqual({ x: 2960, y: 0, z: 1000 });
    expect(pan(sight, 'behind', 0, 10).centre.z).toBe(1040);
    expect(zoom(sight, 2).scale).toBe(2);
  });
});
