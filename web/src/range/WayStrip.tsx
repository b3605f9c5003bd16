import { useRef, type KeyboardEvent, type PointerEvent } from 'react';

import type { RangeView } from '../api/types';
import { formatNumber, formatQuantity } from '../quantity/format';
import { useSnapshot } from '../document/SessionContext';
import { KM_PER_MILE, unitName } from '../quantity/units';
import { kmAt, shareOf, type Along } from './along';
import { LevelHandle } from './LevelHandle';

const WIDTH = 780;
const LEFT = 104;
const RIGHT = 14;
const POSTS = 78;
const BAND = 42;
const GAP = 8;
const FOOT = 22;

/** The order of the bands of vessels, by what they hold. */
const order = ['fuel', 'drinking', 'wash', 'waste', 'gas', 'food', 'other'];

interface Band {
  key: string;
  name: string;
  /** Place of the vessel; undefined for loads, and for all fuel together. */
  vessel?: number;
  most: number;
  low: number;
  value: (point: RangeView['points'][number]) => number;
  kind: 'volume' | 'mass';
  /** What it is held against. */
  limit?: number;
}

/** What is drawn below the strip's posts: the loads, all fuel together, and vessels by what they hold. */
function bandsOf(view: RangeView): Band[] {
  const vessels = view.vessels
    .map((v, i) => ({ v, i }))
    .sort((a, b) => order.indexOf(a.v.holds) - order.indexOf(b.v.holds))
    .map(({ v, i }) => ({
      key: v.id,
      name: v.name,
      vessel: i,
      most: Math.max(1, v.capacity),
      low: 0,
      value: (p: RangeView['points'][number]) => p.levels[i] ?? 0,
      kind: 'volume' as const,
    }));
  const fuel = view.vessels.flatMap((v, i) => (v.holds === 'fuel' ? [i] : []));
  const all: Band = {
    key: 'all-fuel',
    name: fuel.length > 1 ? 'All fuel' : 'Fuel',
    most: Math.max(1, ...[fuel.reduce((sum, i) => sum + (view.vessels[i]?.capacity ?? 0), 0)]),
    low: 0,
    value: (p) => fuel.reduce((sum, i) => sum + (p.levels[i] ?? 0), 0),
    kind: 'volume',
  };
  const loads = view.limits
    .filter((l) => l.id !== 'combination' || view.stops.some((s) => s.towing))
    .map((l) => {
      const value = (p: RangeView['points'][number]) => p[l.id];
      const values = view.points.map(value);
      const [least, highest] = [Math.min(l.most, ...values), Math.max(l.most, ...values)];
      // What matters lies near the limit: the band begins a little below the least.
      const beside = 0.15 * (highest - least) + 0.005 * l.most;
      return {
        key: l.id,
        name: l.title,
        most: highest + beside,
        low: Math.max(0, least - 2 * beside),
        value,
        kind: 'mass' as const,
        limit: l.most,
      };
    });
  return [
    ...loads,
    ...(fuel.length > 0 ? [all] : []),
    ...vessels.filter((b) => fuel.length !== 1 || b.vessel !== fuel[0]),
  ];
}

/** The way from left to right: stops as posts, and below it what is in every vessel and on every axle, on one scale. */
export function WayStrip({
  view,
  along,
  km,
  onHand,
}: {
  view: RangeView;
  along: Along;
  km: number;
  onHand: (km: number) => void;
}) {
  const { job } = useSnapshot();
  const svg = useRef<SVGSVGElement>(null);
  const x = (at: number) => LEFT + shareOf(view, along, at) * (WIDTH - LEFT - RIGHT);
  const bands = bandsOf(view);
  const fuelVessels = view.vessels.flatMap((v, i) => (v.holds === 'fuel' ? [i] : []));
  const rest = fuelVessels.reduce((sum, i) => sum + (view.vessels[i]?.unusable ?? 0), 0);
  const height = POSTS + bands.length * (BAND + GAP) + FOOT;
  const end = view.points.at(-1)?.km ?? 0;

  const place = (event: PointerEvent<SVGSVGElement>) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return;
    const at = ((event.clientX - box.left) / box.width) * WIDTH;
    onHand(kmAt(view, along, Math.min(1, Math.max(0, (at - LEFT) / (WIDTH - LEFT - RIGHT)))));
  };
  const onPointerDown = (event: PointerEvent<SVGSVGElement>) => {
    if (event.button !== 0 || (event.target instanceof Element && event.target.closest('.level-handle'))) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    place(event);
  };
  const onPointerMove = (event: PointerEvent<SVGSVGElement>) => {
    if (event.currentTarget.hasPointerCapture(event.pointerId)) place(event);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const stops = view.stops.map((s) => s.km);
    const step = event.shiftKey ? 1 : Math.max(1, end / 100);
    const to = {
      ArrowRight: km + step,
      ArrowLeft: km - step,
      PageDown: stops.find((s) => s > km + 0.01) ?? end,
      PageUp: stops.findLast((s) => s < km - 0.01) ?? 0,
      Home: 0,
      End: end,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    onHand(Math.min(end, Math.max(0, to)));
  };
  const rows = inRows(view.stops.map((s) => (late(x(s.km)) ? x(s.km) - NAME : x(s.km))));
  const marks = along === 'km' ? kmMarks(end, job.units) : Array.from({ length: view.days + 1 }, (_, i) => i);
  return (
    <div className="way-strip">
      {/* What is dragged on the picture can be typed under it and moved by keys on the hand. */}
      <svg
        ref={svg}
        viewBox={`0 0 ${WIDTH} ${height}`}
        role="group"
        aria-label="The way with what is aboard"
        onPointerDown={onPointerDown}
        onPointerMove={onPointerMove}
      >
        <path className="way-line" d={`M${LEFT} ${POSTS - 8}H${WIDTH - RIGHT}`} />
        {view.route.map((stop, i) => {
          const at = view.stops[i];
          if (!at) return null;
          const left = x(at.km);
          const row = rows[i] ?? 0;
          return (
            <g key={stop.id} className={`post post-${stop.sure}`} data-post={stop.id}>
              <path d={`M${left} ${10 + row * 20}V${height - FOOT}`} />
              <circle cx={left} cy={POSTS - 8} r={4.5} />
              <text x={left + (late(left) ? -4 : 4)} y={16 + row * 20} textAnchor={late(left) ? 'end' : 'start'}>
                {stop.name.length > 19 ? `${stop.name.slice(0, 18)}…` : stop.name}
                <title>{stop.name}</title>
              </text>
            </g>
          );
        })}
        {bands.map((band, i) => {
          const top = POSTS + i * (BAND + GAP);
          const y = (value: number) =>
            top + BAND - Math.min(1, Math.max(0, (value - band.low) / (band.most - band.low))) * BAND;
          const line = view.points.map(
            (p, k) => `${k === 0 ? 'M' : 'L'}${x(p.km).toFixed(1)} ${y(band.value(p)).toFixed(1)}`,
          );
          const over = band.limit !== undefined && view.points.some((p) => band.value(p) > (band.limit ?? 0) + 0.05);
          return (
            <g key={band.key} className={`way-band way-${band.kind} ${over ? 'way-over' : ''}`} data-band={band.key}>
              <rect className="way-ground" x={LEFT} y={top} width={WIDTH - LEFT - RIGHT} height={BAND} />
              <path className="way-fill" d={`${line.join('')}L${x(end)} ${top + BAND}L${LEFT} ${top + BAND}Z`} />
              {band.limit !== undefined && over && (
                <>
                  <clipPath id={`over-${band.key}`}>
                    <rect x={LEFT} y={top - 2} width={WIDTH} height={Math.max(0, y(band.limit) - top + 2)} />
                  </clipPath>
                  <path
                    className="way-beyond"
                    clipPath={`url(#over-${band.key})`}
                    d={`${line.join('')}L${x(end)} ${top + BAND}L${LEFT} ${top + BAND}Z`}
                  />
                </>
              )}
              <path className="way-level" d={line.join('')} />
              {band.key === 'all-fuel' &&
                view.legs.map((leg, n) => {
                  const [a, b] = [view.stops[n]?.km ?? 0, view.stops[n + 1]?.km ?? 0];
                  return <path key={n} className="way-limit" d={`M${x(a)} ${y(leg.reserve + rest)}H${x(b)}`} />;
                })}
              {band.limit !== undefined && (
                <path className="way-limit" d={`M${LEFT} ${y(band.limit)}H${WIDTH - RIGHT}`} />
              )}
              <text className="way-name" x={4} y={top + 15}>
                {band.name.length > 16 ? `${band.name.slice(0, 15)}…` : band.name}
                <title>{band.name}</title>
              </text>
              <text className="way-most" x={4} y={top + 31}>
                {band.limit !== undefined
                  ? `${over ? '▲ over ' : 'of '}${formatQuantity(band.limit, 'mass', job.units)}`
                  : `of ${formatQuantity(band.most, 'volume', job.units)}`}
              </text>
              {band.limit !== undefined && (
                <text className="way-from" x={LEFT - 4} y={top + BAND} textAnchor="end">
                  from {formatNumber(band.low, 'mass', job.units)}
                </text>
              )}
              {band.key === 'all-fuel' && (
                <text className="way-from" x={LEFT - 4} y={top + BAND} textAnchor="end">
                  reserve dashed
                </text>
              )}
              {(band.vessel !== undefined || (band.key === 'all-fuel' && fuelVessels.length === 1)) &&
                view.stops.map(
                  (s, n) =>
                    s.fills[band.vessel ?? fuelVessels[0] ?? 0] &&
                    s.open &&
                    n < view.stops.length - 1 && (
                      <LevelHandle
                        key={view.route[n]?.id}
                        view={view}
                        stop={n}
                        vessel={band.vessel ?? fuelVessels[0] ?? 0}
                        x={x(s.km)}
                        y={y}
                        perLitre={BAND / band.most}
                        svg={svg}
                      />
                    ),
                )}
            </g>
          );
        })}
        {view.lacks.map((l) => (
          <g key={l.text} className="way-lack">
            <title>{l.text}</title>
            <path d={`M${x(l.km)} ${POSTS - 22}l6 10h-12z`} />
          </g>
        ))}
        {view.legs.map(
          (leg, i) =>
            leg.turn > 0 && (
              <g key={i} className="way-turn">
                <title>From here there is not enough fuel to go back to the last sure pump</title>
                <path d={`M${x(leg.turn)} ${POSTS - 3}v-10l7 5z`} />
              </g>
            ),
        )}
        {marks.map((mark) => {
          const at = along === 'km' ? x(mark) : LEFT + (mark / view.days) * (WIDTH - LEFT - RIGHT);
          return (
            <text key={mark} className="way-mark" x={at} y={height - 6} textAnchor="middle">
              {along === 'km' ? formatNumber(mark, 'distance', job.units) : mark < view.days ? `day ${mark + 1}` : ''}
            </text>
          );
        })}
        {along === 'km' && (
          <text className="way-mark" x={4} y={height - 6}>
            {unitName('distance', job.units)}
          </text>
        )}
        <g
          className="way-hand"
          role="slider"
          tabIndex={0}
          aria-label="Hand along the way"
          aria-valuemin={0}
          aria-valuemax={Math.round(end)}
          aria-valuenow={Math.round(km)}
          aria-valuetext={formatQuantity(km, 'distance', job.units)}
          onKeyDown={onKeyDown}
        >
          <path d={`M${x(km)} 4V${height - FOOT}`} />
          <rect x={x(km) - 9} y={POSTS - 17} width={18} height={18} rx={4} />
          <path className="way-grip" d={`M${x(km) - 3} ${POSTS - 12}v8M${x(km) + 3} ${POSTS - 12}v8`} />
        </g>
      </svg>
    </div>
  );
}

/** px that the name of a stop takes. */
const NAME = 112;

/** A name that would run out of the strip stands to the left of its post. */
const late = (x: number) => x > WIDTH - NAME;

/** Names that would lie over each other stand in rows: the row of each. */
function inRows(places: readonly number[]): number[] {
  const ends = [-1000, -1000, -1000];
  return places.map((at) => {
    const free = ends.findIndex((end) => at >= end);
    const row = free >= 0 ? free : ends.indexOf(Math.min(...ends));
    ends[row] = at + NAME;
    return row;
  });
}

/** Round distances along the foot, of the units shown. */
function kmMarks(end: number, units: 'metric' | 'us'): number[] {
  const per = units === 'us' ? KM_PER_MILE : 1;
  const step = [10, 20, 50, 100, 200, 500, 1000, 2000].find((s) => end / per / s <= 10) ?? 5000;
  return Array.from({ length: Math.floor(end / per / step) + 1 }, (_, i) => i * step * per);
}
