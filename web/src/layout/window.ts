import type { Box, Point } from '../api/types';
import type { Window } from '../scene/geometry';
import type { View } from '../scene/projection';

/** What the three views look at together: one place in their middle, and one scale. */
export interface Sight {
  centre: Point;
  /** mm of the vehicle per px. */
  scale: number;
}

export type Sizes = Record<View, { width: number; height: number }>;

const MARGIN = 46;

/** A sight that shows a box whole in all three views. */
export function fitSight(b: Box, sizes: Sizes): Sight {
  const [x, y, z] = [b.to.x - b.from.x, b.to.y - b.from.y, b.to.z - b.from.z];
  const need = (across: number, up: number, { width, height }: { width: number; height: number }) =>
    Math.max(across / (width - 2 * MARGIN), up / (height - 2 * MARGIN));
  return {
    centre: { x: (b.from.x + b.to.x) / 2, y: (b.from.y + b.to.y) / 2, z: (b.from.z + b.to.z) / 2 },
    scale: Math.max(need(x, z, sizes.side), need(x, y, sizes.plan), need(y, z, sizes.rear), 0.25),
  };
}

/** The window of one view of a sight. */
export function windowOf(
  view: View,
  { centre, scale }: Sight,
  { width, height }: { width: number; height: number },
): Window {
  const [u, v] = view === 'side' ? [centre.x, centre.z] : view === 'plan' ? [centre.x, centre.y] : [centre.y, centre.z];
  return { from: u - (width / 2) * scale, scale, width, height, ground: height / 2 + v / scale };
}

/** The sight after a view was pushed by so many px. */
export function pan(sight: Sight, view: View, dx: number, dy: number): Sight {
  const { centre, scale } = sight;
  const [across, up] = [-dx * scale, dy * scale];
  if (view === 'side') return { scale, centre: { ...centre, x: centre.x + across, z: centre.z + up } };
  if (view === 'plan') return { scale, centre: { ...centre, x: centre.x + across, y: centre.y + up } };
  return { scale, centre: { ...centre, y: centre.y + across, z: centre.z + up } };
}

export function zoom(sight: Sight, by: number): Sight {
  return { ...sight, scale: Math.min(40, Math.max(0.25, sight.scale / by)) };
}
