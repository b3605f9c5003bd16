import type { RangeView } from '../api/types';

/** By what the strip is stretched. */
export type Along = 'km' | 'day';

export interface PlaceOn {
  levels: number[];
  front: number;
  rear: number;
  gross: number;
  combination: number;
  leg: number;
}

const blend = (a: number, b: number, share: number) => a + (b - a) * share;

/** What is in the vessels and on the axles at a km: between two points of the way all is linear. Drawn, never decided with. */
export function placeOn(view: RangeView, km: number): PlaceOn | undefined {
  const { points } = view;
  const at = points.findIndex((p, i) => {
    const next = points[i + 1];
    return next !== undefined && next.leg === p.leg && km >= p.km && (km < next.km || i === points.length - 2);
  });
  const a = points[at] ?? points.at(-1);
  const b = points[at + 1] ?? a;
  if (!a || !b) return undefined;
  const share = b.km > a.km ? Math.min(1, (km - a.km) / (b.km - a.km)) : 0;
  return {
    levels: a.levels.map((level, i) => blend(level, b.levels[i] ?? level, share)),
    front: blend(a.front, b.front, share),
    rear: blend(a.rear, b.rear, share),
    gross: blend(a.gross, b.gross, share),
    combination: blend(a.combination, b.combination, share),
    leg: a.leg,
  };
}

/** Where a place of the way lies on the strip, 0 to 1; by day every day is as wide as another. */
export function shareOf(view: RangeView, along: Along, km: number): number {
  const end = view.points.at(-1)?.km ?? 0;
  if (along === 'km') return end > 0 ? km / end : 0;
  return Math.min(1, dayOf(view, km) / view.days);
}

/** The way back from shareOf. */
export function kmAt(view: RangeView, along: Along, share: number): number {
  const end = view.points.at(-1)?.km ?? 0;
  if (along === 'km') return share * end;
  let [low, high] = [0, end];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (shareOf(view, along, middle) < share) low = middle;
    else high = middle;
  }
  return low;
}

/** How many days have passed at a km: a day is shared by the km that are driven on it. */
function dayOf(view: RangeView, km: number): number {
  const { stops } = view;
  let leg = 0;
  while (leg < stops.length - 2 && (stops[leg + 1]?.km ?? 0) <= km) leg++;
  const day = stops[leg]?.leave ?? 1;
  const first = stops.find((s) => s.leave === day)?.km ?? 0;
  const last = stops.find((s) => s.km > first && s.leave > day)?.km ?? stops.at(-1)?.km ?? 0;
  return day - 1 + (last > first ? Math.min(1, (km - first) / (last - first)) : 0);
}
