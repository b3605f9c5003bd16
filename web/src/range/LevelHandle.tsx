import { useState, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';

import type { Job, RangeView } from '../api/types';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { LITRES_PER_GAL } from '../quantity/units';

/** How full a vessel leaves a stop: dragged up and down, or by keys. */
export function LevelHandle({
  view,
  stop,
  vessel,
  x,
  y,
  perLitre,
  svg,
}: {
  view: RangeView;
  stop: number;
  vessel: number;
  x: number;
  y: (litres: number) => number;
  perLitre: number;
  svg: RefObject<SVGSVGElement | null>;
}) {
  const session = useSession();
  const { job } = useSnapshot();
  const [from, setFrom] = useState<{ clientY: number; litres: number }>();
  const s = view.route[stop];
  const v = view.vessels[vessel];
  const level = view.stops[stop]?.levels[vessel] ?? 0;
  if (!s || !v) return null;
  const label = `${v.name} on leaving ${s.name}`;
  const set = (litres: number) => (j: Job) => fillTo(j, s.id, v.id, Math.min(v.full, Math.max(0, litres)));
  const step = job.units === 'us' ? LITRES_PER_GAL / 2 : 1;
  const onPointerDown = (event: PointerEvent<SVGCircleElement>) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    setFrom({ clientY: event.clientY, litres: level });
  };
  const onPointerMove = (event: PointerEvent<SVGCircleElement>) => {
    const box = svg.current?.getBoundingClientRect();
    if (!from || !box) return;
    const px = (from.clientY - event.clientY) * ((svg.current?.viewBox.baseVal.width ?? box.width) / box.width);
    session.drag(set(Math.round((from.litres + px / perLitre) / step) * step));
  };
  const release = (keep: boolean) => {
    if (!from) return;
    setFrom(undefined);
    session.drop(label, keep);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowUp: step, ArrowDown: -step, PageUp: 10 * step, PageDown: -10 * step }[event.key];
    const to = event.key === 'Home' ? 0 : event.key === 'End' ? v.full : by === undefined ? undefined : level + by;
    if (to === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    session.edit(label, set(Math.round(to / step) * step), `fill ${s.id} ${v.id}`);
  };
  return (
    <circle
      className="level-handle"
      data-fill={`${s.id}/${v.id}`}
      cx={x}
      cy={y(level)}
      r={5.5}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={Math.round(v.full)}
      aria-valuenow={Math.round(level)}
      aria-valuetext={formatQuantity(level, 'volume', job.units)}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={() => release(true)}
      onPointerCancel={() => release(false)}
      onKeyDown={onKeyDown}
    >
      <title>{`${label}: ${formatQuantity(level, 'volume', job.units)}. Drag it.`}</title>
    </circle>
  );
}

/** Decides how full a vessel leaves a stop. */
export function fillTo(job: Job, stop: string, of: string, litres: number): void {
  const variant = chosenVariant(job);
  const fill = variant.fills.find((f) => f.stop === stop && f.of === of);
  if (fill) fill.litres = litres;
  else variant.fills.push({ stop, of, litres });
}
