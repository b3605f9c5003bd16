import type { Finding, Job, Mend, MendLine, Pad } from '../api/types';
import { useLines } from '../api/useLines';
import { StateMark } from '../components/StateMark';
import { useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { useTrial } from './useTrial';

/** Ways to bring a load back within its limit, one change or a few together, each tried on the whole job. */
export function MendPanel({ finding }: { finding: Finding }) {
  const { job } = useSnapshot();
  const { ask, stop, share, last, trouble } = useLines<MendLine>('/api/mend');
  const mends = last?.mends;
  return (
    <div className="mend">
      {share === undefined ? (
        <button type="button" className="chip" onClick={() => void ask({ limit: finding.mend, job })}>
          More ways to mend it
        </button>
      ) : (
        <p>
          <progress value={share} max={1} aria-label="How far it is" />{' '}
          <button type="button" className="chip" onClick={stop}>
            Stop
          </button>
        </p>
      )}
      {trouble !== '' && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      {mends && mends.none !== '' && <p>{mends.none}</p>}
      {mends && mends.found.length > 0 && <MendList label="Ways to mend it" mends={mends.found} job={job} />}
      {mends && mends.vehicle.length > 0 && (
        <>
          <h4>On the vehicle</h4>
          <MendList label="Ways on the vehicle" mends={mends.vehicle} job={job} />
        </>
      )}
    </div>
  );
}

/** A pad that a way leaves as it is says nothing of it. */
const changes = (after: Pad, before: Pad | undefined) =>
  !before || Math.abs(after.load - before.load) >= 0.05 || after.limit !== before.limit;

function MendList({ label, mends, job }: { label: string; mends: Mend[]; job: Job }) {
  const { assessment, trial } = useSnapshot();
  const { tried, toggle } = useTrial();
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  const pads = (trial?.before ?? assessment)?.pads;
  return (
    <ul className="mends" aria-label={label}>
      {mends.map((mend) => {
        const name = mend.changes.map((c) => c.label).join('; ');
        return (
          <li key={name} data-mend>
            <b>{name}</b>
            {mend.reaches !== '' && <p>{mend.reaches}</p>}
            <ul className="mend-pads" aria-label="Pads before and after">
              {mend.pads
                .filter((pad) =>
                  changes(
                    pad,
                    pads?.find((p) => p.id === pad.id),
                  ),
                )
                .map((pad) => (
                  <li key={pad.id} data-after={pad.id}>
                    {pad.title}{' '}
                    <span className="figure">
                      {mass(pads?.find((p) => p.id === pad.id)?.load ?? 0)} → {mass(pad.load)}
                    </span>{' '}
                    <StateMark state={pad.state} />
                  </li>
                ))}
            </ul>
            {mend.caution !== '' && <p className="hint">{mend.caution}</p>}
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              aria-pressed={tried(name)}
              aria-label={`Try it: ${name}`}
              onClick={() => toggle(name, mend.changes)}
            >
              Try it
            </button>
          </li>
        );
      })}
    </ul>
  );
}
