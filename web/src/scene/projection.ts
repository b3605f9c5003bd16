import type { Assessment, BayFigures, DrawnView, Job } from '../api/types';
import { fitBox, type Window } from './geometry';

/** The side of the vehicle that one stands before; each sees two of its axes. */
export type Stand = DrawnView['stand'];

export const standNames: Record<Stand, string> = {
  left: 'From the left',
  right: 'From the right',
  behind: 'From behind',
  ahead: 'From ahead',
  above: 'From above',
};

export type Axis = 'x' | 'y' | 'z';

/** Which axis goes across the paper, up it, and away from who stands there; and whether it counts that way or against it. */
interface Axes {
  across: Axis;
  up: Axis;
  away: Axis;
  sign: 1 | -1;
  /** Whether what is farther has the greater coordinate. */
  farther: 1 | -1;
}

export const axesOf: Record<Stand, Axes> = {
  left: { across: 'x', up: 'z', away: 'y', sign: 1, farther: 1 },
  right: { across: 'x', up: 'z', away: 'y', sign: -1, farther: -1 },
  behind: { across: 'y', up: 'z', away: 'x', sign: 1, farther: -1 },
  ahead: { across: 'y', up: 'z', away: 'x', sign: -1, farther: 1 },
  above: { across: 'x', up: 'y', away: 'z', sign: 1, farther: -1 },
};

/** The stand before an open side; from behind where there is none. */
export const standBefore = (face: string): Stand =>
  (({ left: 'left', right: 'right', front: 'ahead', top: 'above' }) as const)[face] ?? 'behind';

/** A rectangle in mm of a view: across the paper, and up it. */
export interface Flat {
  u: number;
  v: number;
  width: number;
  height: number;
}

interface Place {
  x: number;
  y: number;
  z: number;
}

/** Where a place lies in a view. */
export function project(stand: Stand, p: Place): [u: number, v: number] {
  const { across, up, sign } = axesOf[stand];
  return [sign * p[across], p[up]];
}

/** An upright box between two corners, as a view shows it. */
export function flat(stand: Stand, from: Place, to: Place): Flat {
  const [u1, v1] = project(stand, from);
  const [u2, v2] = project(stand, to);
  return { u: Math.min(u1, u2), v: Math.min(v1, v2), width: Math.abs(u2 - u1), height: Math.abs(v2 - v1) };
}

/** The outline of a bay in a view, as a path of corners in mm. */
export function bayOutline(stand: Stand, bay: BayFigures): [u: number, v: number][] {
  const [frontLeft, frontRight, rearRight, rearLeft] = bay.floor;
  if (!frontLeft || !frontRight || !rearRight || !rearLeft) return [];
  const [topFront = bay.floorZ, topRear = bay.floorZ] = bay.top;
  const { sign } = axesOf[stand];
  if (stand === 'above') return [frontLeft, frontRight, rearRight, rearLeft].map((c) => [c.x, c.y]);
  if (stand === 'left' || stand === 'right') {
    const rear = Math.max(rearLeft.x, rearRight.x);
    return [
      [sign * frontLeft.x, bay.floorZ],
      [sign * frontLeft.x, topFront],
      [sign * bay.rearTop, topRear],
      [sign * rear, bay.floorZ],
    ];
  }
  const left = sign * Math.min(frontLeft.y, rearLeft.y);
  const right = sign * Math.max(frontRight.y, rearRight.y);
  return [
    [left, bay.floorZ],
    [left, topRear],
    [right, topRear],
    [right, bay.floorZ],
  ];
}

/** Width of the body where nobody measured it: what the tracks leave to be drawn. */
export function bodyWidth(job: Job): number {
  const { outline, trackFront, trackRear } = job.vehicle;
  return outline.width > 0 ? outline.width : Math.max(trackFront, trackRear) + 280;
}

/** The window of a view that holds the vehicle. */
export function viewWindow(stand: Stand, job: Job, assessment: Assessment, width: number, height: number): Window {
  const { outline } = job.vehicle;
  const half = bodyWidth(job) / 2;
  const { across, sign } = axesOf[stand];
  const ends = across === 'y' ? [-half, half] : [-outline.frontOverhang, assessment.wheelbase + outline.rearOverhang];
  const [left = 0, right = 0] = ends.map((end) => sign * end).sort((a, b) => a - b);
  const bottom = stand === 'above' ? -half : 0;
  const tops = assessment.bays.flatMap((b) => b.top);
  const top = stand === 'above' ? half : Math.max(outline.height, ...tops);
  return fitBox(left, right, bottom, top, width, height);
}

/** The window of a view that holds one bay, with what stands in it and its opening. */
export function bayWindow(stand: Stand, bay: BayFigures, width: number, height: number): Window {
  const corners = [
    ...bayOutline(stand, bay),
    ...bay.obstacles.flatMap(({ solid }) => [project(stand, solid.from), project(stand, solid.to)]),
  ];
  const u = corners.map(([across]) => across);
  const v = corners.map(([, up]) => up);
  return fitBox(Math.min(...u), Math.max(...u), Math.min(...v), Math.max(...v), width, height);
}
