import type { Box, Point } from '../api/types';

/** A side of a box as it is drawn, seen from behind the vehicle, on its right, from above. */
export interface Side {
  points: string;
  shade: 'top' | 'side' | 'end';
  depth: number;
}

const flat = (p: Point): [number, number] => [(p.y - p.x) * 0.866, (p.x + p.y) * 0.5 - p.z];

/** The three sides of a box that are seen: its rear end, its right side and its top. */
export function sidesOf(b: Box): Side[] {
  const at = (x: 0 | 1, y: 0 | 1, z: 0 | 1) =>
    flat({ x: x ? b.to.x : b.from.x, y: y ? b.to.y : b.from.y, z: z ? b.to.z : b.from.z })
      .map((n) => n.toFixed(1))
      .join(',');
  const depth = (b.from.x + b.to.x + b.from.y + b.to.y + b.from.z + b.to.z) / 2;
  return [
    { shade: 'end', depth, points: [at(1, 0, 0), at(1, 1, 0), at(1, 1, 1), at(1, 0, 1)].join(' ') },
    { shade: 'side', depth, points: [at(0, 1, 0), at(1, 1, 0), at(1, 1, 1), at(0, 1, 1)].join(' ') },
    { shade: 'top', depth, points: [at(0, 0, 1), at(1, 0, 1), at(1, 1, 1), at(0, 1, 1)].join(' ') },
  ];
}

/** The window around boxes as they are drawn, with room for a line. */
export function windowOf(boxes: readonly Box[]): string {
  const all = boxes.flatMap((b) =>
    [b.from.x, b.to.x].flatMap((x) =>
      [b.from.y, b.to.y].flatMap((y) => [b.from.z, b.to.z].map((z) => flat({ x, y, z }))),
    ),
  );
  const xs = all.map((p) => p[0]);
  const ys = all.map((p) => p[1]);
  const room = 12;
  const [x, y] = [Math.min(...xs) - room, Math.min(...ys) - room];
  return `${x} ${y} ${Math.max(...xs) - x + room} ${Math.max(...ys) - y + room}`;
}
