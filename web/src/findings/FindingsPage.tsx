import { useState } from 'react';

import type { Finding } from '../api/types';
import { useSnapshot } from '../document/SessionContext';
import { Findings } from './Findings';

const kinds: [Finding['severity'], string, string][] = [
  ['stop', 'stop', 'stops'],
  ['caution', 'caution', 'cautions'],
  ['note', 'note', 'notes'],
];

/** All findings of the job on a screen of their own, as on a phone. */
export function FindingsPage() {
  const { assessment } = useSnapshot();
  const [only, setOnly] = useState<Finding['severity']>();
  const open = assessment?.findings.filter((f) => f.accepted === '') ?? [];
  return (
    <section className="sheet findings-page" aria-label="Findings of the job">
      <div className="segments" role="group" aria-label="Which findings">
        <button type="button" aria-pressed={only === undefined} onClick={() => setOnly(undefined)}>
          All
        </button>
        {kinds.map(([severity, one, many]) => {
          const n = open.filter((f) => f.severity === severity).length;
          return (
            <button key={severity} type="button" aria-pressed={only === severity} onClick={() => setOnly(severity)}>
              {n} {n === 1 ? one : many}
            </button>
          );
        })}
      </div>
      <Findings only={only} />
    </section>
  );
}
