import type { Course, SystemCourse } from '../api/types';
import { formatQuantity } from '../quantity/format';
import { percent } from './usePower';
import { useSnapshot } from '../document/SessionContext';

const WIDTH = 780;
const LEFT = 44;
const RIGHT = 8;
const TOP = 10;
const LINE = 170;
const BARS = 62;
const HEIGHT = TOP + LINE + 22 + BARS + 20;

/** State of charge over the days with its band, what drops at which charge, and what comes in and goes out by the hour. */
export function CoursePicture({ course, system }: { course: Course; system: SystemCourse }) {
  const { job } = useSnapshot();
  const hours = course.nights * 24;
  const x = (hour: number) => LEFT + (hour / hours) * (WIDTH - LEFT - RIGHT);
  const y = (charge: number) => TOP + (1 - charge) * LINE;
  const path = (line: number[]) =>
    line.map((c, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)} ${y(c).toFixed(1)}`).join('');
  const band =
    path(system.clear) +
    [...system.overcast]
      .map((c, i) => [i, c] as const)
      .reverse()
      .map(([i, c]) => `L${x(i).toFixed(1)} ${y(c).toFixed(1)}`)
      .join('') +
    'Z';
  const most = Math.max(1, ...system.in, ...system.out);
  const zero = TOP + LINE + 22 + BARS / 2;
  const bar = (ah: number) => (ah / most) * (BARS / 2);
  const days = Array.from({ length: course.nights + 1 }, (_, i) => i * 24 - course.begin).filter(
    (h) => h >= 0 && h < hours,
  );
  const dusk = Array.from({ length: course.nights + 2 }, (_, i) => i * 24 - course.begin - 6);
  const width = x(1) - x(0);
  return (
    <svg
      className="scene course"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`State of charge of ${system.name} over ${course.nights} nights`}
    >
      {dusk.map((from) => {
        const [a, b] = [Math.max(0, from), Math.min(hours, from + 12)];
        return b > a ? (
          <rect key={from} className="course-night" x={x(a)} y={TOP} width={x(b) - x(a)} height={LINE} />
        ) : null;
      })}
      {[0, 0.25, 0.5, 0.75, 1].map((c) => (
        <g key={c}>
          <path className="course-grid" d={`M${LEFT} ${y(c)}H${WIDTH - RIGHT}`} />
          <text x={LEFT - 4} y={y(c) + 4} textAnchor="end">
            {c * 100}
          </text>
        </g>
      ))}
      <text x={2} y={TOP + 4}>
        %
      </text>
      <path className="course-band" d={band} />
      <path className="course-line" d={path(system.charge)} />
      {system.lines.map((l) => (
        <g key={l.text}>
          <path className="course-limit" d={`M${LEFT} ${y(l.charge)}H${WIDTH - RIGHT}`} />
          <text className="course-limit-text" x={WIDTH - RIGHT - 2} y={y(l.charge) - 3} textAnchor="end">
            {percent(l.charge)}: {l.text}
          </text>
        </g>
      ))}
      <path className="course-grid" d={`M${LEFT} ${zero}H${WIDTH - RIGHT}`} />
      {system.in.map((ah, i) =>
        ah > 0 ? (
          <rect key={i} className="course-in" x={x(i)} y={zero - bar(ah)} width={width} height={bar(ah)} />
        ) : null,
      )}
      {system.out.map((ah, i) =>
        ah > 0 ? <rect key={i} className="course-out" x={x(i)} y={zero} width={width} height={bar(ah)} /> : null,
      )}
      <text x={LEFT - 4} y={zero - BARS / 2 + 10} textAnchor="end">
        in
      </text>
      <text x={LEFT - 4} y={zero + BARS / 2 - 2} textAnchor="end">
        out
      </text>
      {course.driven.map((share, i) =>
        share > 0 ? (
          <rect key={i} className="course-driven" x={x(i)} y={TOP + LINE + 5} width={width * share} height={5} />
        ) : null,
      )}
      {days.map((h) => (
        <g key={h}>
          <path className="course-day" d={`M${x(h)} ${TOP}V${HEIGHT - 18}`} />
          {course.nights <= 31 && (
            <text x={x(h) + 3} y={HEIGHT - 5}>
              {course.nights <= 14 ? 'day ' : ''}
              {1 + (h + course.begin) / 24}
            </text>
          )}
        </g>
      ))}
      <title>
        {`Lowest ${percent(Math.min(...system.charge))}; at most ${formatQuantity(most, 'charge', job.units)} an hour. ` +
          'The band lies between a clear and an overcast sky; bars are what comes in and goes out by the hour; the marks below the line are hours of driving. An estimate.'}
      </title>
    </svg>
  );
}
