import type { Datum, Job } from '../api/types';
import { datums, labelOf } from '../words/words';
import { drawX, ruleTicks, type Window } from './geometry';

/** The steel rule along the edge, reading in the datum that the user chose. */
export function Rule({ window: w, origin, units, datum }: { window: Window; origin: number; units: Job['units']; datum: Datum }) {
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
        {units === 'us' ? 'in' : 'mm'}, {labelOf(datums, datum)} = 0
      </text>
    </g>
  );
}
