import { useEffect, useRef } from 'react';

import type { Finding } from '../api/types';
import { useSession, useSnapshot } from '../document/SessionContext';

const key = (f: Finding) => `${f.rule} ${f.subject.id} ${f.stance}`;

/** What is being tried, what it mends and brings, and the choice to keep it. */
export function TrialBar() {
  const session = useSession();
  const { trial, assessment, assessed } = useSnapshot();
  const keep = useRef<HTMLButtonElement>(null);
  const label = trial?.label;
  useEffect(() => {
    if (label === undefined) return;
    const pressed = document.activeElement;
    keep.current?.focus({ preventScroll: true });
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key === 'Escape') session.putBack();
    };
    document.addEventListener('keydown', onKeyDown);
    return () => {
      document.removeEventListener('keydown', onKeyDown);
      if (pressed instanceof HTMLElement && pressed.isConnected) pressed.focus({ preventScroll: true });
    };
  }, [label, session]);
  if (!trial) return null;
  const before = trial.before?.findings ?? [];
  const after = assessed === trial.job ? (assessment?.findings ?? []) : undefined;
  const mended = after && before.filter((f) => !after.some((g) => key(g) === key(f)));
  const brought = after?.filter((f) => !before.some((g) => key(g) === key(f)));
  return (
    <div className="notice trial-bar" role="status" aria-label="Being tried">
      <div>
        <p>
          <b>Tried, not kept yet:</b> {trial.label}
        </p>
        {mended && mended.length > 0 && <p className="hint">Mends: {mended.map((f) => f.title).join(', ')}</p>}
        {brought && brought.length > 0 && (
          <p className="hint" data-brings>
            Brings: {brought.map((f) => f.title).join(', ')}
          </p>
        )}
      </div>
      <button ref={keep} type="button" className="btn btn-sm btn-primary" onClick={() => session.keep()}>
        Keep it
      </button>
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => session.putBack()}>
        Put it back
      </button>
    </div>
  );
}
