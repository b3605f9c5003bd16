import { memo } from 'react';

import type { Job } from '../api/types';
import { drawX, ruleTicks, type Window } from './geometry';

/** The steel rule along the edge, reading from a line that is called zero. */
export const Rule = memo(function Rule({
  window: w,
  origin,
  units,
  zero,
  sign = 1,
}: {
  window: Window;
  origin: number;
  units: Job['units'];
  zero: string;
  /** −1 where it counts from right to left. */
  sign?: 1 | -1;
}) {
  const top = w.height - 26;
  return (
    <g className="rule" aria-hidden>
      <rect x={0} y={top} width={w.width} height={26} />
      {ruleTicks(w, sign * origin, units, sign).map((tick) => (
        <g key={tick.x} transform={`translate(${drawX(w, tick.x).toFixed(1)} ${top})`}>
          <path d={`M0 0v${tick.major ? 11 : 6}`} />
          {tick.label !== undefined && (
            <text y={21} textAnchor="middle">
              {tick.label}
            </text>
          )}
        </g>
      ))}
      <path className="rule-origin" d={`M${drawX(w, sign * origin)} ${top}v13`} />
      <text className="rule-unit" x={6} y={top - 5}>
        {units === 'us' ? 'in' : 'mm'}, {zero} = 0
      </text>
    </g>
  );
});
