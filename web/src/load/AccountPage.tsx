import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useLocation, useSearchParams } from 'react-router';

import { answer, api, Refused } from '../api/client';
import { Panel } from '../components/Panel';
import { downloading } from '../document/download';
import { useSession, useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { percent } from './percent';

const formats = ['pdf', 'xlsx', 'csv'] as const;

/** Where every figure comes from: a page to be printed and handed to an engineer or inspector. */
export function AccountPage() {
  const session = useSession();
  const { job } = useSnapshot();
  const [params] = useSearchParams();
  const { hash } = useLocation();
  const state = params.get('state') ?? '';
  const { data: a, error } = useQuery({
    queryKey: ['account', job, state],
    queryFn: ({ signal }) => answer(api.POST('/api/account', { params: { query: { state } }, body: job, signal })),
    placeholderData: keepPreviousData,
  });
  const asked = decodeURIComponent(hash.slice(1));
  const loaded = a !== undefined;
  useEffect(() => {
    if (loaded && asked !== '')
      document.querySelector(`[data-account="${CSS.escape(asked)}"]`)?.scrollIntoView({ block: 'center' });
  }, [asked, loaded]);
  const query = state === '' ? '' : `?state=${encodeURIComponent(state)}`;
  if (error)
    return (
      <p className="empty" role="alert">
        {error instanceof Refused ? error.message : 'The server does not answer; the account appears when it does.'}
      </p>
    );
  if (!a)
    return (
      <p className="empty" aria-busy="true">
        Adding up…
      </p>
    );
  const one = (x: number) => x.toFixed(1).replace('-', '−');
  return (
    <div className="cases-page account">
      <Panel
        title="Where it comes from"
        className="wide"
        note={`Variant ${a.variant}, for an engineer or inspector`}
        actions={
          <>
            {formats.map((f) => (
              <a
                key={f}
                className="btn btn-sm btn-outline-secondary"
                href={`/api/jobs/${job.id}/account.${f}${query}`}
                onClick={downloading(session, `/api/jobs/${job.id}/account.${f}${query}`)}
                download
              >
                {f.toUpperCase()}
              </a>
            ))}
            <button type="button" className="btn btn-sm btn-outline-primary" onClick={() => window.print()}>
              Print
            </button>
            <Link className="btn btn-sm btn-outline-secondary" to={`/jobs/${job.id}/load`}>
              To the load
            </Link>
          </>
        }
      >
        <p className="account-text">
          <b>{a.case}.</b> {a.state[0]?.toUpperCase()}
          {a.state.slice(1)}. {a.baseline}
        </p>
        <table className="case-matrix" aria-label="Limits and their sources">
          <thead>
            <tr>
              <th>Limit</th>
              <th>Source</th>
              <th>Load</th>
              <th>Limit</th>
              <th>Left</th>
              <th>Sure to</th>
              <th>Over with</th>
            </tr>
          </thead>
          <tbody>
            {a.limits.map((l) => (
              <tr key={l.id}>
                <th scope="row">
                  {l.title}
                  {l.binds !== '' && <small className="hint">{l.binds}</small>}
                </th>
                <td>{l.source}</td>
                <td className="figure">{formatQuantity(l.load, 'mass', job.units)}</td>
                <td className="figure">{l.limit > 0 ? formatQuantity(l.limit, 'mass', job.units) : 'not stated'}</td>
                <td className="figure">{l.limit > 0 ? formatQuantity(l.left, 'mass', job.units) : '–'}</td>
                <td className="figure">± {formatQuantity(2 * l.sigma, 'mass', job.units)}</td>
                <td className="figure">{l.limit > 0 ? percent(l.over) : '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Panel>
      <Panel title="Formulas with the numbers put in" note="kg and mm">
        <dl className="formulas">
          {a.formulas.map((f) => (
            <div key={f.id} data-formula={f.name} data-account={f.id} className={f.id === asked ? 'asked' : ''}>
              <dt>{f.name}</dt>
              <dd>
                <i>{f.formula}</i>
                <br />
                <span className="figure">{f.numbers}</span>
              </dd>
            </div>
          ))}
        </dl>
      </Panel>
      <Panel title="Masses in this state" note="kg, mm in the vehicle's frame, kg·m about the front axle">
        <div className="table-wrap">
          <table className="case-matrix" aria-label="Masses in this state">
            <thead>
              <tr>
                {['Name', 'Source', 'kg', 'x', 'y', 'z', 'kg·m', 'Front', 'Rear'].map((h) => (
                  <th key={h}>{h}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {[...a.rows, a.sum].map((r, i) => (
                <tr
                  key={i}
                  data-account={r.id}
                  className={i === a.rows.length ? 'account-sum' : r.id !== '' && r.id === asked ? 'asked' : ''}
                >
                  <th scope="row">
                    {r.name}
                    <small className="hint">{r.group}</small>
                  </th>
                  <td>{r.source}</td>
                  {[r.kg, r.x, r.y, r.z, r.moment, r.front, r.rear].map((x, k) => (
                    <td key={k} className="figure">
                      {i === a.rows.length && k > 0 && k < 4 ? '' : one(x)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <ul className="account-text">
          {a.cautions.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
      </Panel>
    </div>
  );
}
