export type Mark = 'within' | 'close' | 'over' | 'unknown';

const words: Record<Mark, string> = { within: 'within', close: 'close', over: 'over', unknown: 'no limit stated' };

/** The state of a load by shape and word: a disc is within, a wedge is close, a barred square is over. */
export function StateMark({ state }: { state: Mark }) {
  return (
    <span className={`state-mark state-${state}`}>
      <svg viewBox="0 0 16 16" width="14" height="14" aria-hidden>
        {state === 'within' && <circle cx="8" cy="8" r="6" />}
        {state === 'close' && <path d="M8 1.5 15 14H1z" />}
        {state === 'over' && <path d="M1.5 1.5h13v13h-13zM4 7v2h8V7z" fillRule="evenodd" />}
        {state === 'unknown' && (
          <circle cx="8" cy="8" r="5.5" fill="none" stroke="currentColor" strokeWidth="2" strokeDasharray="3 2" />
        )}
      </svg>
      {words[state]}
    </span>
  );
}
