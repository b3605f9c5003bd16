import type { Assessment } from '../api/types';
import { Panel } from '../components/Panel';
import { useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';

type Brief = Assessment['brief'];

/** What follows from the brief: what is left of the payload, and what has to come along, each with its reason. */
export function ImpliedPanel() {
  const { job, assessment } = useSnapshot();
  if (!assessment)
    return (
      <Panel title="What follows" className="side">
        <p aria-busy="true" />
      </Panel>
    );
  const { brief } = assessment;
  return (
    <Panel title="What follows" className="side implied">
      <Payload brief={brief} units={job.units} />
      {brief.implied.length === 0 && (
        <p className="empty">Say who travels, for how long and how far; what follows appears here.</p>
      )}
      <dl className="implied-list">
        {brief.implied.map((line) => (
          <div key={line.id} data-implied={line.id}>
            <dt>
              {line.title} <span className="figure">{formatQuantity(line.value, line.kind, job.units)}</span>
            </dt>
            <dd>{line.reason}</dd>
          </div>
        ))}
      </dl>
      <p className="hint">Estimates, from the assumptions below the brief.</p>
    </Panel>
  );
}

/** From the limit down to what is left, as a ladder of bars. */
function Payload({ brief, units }: { brief: Brief; units: 'metric' | 'us' }) {
  const mass = (kg: number) => formatQuantity(kg, 'mass', units);
  if (!brief.known)
    return (
      <p className="empty">What is left for the fitout shows as soon as the gross limit is entered under Vehicle.</p>
    );
  const full = Math.max(...brief.payload.map((l) => l.kg), 1);
  // Each step starts where the one before it ended.
  const ends = brief.payload.reduce<number[]>((sums, line) => [...sums, (sums.at(-1) ?? 0) + line.kg], []);
  return (
    <table className="payload" aria-label="Payload">
      <tbody>
        {brief.payload.map((line, i) => {
          const left = Math.max(0, (Math.min(ends[i - 1] ?? 0, ends[i] ?? 0) / full) * 100);
          const width = Math.max(0.6, (Math.abs(line.kg) / full) * 100);
          return (
            <tr key={line.label} title={line.reason}>
              <th scope="row">{line.label}</th>
              <td className="payload-bar" aria-hidden>
                <span
                  className={line.kg < 0 ? 'taken' : 'given'}
                  style={{ marginLeft: `${left}%`, width: `${width}%` }}
                />
              </td>
              <td className="figure">{mass(line.kg)}</td>
            </tr>
          );
        })}
      </tbody>
      <tfoot>
        <tr className={brief.left < 0 ? 'state-over' : ''}>
          <th scope="row">{brief.left < 0 ? 'Over before any fitout' : 'Left for the fitout'}</th>
          <td />
          <td className="figure" data-figure="left-for-fitout">
            {mass(Math.abs(brief.left))}
          </td>
        </tr>
      </tfoot>
    </table>
  );
}
