import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';

import { answer, api, Refused } from '../api/client';
import { StateMark } from '../components/StateMark';
import { useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { Scene } from '../scene/Scene';

/** The customer's loading card: one page, for the glove box and for a phone. */
export function CardPage() {
  const { job, assessment } = useSnapshot();
  const { data: card, error } = useQuery({
    queryKey: ['card', job],
    queryFn: ({ signal }) => answer(api.POST('/api/card', { body: job, signal })),
    placeholderData: keepPreviousData,
  });
  if (error)
    return (
      <p className="empty" role="alert">
        {error instanceof Refused ? error.message : 'The server does not answer; the card appears when it does.'}
      </p>
    );
  if (!card)
    return (
      <p className="empty" aria-busy="true">
        Making the card…
      </p>
    );
  const mass = (kg: number) => formatQuantity(kg, 'mass', job.units);
  const shut = assessment?.handling.driveAway ?? [];
  return (
    <div className="card-page">
      <p className="card-tools">
        <button type="button" className="btn btn-sm btn-primary" onClick={() => window.print()}>
          Print on A5
        </button>
        <Link className="btn btn-sm btn-outline-secondary" to={`/jobs/${job.id}/load`}>
          To the load
        </Link>
      </p>
      <article className="loading-card" aria-label="Loading card">
        <header>
          <h2>{card.vehicle}</h2>
          <p>
            {card.job}
            {card.customer !== '' && `, ${card.customer}`}
          </p>
        </header>
        <Scene width={440} height={170} selected={undefined} subject={undefined} onSelect={() => undefined} />
        <ul className="card-pads">
          {card.pads.map((pad) => (
            <li key={pad.id}>
              {pad.title} <b className="figure">{mass(pad.load)}</b>
              {pad.limit > 0 && (
                <>
                  {' '}
                  of {mass(pad.limit)} <StateMark state={pad.state} />
                </>
              )}
            </li>
          ))}
        </ul>
        <p className="hint">{card.state}</p>
        <h3>What may still be put where</h3>
        <table>
          <tbody>
            {card.room.map((r) => (
              <tr key={r.name} data-room={r.name}>
                <th scope="row">{r.name}</th>
                <td className="figure">
                  <b>{mass(r.left)}</b>
                </td>
                <td className="hint">
                  {r.left > 0
                    ? `then ${r.binds} is reached`
                    : r.binds === 'nothing is stated'
                      ? 'no limit is stated'
                      : `nothing: ${r.binds}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="hint">
          Each line by itself, in the state above: what is put into one place is not left for another.
        </p>
        {card.order.length > 0 && (
          <p>
            <b>Use up in this order:</b> {card.order.join(', ')}.
          </p>
        )}
        <ul>
          {card.tyres.map((t) => (
            <li key={t}>{t}</li>
          ))}
        </ul>
        {card.power.length > 0 && (
          <ul aria-label="Batteries">
            {card.power.map((t) => (
              <li key={t}>{t}</li>
            ))}
          </ul>
        )}
        {card.way.length > 0 && (
          <div className="card-way">
            <h3>On the way</h3>
            <ul aria-label="On the way">
              {card.way.map((t) => (
                <li key={t}>{t}</li>
              ))}
            </ul>
            <p className="hint">The card prints on one page without this; Range prints what to do at each stop.</p>
          </div>
        )}
        {shut.length > 0 && (
          <>
            <h3>Before driving off</h3>
            <ul className="card-shut">
              {shut.map((act, i) => (
                <li key={i}>{act.text}</li>
              ))}
            </ul>
          </>
        )}
        <footer>
          {card.cautions.map((c) => (
            <p key={c}>{c}</p>
          ))}
        </footer>
      </article>
    </div>
  );
}
