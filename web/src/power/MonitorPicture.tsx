import type { Beside } from '../api/types';

const WIDTH = 780;
const HEIGHT = 180;
const LEFT = 44;
const BOTTOM = 22;

/** What was read as points beside the planned line, over the days of the plan. */
export function MonitorPicture({ beside, nights }: { beside: Beside; nights: number }) {
  const x = (hours: number) => LEFT + (hours / (nights * 24)) * (WIDTH - LEFT - 8);
  const y = (charge: number) => 8 + (1 - charge) * (HEIGHT - BOTTOM - 8);
  const path = (of: (p: Beside['points'][number]) => number) =>
    beside.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.hours).toFixed(1)} ${y(of(p)).toFixed(1)}`).join('');
  const last = beside.points.at(-1);
  return (
    <svg
      className="scene course"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label="Read and planned state of charge"
    >
      {[0, 0.25, 0.5, 0.75, 1].map((c) => (
        <g key={c}>
          <path className="course-grid" d={`M${LEFT} ${y(c)}H${WIDTH - 8}`} />
          <text x={LEFT - 4} y={y(c) + 4} textAnchor="end">
            {c * 100}
          </text>
        </g>
      ))}
      {Array.from({ length: nights }, (_, i) => (
        <text key={i} x={x(i * 24) + 3} y={HEIGHT - 6}>
          {nights <= 14 ? 'day ' : ''}
          {i + 1}
        </text>
      ))}
      <path className="course-line" d={path((p) => p.planned)} />
      <path className="monitor-line" d={path((p) => p.charge)} />
      {last && <circle className="monitor-dot" cx={x(last.hours)} cy={y(last.charge)} r={4} />}
    </svg>
  );
}
