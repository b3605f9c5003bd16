import { NavLink } from 'react-router';

import { useSnapshot } from '../document/SessionContext';
import { findingsHidden } from '../document/exercise';

const stages = [
  { to: 'brief', label: 'Brief', icon: 'bi-chat-square-text', subjects: ['brief'] },
  {
    to: 'vehicle',
    label: 'Vehicle',
    icon: 'bi-truck-flatbed',
    subjects: ['vehicle', 'baseline', 'limit', 'part', 'tank', 'seat', 'ticket', 'modification', 'bay', 'point'],
  },
  { to: 'layout', label: 'Layout', icon: 'bi-bounding-box', subjects: ['module', 'stance'] },
  {
    to: 'load',
    label: 'Load',
    icon: 'bi-minecart-loaded',
    subjects: ['front-axle', 'rear-axle', 'gross', 'combination', 'ball', 'trailer', 'item'],
  },
  { to: 'power', label: 'Power', icon: 'bi-battery-half', subjects: ['power'] },
  { to: 'range', label: 'Range', icon: 'bi-signpost-split', subjects: ['route', 'plumbing'] },
  { to: 'build', label: 'Build', icon: 'bi-hammer', subjects: ['build'] },
  { to: 'weigh', label: 'Weigh-in', icon: 'bi-speedometer', subjects: ['weighIn'] },
  { to: 'handover', label: 'Handover', icon: 'bi-key', subjects: ['handover'] },
];

/** The stages in the order of the work; each mark shows whether something there stops the build. */
export function StageRail() {
  const { assessment, job } = useSnapshot();
  const hidden = findingsHidden(job);
  return (
    <nav className="rail" aria-label="Stages">
      {stages.map((stage) => {
        const found = assessment?.findings.filter((f) => stage.subjects.includes(f.subject.kind)) ?? [];
        const stops = found.filter((f) => f.severity === 'stop' && f.accepted === '').length;
        return (
          <NavLink key={stage.to} to={stage.to} className="rail-stage">
            <i className={`bi ${stage.icon}`} aria-hidden />
            <span>{stage.label}</span>
            <small className={stops > 0 ? 'rail-stop' : 'rail-clear'}>
              {hidden ? 'hidden' : stops > 0 ? `${stops} stop${stops > 1 ? 's' : ''}` : 'no stop'}
            </small>
          </NavLink>
        );
      })}
    </nav>
  );
}
