import type { Assessment, BayFigures, Job } from '../api/types';
import { fitBox, type Window } from './geometry';

/** The three views, each with the axes of the vehicle that it shows. */
export type View = 'side' | 'plan' | 'rear';

export const viewNames: Record<View, string> = { side: 'From the left', plan: 'From above', rear: 'From behind' };

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

/** Where a place lies in a view: the side from the left, the plan from above with the front to the left, the rear from behind. */
export function project(view: View, p: Place): [u: number, v: number] {
  if (view === 'side') return [p.x, p.z];
  if (view === 'plan') return [p.x, p.y];
  return [p.y, p.z];
}

/** An upright box between two corners, as a view shows it. */
export function flat(view: View, from: Place, to: Place): Flat {
  const [u1, v1] = project(view, from);
  const [u2, v2] = project(view, to);
  return { u: Math.min(u1, u2), v: Math.min(v1, v2), width: Math.abs(u2 - u1), height: Math.abs(v2 - v1) };
}

/** The outline of a bay in a view, as a path of corners in mm. */
export function bayOutline(view: View, bay: BayFigures): [u: number, v: number][] {
  const [frontLeft, frontRight, rearRight, rearLeft] = bay.floor;
  if (!frontLeft || !frontRight || !rearRight || !rearLeft) return [];
  const [topFront = bay.floorZ, topRear = bay.floorZ] = bay.top;
  if (view === 'plan') return [frontLeft, frontRight, rearRight, rearLeft].map((c) => [c.x, c.y]);
  if (view === 'side') {
    const rear = Math.max(rearLeft.x, rearRight.x);
    return [
      [frontLeft.x, bay.floorZ],
      [frontLeft.x, topFront],
      [bay.rearTop, topRear],
      [rear, bay.floorZ],
    ];
  }
  const left = Math.min(frontLeft.y, rearLeft.y);
  const right = Math.max(frontRight.y, rearRight.y);
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
export function viewWindow(view: View, job: Job, assessment: Assessment, width: number, height: number): Window {
  const { outline } = job.vehicle;
  const half = bodyWidth(job) / 2;
  const left = view === 'rear' ? -half : -outline.frontOverhang;
  const right = view === 'rear' ? half : assessment.wheelbase + outline.rearOverhang;
  const bottom = view === 'plan' ? -half : 0;
  const tops = assessment.bays.flatMap((b) => b.top);
  const top = view === 'plan' ? half : Math.max(outline.height, ...tops);
  return fitBox(left, right, bottom, top, width, height);
}

/** The window of a view that holds one bay, with what stands in it and its opening. */
export function bayWindow(view: View, bay: BayFigures, width: number, height: number): Window {
  const corners = [
    ...bayOutline(view, bay),
    ...bay.obstacles.flatMap(({ solid }) => [project(view, solid.from), project(view, solid.to)]),
  ];
  const u = corners.map(([across]) => across);
  const v = corners.map(([, up]) => up);
  return fitBox(Math.min(...u), Math.max(...u), Math.min(...v), Math.max(...v), width, height);
}
