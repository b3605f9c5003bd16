import type { Job, LimitColumn } from '../api/types';
import { Panel } from '../components/Panel';
import { StateMark } from '../components/StateMark';
import { sayFigure } from './sayFigure';

/** The exact worst of each limit, whatever the cases, with the state in words. */
export function WorstList({ columns, job }: { columns: LimitColumn[]; job: Job }) {
  return (
    <Panel
      title="Exact worst of each limit"
      note="Over every switch, choice, tank, vessel and the trailer; worked out, not tried"
    >
      <table className="case-matrix" aria-label="Exact worst of each limit">
        <thead>
          <tr>
            <th scope="col">Limit</th>
            <th scope="col">Worst</th>
            <th scope="col">Left</th>
            <th scope="col">State</th>
          </tr>
        </thead>
        <tbody>
          {columns.map(
            ({ id, title, unit, least, limit, note, worst }) =>
              worst && (
                <tr key={id} data-worst={id} className={`case-${worst.state}`}>
                  <th scope="row">
                    {title}
                    <small className="hint">
                      {limit > 0
                        ? `${least ? 'at least' : 'at most'} ${sayFigure(limit, unit, job.units)}: ${note}`
                        : 'not stated'}
                    </small>
                  </th>
                  <td className="figure">{sayFigure(worst.load, unit, job.units)}</td>
                  <td className="figure">
                    {worst.state !== 'unknown' && worst.state !== 'absent' && (
                      <>
                        {sayFigure(worst.left, unit, job.units)} <StateMark state={worst.state} />
                      </>
                    )}
                  </td>
                  <td>{worst.words}</td>
                </tr>
              ),
          )}
        </tbody>
      </table>
    </Panel>
  );
}
