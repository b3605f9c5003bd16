import { useRef, type PointerEvent } from 'react';

import type { DrawnView, Units } from '../api/types';
import { formatQuantity } from '../quantity/format';
import { drawX, drawY, type Window } from '../scene/geometry';
import { axesOf, standNames, type Stand } from '../scene/projection';
import type { Seeing } from './useSeeing';

/** Steps of the cutting plane, mm. */
const STEP = 10;

/** How deep a view is cut: from nothing, at its near side, to all. */
export function DepthHandle({
  view,
  drawn,
  seeing,
  units,
}: {
  view: Stand;
  drawn: DrawnView;
  seeing: Seeing;
  units: Units;
}) {
  const { farther } = axesOf[view];
  const plane = seeing.planes[view];
  // The near side goes with the cut; it is kept from before it.
  const near = plane?.near ?? (farther > 0 ? drawn.low : drawn.high);
  const whole = plane?.whole ?? Math.ceil((drawn.high - drawn.low) / STEP) * STEP;
  const depth = plane === undefined ? 0 : Math.round((plane.at - near) * farther);
  if (whole <= 0) return null;
  return (
    <label className="depth">
      <span>Depth</span>
      <input
        type="range"
        min={0}
        max={whole}
        step={STEP}
        value={depth}
        aria-label={`Depth of the cut, ${standNames[view].toLowerCase()}`}
        aria-valuetext={depth === 0 ? 'not cut' : `cut ${formatQuantity(depth, 'length', units)} in`}
        onChange={(event) => {
          const value = Number(event.target.value);
          seeing.setPlane(view, value === 0 ? undefined : { at: near + farther * value, near, whole });
        }}
      />
      <output>{depth === 0 ? 'not cut' : formatQuantity(depth, 'length', units)}</output>
    </label>
  );
}

/** The cutting planes of the other views, seen edge on: each can be taken hold of. */
export function PlaneLines({ view, seeing, w, units }: { view: Stand; seeing: Seeing; w: Window; units: Units }) {
  const { across, up, sign } = axesOf[view];
  return (
    <>
      {seeing.stands
        .filter((other) => other !== view)
        .map((other) => {
          const plane = seeing.planes[other];
          const { away } = axesOf[other];
          if (plane === undefined || (away !== across && away !== up)) return null;
          const upright = away === across;
          const at = upright ? drawX(w, sign * plane.at) : drawY(w, plane.at);
          return (
            <PlaneLine
              key={other}
              other={other}
              upright={upright}
              at={at}
              w={w}
              label={`Cut of the view ${standNames[other].toLowerCase()}, at ${formatQuantity(plane.at, 'length', units)}`}
              onMove={(by) => {
                const mm = upright ? sign * by * w.scale : -by * w.scale;
                seeing.setPlane(other, { ...plane, at: Math.round((plane.at + mm) / STEP) * STEP });
              }}
              onStep={(steps) => seeing.setPlane(other, { ...plane, at: plane.at + steps * STEP })}
            />
          );
        })}
    </>
  );
}

function PlaneLine({
  other,
  upright,
  at,
  w,
  label,
  onMove,
  onStep,
}: {
  other: Stand;
  upright: boolean;
  at: number;
  w: Window;
  label: string;
  onMove: (by: number) => void;
  onStep: (steps: number) => void;
}) {
  const grip = useRef<number>(undefined);
  const place = (event: PointerEvent<SVGGElement>) => {
    const r = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    const perPixel = r ? w.width / Math.max(1, r.width) : 1;
    return (upright ? event.clientX : event.clientY) * perPixel;
  };
  const end = w.height - 26;
  return (
    <g
      className="plane-line"
      data-plane={other}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(at)}
      aria-valuetext={label}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        grip.current = place(event);
      }}
      onPointerMove={(event) => {
        if (grip.current === undefined) return;
        const to = place(event);
        onMove(to - grip.current);
        grip.current = to;
      }}
      onPointerUp={() => (grip.current = undefined)}
      onKeyDown={(event) => {
        const step = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
        if (step === undefined) return;
        event.preventDefault();
        event.stopPropagation();
        onStep(step * (event.shiftKey ? 10 : 1));
      }}
    >
      <path className="plane-hit" d={upright ? `M${at} 0V${end}` : `M0 ${at}H${w.width}`} />
      <path d={upright ? `M${at} 0V${end}` : `M0 ${at}H${w.width}`} />
      <circle cx={upright ? at : 14} cy={upright ? 14 : at} r={7} />
    </g>
  );
}
