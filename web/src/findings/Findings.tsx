import { useNavigate } from 'react-router';

import type { Finding, Fix, Job } from '../api/types';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatChange } from '../quantity/format';
import { unitName } from '../quantity/units';
import { whereabouts } from './whereabouts';

const severityWords: Record<Finding['severity'], string> = { stop: 'Stop', caution: 'Caution', note: 'Note' };

/** Makes a fix as the plain edit that the core describes. */
function applyFix(job: Job, fix: Fix): void {
  const variant = chosenVariant(job);
  const { kind, id, value } = fix.edit;
  if (kind === 'move-item') for (const item of variant.items) if (item.id === id) item.at.x = value;
  if (kind === 'item-level') for (const item of variant.items) if (item.id === id && item.presence.level) item.presence.level.now = value;
  if (kind === 'tank-level') for (const tank of job.vehicle.tanks) if (tank.id === id) tank.now = value;
  if (kind === 'switch-off') for (const sw of variant.switches) if (sw.id === id) sw.on = false;
  if (kind === 'uncouple' && job.trailer) job.trailer.coupled = false;
}

interface Props {
  /** Where there is a scene beside it. */
  onShow?: (subject: Finding['subject']) => void;
}

/** What the core has to say about the job, worst first. */
export function Findings({ onShow }: Props) {
  const session = useSession();
  const navigate = useNavigate();
  const { job, assessment } = useSnapshot();
  if (!assessment) return <p aria-busy="true" />;
  const { findings } = assessment;
  const show = (subject: Finding['subject']) => {
    onShow?.(subject);
    const sheet = whereabouts(subject);
    if (sheet) void navigate(`/jobs/${job.id}/${sheet}`);
  };
  if (findings.length === 0) return <p className="empty">Nothing to say about this state. The last word has a public weighbridge.</p>;
  return (
    <ol className="findings" aria-label="Findings">
      {findings.map((finding, i) => (
        <li key={`${finding.rule} ${finding.subject.id} ${i}`} className={`finding finding-${finding.severity}`} data-rule={finding.rule}>
          <h3>
            <SeverityMark severity={finding.severity} />
            <button type="button" className="link" title="Show it" onClick={() => show(finding.subject)}>
              {finding.title}
            </button>
          </h3>
          <p>{finding.sentence}</p>
          <p className="hint">Source: {finding.source}</p>
          {finding.fixes.length > 0 && (
            <ul className="fixes" aria-label="What would mend it">
              {finding.fixes.map((fix) => (
                <li key={fix.label}>
                  <button type="button" onClick={() => session.edit(fix.label, (j) => applyFix(j, fix))}>
                    <span>{fix.label}</span>
                    <small className="figure">
                      F {formatChange(fix.front, 'mass', job.units)} · R {formatChange(fix.rear, 'mass', job.units)} {unitName('mass', job.units)}
                    </small>
                  </button>
                </li>
              ))}
            </ul>
          )}
        </li>
      ))}
    </ol>
  );
}

function SeverityMark({ severity }: { severity: Finding['severity'] }) {
  return (
    <span className={`severity severity-${severity}`}>
      <svg viewBox="0 0 16 16" width="13" height="13" aria-hidden>
        {severity === 'stop' && <path d="M1.5 1.5h13v13h-13zM4 7v2h8V7z" fillRule="evenodd" />}
        {severity === 'caution' && <path d="M8 1.5 15 14H1z" />}
        {severity === 'note' && <path d="M3 2h10v12H3zM5 5v1.5h6V5zM5 8v1.5h4V8z" fillRule="evenodd" />}
      </svg>
      {severityWords[severity]}
    </span>
  );
}
