import type { Box, Point } from '../api/types';

export type Axis = 'x' | 'y' | 'z';

export interface Snapped {
  /** What to add to the wish, mm. */
  by: number;
  /** Where the faces meet, for the guide line; undefined without one. */
  at: number | undefined;
}

/** The lines that a face or centre may snap to along one axis. */
export interface Lines {
  faces: number[];
  centres: number[];
}

/** Faces and centres of everything that stands still. */
export function linesOf(boxes: readonly Box[], axis: Axis): Lines {
  return {
    faces: boxes.flatMap((b) => [b.from[axis], b.to[axis]]),
    centres: boxes.map((b) => (b.from[axis] + b.to[axis]) / 2),
  };
}

/**
 * Pulls a moved box to the nearest line within reach: faces to faces, its
 * centre to centres. Without a line near, its lower face goes to the rule's step.
 */
export function snap(box: Box, axis: Axis, lines: Lines, reach: number, step: number): Snapped {
  const low = box.from[axis];
  const high = box.to[axis];
  let best: Snapped | undefined;
  const offer = (own: number, line: number) => {
    const by = line - own;
    if (Math.abs(by) <= reach && (!best || Math.abs(by) < Math.abs(best.by))) best = { by, at: line };
  };
  for (const face of lines.faces) {
    offer(low, face);
    offer(high, face);
  }
  for (const centre of lines.centres) offer((low + high) / 2, centre);
  return best ?? { by: Math.round(low / step) * step - low, at: undefined };
}

/** A box moved along one axis. */
export function moved(b: Box, axis: Axis, by: number): Box {
  const shift = (p: Point): Point => ({ ...p, [axis]: p[axis] + by });
  return { from: shift(b.from), to: shift(b.to) };
}
