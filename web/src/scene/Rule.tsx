import type { Job } from '../api/types';
import { drawX, ruleTicks, type Window } from './geometry';

/** The steel rule along the edge, reading from a line that is called zero. */
export function Rule({
  window: w,
  origin,
  units,
  zero,
}: {
  window: Window;
  origin: number;
  units: Job['units'];
  zero: string;
}) {
  const top = w.height - 26;
  return (
    <g className="rule" aria-hidden>
      <rect x={0} y={top} width={w.width} height={26} />
      {ruleTicks(w, origin, units).map((tick) => (
        <g key={tick.x} transform={`translate(${drawX(w, tick.x).toFixed(1)} ${top})`}>
          <path d={`M0 0v${tick.major ? 11 : 6}`} />
          {tick.label !== undefined && (
            <text y={21} textAnchor="middle">
              {tick.label}
            </text>
          )}
        </g>
      ))}
      <path className="rule-origin" d={`M${drawX(w, origin)} ${top}v13`} />
      <text className="rule-unit" x={6} y={top - 5}>
        {units === 'us' ? 'in' : 'mm'}, {zero} = 0
      </text>
    </g>
  );
}
