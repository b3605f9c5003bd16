import type { BuildStep } from '../api/types';
import { counted } from '../words/words';

interface Props {
  steps: readonly BuildStep[];
  /** Hours of work a day. */
  day: number;
  days: number;
}

const HIGH = 20;

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
    <div className="day-strip" role="img" aria-label={`${counted(steps.length, 'step')} in ${counted(days, 'day')}`}>
      <div className="strip-lane strip-head">
        <span />
        <div>
          {Array.from({ length: shown }, (_, d) => (
            <span key={d}>{d + 1}</span>
          ))}
        </div>
      </div>
      {lanes.map((who) => (
        <div key={who} className="strip-lane">
          <span>{who === '' ? 'from outside' : who}</span>
          <svg viewBox={`0 0 1000 ${HIGH}`} preserveAspectRatio="none" height={HIGH}>
            {Array.from({ length: shown }, (_, d) => (
              <rect key={d} x={px(d * (day + night))} width={px(day)} height={HIGH} className="strip-day" />
            ))}
            {steps
              .filter((s) => s.day <= shown && hands(s).includes(who))
              .map((s) => (
                <g key={s.id}>
                  {s.wait > 0 && (
                    <rect
                      className="strip-wait"
                      x={px(at(s.to))}
                      width={Math.max(0, px(Math.min(width, at(s.to + s.wait)) - at(s.to)))}
                      y={HIGH / 2 - 2}
                      height={4}
                    >
                      <title>{`${s.title}: ${s.why}`}</title>
                    </rect>
                  )}
                  <rect
                    className={`strip-step ${s.done ? 'is-done' : ''}`}
                    x={px(at(s.from))}
                    width={Math.max(1, px(at(s.to) - at(s.from)) - 0.6)}
                    y={1}
                    height={HIGH - 2}
                  >
                    <title>{s.title}</title>
                  </rect>
                </g>
              ))}
          </svg>
        </div>
      ))}
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
