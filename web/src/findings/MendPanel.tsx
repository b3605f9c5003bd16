import type { Finding, Mend, MendLine, Pad } from '../api/types';
import { useLines } from '../api/useLines';
import { StateMark } from '../components/StateMark';
import { useSession, useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { applyFix } from './applyFix';

/** The pads by what a finding is about; what is no load has none. */
const padOf: Partial<Record<Finding['subject']['kind'], Pad['id']>> = { 'front-axle': 'front', 'rear-axle': 'rear', gross: 'gross', combination: 'combination' };

/** Whether several changes together are looked for. */
export const canBeMended = (finding: Finding) => finding.severity === 'stop' && padOf[finding.subject.kind] !== undefined;

/** Ways to bring a load back within its limit, one change or a few together, each tried on the whole job. */
export function MendPanel({ finding }: { finding: Finding }) {
  const session = useSession();
  const { job, assessment } = useSnapshot();
  const { ask, stop, share, last, trouble } = useLines<MendLine>('/api/mend');
  const limit = padOf[finding.subject.kind];
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  const use = (mend: Mend) => session.edit(mend.changes.map((c) => c.label).join(', '), (j) => mend.changes.forEach((c) => applyFix(j, c, finding)));
  const mends = last?.mends;
  return (
    <div className="mend">
      {share === undefined ? (
        <button type="button" className="chip" onClick={() => void ask({ limit, job })}>More ways to mend it</button>
      ) : (
        <p>
          <progress value={share} max={1} aria-label="How far it is" /> <button type="button" className="chip" onClick={stop}>Stop</button>
        </p>
      )}
      {trouble !== '' && <p className="trouble" role="alert">{trouble}</p>}
      {mends?.none !== undefined && mends.none !== '' && <p>{mends.none}</p>}
      <ul className="mends" aria-label="Ways to mend it">
        {mends?.found.map((mend) => (
          <li key={mend.changes.map((c) => c.label).join()} data-mend>
            <b>{mend.changes.map((c) => c.label).join('; ')}</b>
            <ul className="mend-pads" aria-label="Pads before and after">
              {mend.pads.map((pad) => {
                const before = assessment?.pads.find((p) => p.id === pad.id);
                return (
                  <li key={pad.id} data-after={pad.id}>
                    {pad.title} <span className="figure">{mass(before?.load ?? 0)} → {mass(pad.load)}</span> <StateMark state={pad.state} />
                  </li>
                );
              })}
            </ul>
            {mend.caution !== '' && <p className="hint">{mend.caution}</p>}
            <button type="button" className="btn btn-sm btn-outline-primary" aria-label={`Do it: ${mend.changes.map((c) => c.label).join('; ')}`} onClick={() => use(mend)}>Do it</button>
          </li>
        ))}
      </ul>
      {mends && mends.vehicle.length > 0 && mends.none === '' && (
        <details>
          <summary>On the vehicle</summary>
          <ul>{mends.vehicle.map((way) => <li key={way}>{way}</li>)}</ul>
        </details>
      )}
    </div>
  );
}
