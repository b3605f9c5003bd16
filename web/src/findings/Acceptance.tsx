import { useState } from 'react';

import type { Accepted, Finding } from '../api/types';
import { useSession } from '../document/SessionContext';

/** What was let stand before keys were kept whole names the rule and one thing only. */
const same = (finding: Finding) => (a: Accepted) =>
  a.stance === finding.stance &&
  (a.key === finding.key || (a.severity === '' && a.key === `${finding.rule}/${finding.subject.id}`));

/** The specialist's word that a finding may stand, with the reason; kept in the job and printed. */
export function Acceptance({ finding }: { finding: Finding }) {
  const session = useSession();
  const [why, setWhy] = useState<string>();
  if (finding.accepted !== '') {
    return (
      <p className="accepted">
        <span>Let stand: {finding.accepted}</span>
        <button
          type="button"
          className="chip"
          aria-label={`Look at it again: ${finding.title}`}
          onClick={() =>
            session.edit(
              `Look again at ${finding.title}`,
              (j) => (j.accepted = j.accepted.filter((a) => !same(finding)(a))),
            )
          }
        >
          Look again
        </button>
      </p>
    );
  }
  if (!finding.waivable) return null;
  if (why === undefined) {
    return (
      <button
        type="button"
        className="chip let-stand"
        aria-label={`Let it stand: ${finding.title}`}
        onClick={() => setWhy('')}
      >
        Let it stand
      </button>
    );
  }
  const reason = why.trim();
  return (
    <form
      className="let-stand-form"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason === '') return;
        session.edit(`Let stand: ${finding.title}`, (j) => {
          j.accepted = [
            ...j.accepted.filter((a) => !same(finding)(a)),
            {
              key: finding.key,
              stance: finding.stance,
              severity: finding.severity,
              beyond: -finding.margin,
              why: reason,
            },
          ];
        });
        setWhy(undefined);
      }}
    >
      <input
        className="form-control form-control-sm"
        aria-label={`Why it may stand: ${finding.title}`}
        placeholder="Why it may stand"
        value={why}
        maxLength={1000}
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus -- it was asked for by the press before
        onChange={(event) => setWhy(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setWhy(undefined)}
      />
      <button type="submit" className="btn btn-sm btn-primary" disabled={reason === ''}>
        Let it stand
      </button>
    </form>
  );
}
