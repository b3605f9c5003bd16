import type { BuildStep } from '../api/types';

interface Props {
  steps: readonly BuildStep[];
  /** Hours of work a day. */
  day: number;
  days: number;
}

const HIGH = 16;

/** The steps as a strip of days: each maker a line, with nights between, and waits pale behind them. */
export function DayStrip({ steps, day, days }: Props) {
  const lanes = [...new Set(steps.flatMap(hands))];
  const shown = Math.min(days, MOST);
  // A day's work as wide as it is long, a night as a narrow gap.
  const night = 1.2;
  const at = (hours: number) => {
    const d = Math.floor(hours / 24);
    return d * (day + night) + Math.min(hours - d * 24, day + night);
  };
  const width = shown * (day + night);
  const px = (h: number) => (1000 * h) / width;
  return (
    <div className="day-strip-wrap">
      <svg
        className="day-strip"
        viewBox={`0 0 1000 ${lanes.length * (HIGH + 4) + 18}`}
        role="img"
        aria-label={`${steps.length} steps in ${days} ${days === 1 ? 'day' : 'days'}`}
      >
        {Array.from({ length: shown }, (_, d) => (
          <g key={d}>
            <rect
              x={px(d * (day + night))}
              width={px(day)}
              y={16}
              height={lanes.length * (HIGH + 4)}
              className="strip-day"
            />
            <text x={px(d * (day + night)) + 3} y={11}>
              {d + 1}
            </text>
          </g>
        ))}
        {steps
          .filter((s) => s.day <= shown)
          .map((s) => {
            return hands(s).map((who) => {
              const y = 18 + lanes.indexOf(who) * (HIGH + 4);
              return (
                <g key={`${s.id} ${who}`}>
                  {s.wait > 0 && (
                    <rect
                      className="strip-wait"
                      x={px(at(s.to))}
                      width={Math.max(0, px(Math.min(width, at(s.to + s.wait)) - at(s.to)))}
                      y={y + HIGH / 2 - 2}
                      height={4}
                    >
                      <title>{`${s.title}: ${s.why}`}</title>
                    </rect>
                  )}
                  <rect
                    className={`strip-step ${s.done ? 'is-done' : ''}`}
                    x={px(at(s.from))}
                    width={Math.max(1, px(at(s.to) - at(s.from)) - 0.6)}
                    y={y}
                    height={HIGH}
                  >
                    <title>{s.title}</title>
                  </rect>
                </g>
              );
            });
          })}
      </svg>
      <ul className="strip-lanes">
        {lanes.map((l) => (
          <li key={l} style={{ height: HIGH + 4 }}>
            {l === '' ? 'from outside' : l}
          </li>
        ))}
      </ul>
      {days > MOST && (
        <p className="hint">
          The first {MOST} of {days} days.
        </p>
      )}
    </div>
  );
}

/** Who does a step: each has a line of the strip. */
const hands = (s: BuildStep) => (s.makers.length > 0 ? s.makers : ['']);

/** Days that one strip shows. */
const MOST = 30;
