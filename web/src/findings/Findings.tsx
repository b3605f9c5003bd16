import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useNavigate } from 'react-router';

import type { Assessment, Finding } from '../api/types';
import { chosenVariant, useSnapshot } from '../document/SessionContext';
import { findingsHidden } from '../document/exercise';
import { FindingItem } from './FindingItem';
import { whereabouts } from './whereabouts';

interface Props {
  /** Where there is a scene beside it. */
  onShow?: (finding: Finding) => void;
  /** Of one severity alone, without what is let stand. */
  only?: Finding['severity'] | undefined;
}

/** How many findings are told at once: the worst come first, and who has more has begun with those. */
const PAGE = 100;

const none: Assessment['fallen'] = [];

/** What the core has to say about the job, worst first. */
export function Findings({ onShow, only }: Props) {
  const navigate = useNavigate();
  const { job, assessment, trial } = useSnapshot();
  const [shown, setShown] = useState(PAGE);
  const show = useCallback(
    (finding: Finding) => {
      onShow?.(finding);
      const sheet = whereabouts(finding.subject);
      if (sheet) void navigate(`/jobs/${job.id}/${sheet}`, { state: { rule: finding.rule } });
    },
    [onShow, navigate, job.id],
  );
  if (!assessment) return <p aria-busy="true" />;
  // While something is tried the list stays, so that another way can be tried.
  const { findings: all, fallen } = trial?.before ?? assessment;
  const findings = all.filter((f) => only === undefined || (f.severity === only && f.accepted === ''));
  const stanceName = (id: string) => chosenVariant(job).stances.find((s) => s.id === id)?.name;
  if (findingsHidden(job))
    return <p className="empty">Findings are hidden until you compare: mark what you see first.</p>;
  if (findings.length === 0)
    return (
      <p className="empty">
        {only === undefined
          ? 'Nothing to say about this state. The last word has a public weighbridge.'
          : 'None of this kind.'}
      </p>
    );
  return (
    <>
      <ol className="findings" aria-label="Findings">
        {findings.slice(0, shown).map((finding, i) => (
          <FindingItem
            key={`${finding.key} ${finding.stance} ${i}`}
            finding={finding}
            fallen={
              fallen.some((f) => f.finding === finding.key) ? fallen.filter((f) => f.finding === finding.key) : none
            }
            stance={finding.stance === '' ? undefined : stanceName(finding.stance)}
            units={job.units}
            trying={trial?.label}
            onShow={show}
          />
        ))}
      </ol>
      {findings.length > shown && (
        <p className="more">
          The {shown} worst of {findings.length}.{' '}
          <Button size="sm" variant="outline-secondary" onClick={() => setShown(shown + PAGE)}>
            Show more
          </Button>
        </p>
      )}
    </>
  );
}
