import { useMemo, useRef, type MouseEvent } from 'react';

import type { RangeView } from '../api/types';
import { useSnapshot } from '../document/SessionContext';

const WIDTH = 780;
const HEIGHT = 160;
const EDGE = 14;

interface Spot {
  x: number;
  y: number;
  km: number;
}

/** The line of the way as it lies on the ground, with its stops; a tap puts a stop on it, or moves the hand. */
export function TrackPicture({
  view,
  km,
  tapping,
  onTapping,
  onTap,
  onHand,
}: {
  view: RangeView;
  km: number;
  tapping: boolean;
  onTapping: (on: boolean) => void;
  onTap: (km: number) => void;
  onHand: (km: number) => void;
}) {
  const { job } = useSnapshot();
  const svg = useRef<SVGSVGElement>(null);
  const spots = useMemo(() => drawn(job.route.track), [job.route.track]);
  const whole = spots.at(-1)?.km ?? 0;
  const end = view.points.at(-1)?.km ?? 0;
  // The line may be longer or shorter than the legs that somebody typed.
  const scale = whole > 0 && end > 0 ? end / whole : 1;
  const at = (way: number): Spot => {
    const wanted = way / scale;
    const i = Math.max(
      1,
      spots.findIndex((s) => s.km >= wanted),
    );
    const [a, b] = [spots[i - 1], spots[i]];
    if (!a || !b) return spots[0] ?? { x: 0, y: 0, km: 0 };
    const share = b.km > a.km ? (wanted - a.km) / (b.km - a.km) : 0;
    return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share, km: way };
  };
  const press = (event: MouseEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return;
    const [px, py] = [
      ((event.clientX - box.left) / box.width) * WIDTH,
      ((event.clientY - box.top) / box.height) * HEIGHT,
    ];
    let best: Spot | undefined;
    let off = 30;
    for (const s of spots) {
      const d = Math.hypot(s.x - px, s.y - py);
      if (d < off) [best, off] = [s, d];
    }
    if (!best) return;
    if (tapping) onTap(Math.round(best.km * scale * 10) / 10);
    else onHand(best.km * scale);
  };
  const hand = at(km);
  return (
    <figure className="track">
      <figcaption>
        <button type="button" className="chip" aria-pressed={tapping} onClick={() => onTapping(!tapping)}>
          {tapping ? 'Tap the line to put a stop there' : 'Put stops on the line'}
        </button>
        {tapping && (
          <button type="button" className="chip" onClick={() => onTap(Math.round(km * 10) / 10)}>
            Put one at the hand
          </button>
        )}
      </figcaption>
      {/* The hand is moved by keys on the strip below, and a stop is put there by the button. */}
      <svg
        ref={svg}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className={tapping ? 'track-tapping' : ''}
        role="img"
        aria-label="The line of the way"
        onClick={press}
      >
        <path className="track-line" d={spots.map((s, i) => `${i === 0 ? 'M' : 'L'}${s.x} ${s.y}`).join('')} />
        {view.route.map((stop, i) => {
          const s = at(view.stops[i]?.km ?? 0);
          const late = s.x > WIDTH - 140;
          return (
            <g key={stop.id} className={`post post-${stop.sure}`}>
              <circle cx={s.x} cy={s.y} r={5} />
              <text x={s.x + (late ? -8 : 8)} y={s.y + 4} textAnchor={late ? 'end' : 'start'}>
                {i + 1}
              </text>
              <title>{stop.name}</title>
            </g>
          );
        })}
        <circle className="track-hand" cx={hand.x} cy={hand.y} r={8} />
      </svg>
    </figure>
  );
}

/** The points of a line on the picture, north up. */
function drawn(track: string): Spot[] {
  const points = track
    .split(' ')
    .map((word) => word.split(',').map(Number))
    .filter((p) => p.length === 3) as [number, number, number][];
  const first = points[0];
  if (!first) return [];
  const flat = points.map(([lat, lon, km]) => {
    const east = ((lon - first[1] + 540) % 360) - 180;
    return { x: east * Math.cos((first[0] * Math.PI) / 180), y: -lat, km };
  });
  const [x0, x1] = [Math.min(...flat.map((p) => p.x)), Math.max(...flat.map((p) => p.x))];
  const [y0, y1] = [Math.min(...flat.map((p) => p.y)), Math.max(...flat.map((p) => p.y))];
  const scale = Math.min((WIDTH - 2 * EDGE) / Math.max(1e-9, x1 - x0), (HEIGHT - 2 * EDGE) / Math.max(1e-9, y1 - y0));
  const [left, top] = [(WIDTH - (x1 - x0) * scale) / 2, (HEIGHT - (y1 - y0) * scale) / 2];
  return flat.map((p) => ({
    x: Math.round((left + (p.x - x0) * scale) * 10) / 10,
    y: Math.round((top + (p.y - y0) * scale) * 10) / 10,
    km: p.km,
  }));
}
