import { memo } from 'react';

import type { Assessment, Finding, Units } from '../api/types';
import { useShowState } from '../load/useShowState';
import { formatChange } from '../quantity/format';
import { unitName } from '../quantity/units';
import { Acceptance } from './Acceptance';
import { MendPanel } from './MendPanel';
import { SeverityMark } from './SeverityMark';
import { useToggleTrial } from './useTrial';

interface Props {
  finding: Finding;
  /** What was let stand and does not hold any more. */
  fallen: Assessment['fallen'];
  /** Name of the stance that it is about. */
  stance: string | undefined;
  units: Units;
  /** What is being tried. */
  trying: string | undefined;
  onShow: (finding: Finding) => void;
}

/** One finding with what mends it; drawn again only when something of its own has changed. */
export const FindingItem = memo(function FindingItem({ finding, fallen, stance, units, trying, onShow }: Props) {
  const showState = useShowState();
  const toggle = useToggleTrial();
  return (
    <li
      className={`finding finding-${finding.severity} ${finding.accepted === '' ? '' : 'finding-accepted'}`}
      data-rule={finding.rule}
    >
      <h3>
        <SeverityMark severity={finding.severity} />
        <button type="button" className="link" title="Show it" onClick={() => onShow(finding)}>
          {finding.title}
        </button>
      </h3>
      <p>{finding.sentence}</p>
      {fallen.map((f) => (
        <p key={f.told} className="fallen">
          {f.told} The reason given was: {f.why}
        </p>
      ))}
      <p className="hint">
        Source: {finding.source}
        {finding.stance !== '' && <> · in {stance}</>}
      </p>
      {finding.fixes.length > 0 && (
        <ul className="fixes" aria-label="What would mend it">
          {finding.fixes.map((fix) => (
            <li key={fix.label}>
              <button type="button" aria-pressed={trying === fix.label} onClick={() => toggle(fix.label, [fix])}>
                <span>{fix.label}</span>
                {(fix.front !== 0 || fix.rear !== 0) && (
                  <small className="figure">
                    F {formatChange(fix.front, 'mass', units)} · R {formatChange(fix.rear, 'mass', units)}{' '}
                    {unitName('mass', units)}
                  </small>
                )}
              </button>
              {fix.caution !== '' && <small className="hint">{fix.caution}</small>}
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
  );
});
