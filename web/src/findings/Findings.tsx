import { useNavigate } from 'react-router';

import type { Finding } from '../api/types';
import { chosenVariant, useSnapshot } from '../document/SessionContext';
import { findingsHidden } from '../document/exercise';
import { useShowState } from '../load/useShowState';
import { formatChange } from '../quantity/format';
import { unitName } from '../quantity/units';
import { SeverityMark } from './SeverityMark';
import { Acceptance } from './Acceptance';
import { MendPanel } from './MendPanel';
import { useTrial } from './useTrial';
import { whereabouts } from './whereabouts';

interface Props {
  /** Where there is a scene beside it. */
  onShow?: (finding: Finding) => void;
  /** Of one severity alone, without what is let stand. */
  only?: Finding['severity'] | undefined;
}

/** What the core has to say about the job, worst first. */
export function Findings({ onShow, only }: Props) {
  const navigate = useNavigate();
  const { job, assessment, trial } = useSnapshot();
  const { tried, toggle } = useTrial();
  const showState = useShowState();
  if (!assessment) return <p aria-busy="true" />;
  // While something is tried the list stays, so that another way can be tried.
  const findings = (trial?.before ?? assessment).findings.filter(
    (f) => only === undefined || (f.severity === only && f.accepted === ''),
  );
  const show = (finding: Finding) => {
    onShow?.(finding);
    const sheet = whereabouts(finding.subject);
    if (sheet) void navigate(`/jobs/${job.id}/${sheet}`, { state: { rule: finding.rule } });
  };
  const stanceName = (id: string) => chosenVariant(job).stances.find((s) => s.id === id)?.name;
  const fallen = (key: string) => (trial?.before ?? assessment).fallen.filter((f) => f.finding === key);
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
    <ol className="findings" aria-label="Findings">
      {findings.map((finding, i) => (
        <li
          key={`${finding.key} ${finding.stance} ${i}`}
          className={`finding finding-${finding.severity} ${finding.accepted === '' ? '' : 'finding-accepted'}`}
          data-rule={finding.rule}
        >
          <h3>
            <SeverityMark severity={finding.severity} />
            <button type="button" className="link" title="Show it" onClick={() => show(finding)}>
              {finding.title}
            </button>
          </h3>
          <p>{finding.sentence}</p>
          {fallen(finding.key).map((f) => (
            <p key={f.told} className="fallen">
              {f.told} The reason given was: {f.why}
            </p>
          ))}
          <p className="hint">
            Source: {finding.source}
            {finding.stance !== '' && <> · in {stanceName(finding.stance)}</>}
          </p>
          {finding.fixes.length > 0 && (
            <ul className="fixes" aria-label="What would mend it">
              {finding.fixes.map((fix) => (
                <li key={fix.label}>
                  <button type="button" aria-pressed={tried(fix.label)} onClick={() => toggle(fix.label, [fix])}>
                    <span>{fix.label}</span>
                    {(fix.front !== 0 || fix.rear !== 0) && (
                      <small className="figure">
                        F {formatChange(fix.front, 'mass', job.units)} · R {formatChange(fix.rear, 'mass', job.units)}{' '}
                        {unitName('mass', job.units)}
                      </small>
                    )}
                  </button>
                </li>
              ))}
            </ul>
          )}
          {finding.at !== '' && (
            <button
              type="button"
              className="chip"
              aria-label={`Show this state: ${finding.title}`}
              onClick={() => showState(finding.at, 'the worst state')}
            >
              Show this state
            </button>
          )}
          {finding.mend !== '' && <MendPanel finding={finding} />}
          <Acceptance finding={finding} />
        </li>
      ))}
    </ol>
  );
}
