import { memo } from 'react';

import type { BayFigures } from '../api/types';
import { drawX, drawY, type Window } from './geometry';
import { bayOutline, flat, type Stand } from './projection';

/** A measured space in one view: its outline, what stands in it, and its opening. */
export const BayShape = memo(function BayShape({
  bay,
  view,
  window: w,
  picked,
}: {
  bay: BayFigures;
  view: Stand;
  window: Window;
  picked?: boolean;
}) {
  if (bay.box.length === 0 && bay.box.width === 0) return null;
  const path = bayOutline(view, bay)
    .map(([u, v], i) => `${i === 0 ? 'M' : 'L'}${drawX(w, u).toFixed(1)} ${drawY(w, v).toFixed(1)}`)
    .join('');
  const gap = bay.gap && flat(view, bay.gap.from, bay.gap.to);
  return (
    <g className={`bay ${picked ? 'bay-picked' : ''}`} data-bay-shape={bay.id}>
      {path !== '' && <path d={`${path}Z`} className="bay-room" />}
      {bay.obstacles.map(({ id, solid }) => {
        const o = flat(view, solid.from, solid.to);
        return (
          <rect
            key={id}
            x={drawX(w, o.u)}
            y={drawY(w, o.v + o.height)}
            width={o.width / w.scale}
            height={o.height / w.scale}
            className="bay-obstacle"
          />
        );
      })}
      {gap &&
        (gap.width > 0 && gap.height > 0 ? (
          <rect
            x={drawX(w, gap.u)}
            y={drawY(w, gap.v + gap.height)}
            width={gap.width / w.scale}
            height={gap.height / w.scale}
            className="bay-door"
          />
        ) : (
          // Seen edge on, the opening is a line in its wall.
          <path
            d={`M${drawX(w, gap.u)} ${drawY(w, gap.v)}L${drawX(w, gap.u + gap.width)} ${drawY(w, gap.v + gap.height)}`}
            className="bay-gap"
          />
        ))}
    </g>
  );
});
