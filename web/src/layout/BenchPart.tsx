import { memo } from 'react';

import type { Item } from '../api/types';
import { drawX, drawY, type Window } from '../scene/geometry';
import { flat, type View } from '../scene/projection';
import type { Box } from '../api/types';

interface Props {
  item: Item;
  box: Box;
  view: View;
  window: Window;
  selected: boolean;
  /** It stands in something, or out of its space. */
  wrong: boolean;
  /** It is not aboard in the state shown. */
  absent: boolean;
  tabStop: boolean;
  label: string;
}

/** A part in one view, drawn again only when something of its own has changed. */
export const BenchPart = memo(function BenchPart({
  item,
  box,
  view,
  window: w,
  selected,
  wrong,
  absent,
  tabStop,
  label,
}: Props) {
  const f = flat(view, box.from, box.to);
  const [x, y, width, height] = [
    drawX(w, f.u),
    drawY(w, f.v + f.height),
    Math.max(3, f.width / w.scale),
    Math.max(3, f.height / w.scale),
  ];
  const states = [
    'part',
    item.module ? 'part-module' : 'part-gear',
    selected && 'selected',
    wrong && 'part-wrong',
    absent && 'part-absent',
    item.locked && 'part-locked',
    (item.work === 'later' || item.work === 'others') && 'part-later',
    item.in && 'part-inside',
  ];
  // Gear tells its name only where it is chosen or large: else modules could not be read through it.
  const told = (item.module || selected || (width > 120 && height > 40)) && width > 34 && height > 14;
  return (
    <g
      data-part={item.id}
      className={states.filter(Boolean).join(' ')}
      role="button"
      aria-pressed={selected}
      tabIndex={tabStop ? 0 : -1}
      aria-label={label}
    >
      <title>{item.name}</title>
      <rect x={x} y={y} width={width} height={height} rx={item.form === 'tank' || item.form === 'soft' ? 5 : 1.5} />
      {item.module && <Face item={item} view={view} x={x} y={y} width={width} height={height} />}
      {told && (
        // Cut off at the part's edge; the whole name stays there to be read aloud.
        <svg x={x} y={y} width={width - 3} height={height}>
          <text x={4} y={12}>
            {item.name}
          </text>
        </svg>
      )}
      {item.locked && width > 24 && height > 26 && (
        <path className="part-pin" d={`M${x + width - 12} ${y + height - 5}v-6a4 4 0 0 1 8 0`} />
      )}
    </g>
  );
});

/** A stroke along the side that it opens to. */
function Face({
  item,
  view,
  x,
  y,
  width,
  height,
}: {
  item: Item;
  view: View;
  x: number;
  y: number;
  width: number;
  height: number;
}) {
  const faces = item.module?.faces ?? 'none';
  const edge: Partial<Record<View, Record<string, string>>> = {
    side: { rear: `M${x + width} ${y}v${height}`, front: `M${x} ${y}v${height}`, top: `M${x} ${y}h${width}` },
    plan: {
      rear: `M${x + width} ${y}v${height}`,
      front: `M${x} ${y}v${height}`,
      right: `M${x} ${y}h${width}`,
      left: `M${x} ${y + height}h${width}`,
    },
    rear: { right: `M${x + width} ${y}v${height}`, left: `M${x} ${y}v${height}`, top: `M${x} ${y}h${width}` },
  };
  const path = edge[view]?.[faces];
  return path ? <path className="part-face" d={path} /> : null;
}
