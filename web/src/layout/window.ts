import type { Box, Point } from '../api/types';
import type { Window } from '../scene/geometry';
import { axesOf, type Stand } from '../scene/projection';

/** What the views look at together: one place in their middle, and one scale. */
export interface Sight {
  centre: Point;
  /** mm of the vehicle per px. */
  scale: number;
}

/** The papers of the views that are open, px. */
export type Sizes = Partial<Record<Stand, { width: number; height: number }>>;

const MARGIN = 46;

/** A sight that shows a box whole in all views that are open. */
export function fitSight(b: Box, sizes: Sizes): Sight {
  const span = { x: b.to.x - b.from.x, y: b.to.y - b.from.y, z: b.to.z - b.from.z };
  const needs = (Object.keys(sizes) as Stand[]).map((stand) => {
    const { width = 1, height = 1 } = sizes[stand] ?? {};
    const { across, up } = axesOf[stand];
    return Math.max(span[across] / (width - 2 * MARGIN), span[up] / (height - 2 * MARGIN));
  });
  return {
    centre: { x: (b.from.x + b.to.x) / 2, y: (b.from.y + b.to.y) / 2, z: (b.from.z + b.to.z) / 2 },
    scale: Math.max(...needs, 0.25),
  };
}

/** The window of one view of a sight. */
export function windowOf(
  stand: Stand,
  { centre, scale }: Sight,
  { width, height }: { width: number; height: number },
): Window {
  const { across, up, sign } = axesOf[stand];
  const [u, v] = [sign * centre[across], centre[up]];
  return { from: u - (width / 2) * scale, scale, width, height, ground: height / 2 + v / scale };
}

/** The sight after a view was pushed by so many px. */
export function pan(sight: Sight, stand: Stand, dx: number, dy: number): Sight {
  const { centre, scale } = sight;
  const { across, up, sign } = axesOf[stand];
  return { scale, centre: { ...centre, [across]: centre[across] - sign * dx * scale, [up]: centre[up] + dy * scale } };
}

export function zoom(sight: Sight, by: number): Sight {
  return { ...sight, scale: Math.min(40, Math.max(0.25, sight.scale / by)) };
}
