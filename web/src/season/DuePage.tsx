import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';

import { answer, api } from '../api/client';
import { BesidePage } from '../components/BesidePage';
import { Panel } from '../components/Panel';
import { today } from './useSeason';

const states = { overdue: 'overdue', soon: 'soon', later: 'later' } as const;

/** What is due over all customers. */
export function DuePage() {
  const { data, error } = useQuery({
    queryKey: ['dues'],
    queryFn: ({ signal }) => answer(api.GET('/api/dues', { params: { query: { today: today() } }, signal })),
  });
  const dues = data?.dues ?? [];
  return (
    <BesidePage
      to="/"
      back="All jobs"
      title="Due"
      actions={
        <span className="weigh-actions">
          <a className="btn btn-outline-secondary" href="/api/dues.ics">
            Calendar
          </a>
          <a className="btn btn-outline-secondary" href="/api/dues.csv">
            CSV
          </a>
        </span>
      }
    >
      {error && (
        <p className="trouble" role="alert">
          {error instanceof TypeError ? 'The server does not answer.' : error.message}
        </p>
      )}
      {!data && !error && (
        <p className="empty" aria-busy="true">
          Gathering what is due…
        </p>
      )}
      {data && dues.length === 0 && (
        <p className="empty">
          Nothing is due. What a job has under Handover, Papers and keys, appears here once it is handed over; papers
          that expire at once.
        </p>
      )}
      {(['overdue', 'soon', 'later'] as const).map((state) => {
        const some = dues.filter((d) => d.state === state);
        if (some.length === 0) return null;
        return (
          <Panel key={state} title={{ overdue: 'Overdue', soon: 'Soon', later: 'Later' }[state]} className="wide">
            <div className="table-wrap">
              <table className="sheet-table" aria-label={`What is due ${states[state]}`}>
                <thead>
                  <tr>
                    <th scope="col">On</th>
                    <th scope="col">What</th>
                    <th scope="col">Job</th>
                    <th scope="col">Customer</th>
                    <th scope="col">Why</th>
                  </tr>
                </thead>
                <tbody>
                  {some.map((d) => (
                    <tr key={d.job + d.id} data-due={d.id}>
                      <td className="figure">{d.on || 'by way'}</td>
                      <th scope="row">{d.what}</th>
                      <td>
                        <Link to={`/jobs/${d.job}/handover/seasons`}>{d.name}</Link>
                      </td>
                      <td>{d.customer}</td>
                      <td>{d.why}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </Panel>
        );
      })}
    </BesidePage>
  );
}
