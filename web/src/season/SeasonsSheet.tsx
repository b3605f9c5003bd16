import { useRef, useState } from 'react';
import { Link } from 'react-router';

import { answer, api, Refused } from '../api/client';
import { discard, post, rowId } from '../api/outbox';
import type { Entry, LogRead, SeasonView } from '../api/types';
import { Panel } from '../components/Panel';
import { downloading } from '../document/download';
import { useHandover } from '../handover/useHandover';
import { formatNumber, formatQuantity } from '../quantity/format';
import { entryKinds } from '../words/handover';
import { useSeason } from './useSeason';

/** What the vehicle did since, against what was assumed; and the next version, which begins with it. */
export function SeasonsSheet() {
  const { job, session } = useHandover();
  const { view, letters, away } = useSeason();
  const [name, setName] = useState('');
  const [read, setRead] = useState<LogRead>();
  const file = useRef<HTMLInputElement>(null);
  const csv = `/api/jobs/${job.id}/log.csv`;
  if (!view)
    return (
      <p className="empty">{away ? 'The server does not answer; the log appears when it does.' : 'Reading the log…'}</p>
    );
  const next = () =>
    void session
      .derive('Next version', (j) => answer(api.POST('/api/next', { body: { name: name.trim(), job: j } })))
      .then(() => session.tell('The next version is shown; the one before stays among the variants.'))
      .catch((e: unknown) =>
        session.tell(e instanceof Refused ? e.message : 'The server does not answer; nothing was changed.'),
      );
  const open = async (chosen: File) => {
    try {
      const text = await chosen.text();
      setRead(
        await answer(
          api.POST('/api/jobs/{id}/log.csv', {
            params: { path: { id: job.id } },
            body: text,
            bodySerializer: (body: unknown) => body as string,
            headers: { 'Content-Type': 'text/csv' },
          }),
        ),
      );
    } catch (e) {
      session.tell(e instanceof Refused ? e.message : 'The server does not answer; the log was not read.');
    }
  };
  return (
    <>
      <Panel
        title="The log"
        className="wide"
        actions={
          <>
            <Link className="btn btn-sm btn-primary" to={`/jobs/${job.id}/log`}>
              Write a line
            </Link>
            <a className="btn btn-sm btn-outline-secondary" href={csv} onClick={downloading(session, csv)}>
              CSV
            </a>
            <input
              ref={file}
              type="file"
              accept=".csv,text/csv"
              className="visually-hidden"
              tabIndex={-1}
              aria-label="Log as CSV"
              onChange={(event) => {
                const chosen = event.target.files?.[0];
                if (chosen) void open(chosen);
                event.target.value = '';
              }}
            />
            <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => file.current?.click()}>
              Read a CSV
            </button>
          </>
        }
      >
        <ul className="big-figures" aria-label="The seasons in figures">
          <Figure name="nights" value={formatNumber(view.nights, 'plain', job.units)} />
          <Figure name="driven" value={formatQuantity(view.km, 'distance', job.units)} />
          <Figure name="of that rough" value={formatQuantity(view.roughKm, 'distance', job.units)} />
          <Figure name="rough since the check" value={formatQuantity(view.sinceCheck, 'distance', job.units)} />
          <Figure name="fuel" value={formatQuantity(view.fuel, 'volume', job.units)} />
          <Figure name="never used" value={formatQuantity(view.unusedKg, 'mass', job.units)} />
        </ul>
        {read && (
          <div className="log-read" role="region" aria-label="What was read">
            <p>
              {read.entries.length} {read.entries.length === 1 ? 'line' : 'lines'} can be taken
              {read.problems.length > 0 && `, ${read.problems.length} cannot`}.
            </p>
            <ul>
              {read.problems.slice(0, 20).map((p) => (
                <li key={p}>{p}</li>
              ))}
            </ul>
            <button
              type="button"
              className="btn btn-sm btn-primary"
              disabled={read.entries.length === 0}
              onClick={() => {
                for (const row of read.entries) post({ to: 'log', job: job.id, row });
                setRead(undefined);
              }}
            >
              Take them
            </button>{' '}
            <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => setRead(undefined)}>
              Leave them
            </button>
          </div>
        )}
        {letters.map((l) => (
          <p key={l.row.id} className="trouble" role="status">
            {l.refused === undefined ? (
              'A line waits for the server.'
            ) : (
              <>
                A line was refused: {l.refused}{' '}
                <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => discard(l.row.id)}>
                  Throw it away
                </button>
              </>
            )}
          </p>
        ))}
        <Lines view={view} />
      </Panel>
      <Panel
        title="Assumed and found"
        className="wide"
        note="Each figure weighs what was assumed and what was read by how sure they are"
      >
        <table className="sheet-table season-table" aria-label="Assumed and found">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col" className="over-figures">
                Readings
              </th>
              <th scope="col">What it says</th>
            </tr>
          </thead>
          <tbody>
            {view.assumed.map((a) => (
              <tr key={a.id} data-assumed={a.id} className={a.denied ? 'is-denied' : ''}>
                <th scope="row">{a.name}</th>
                <td className="figure">{a.readings}</td>
                <td>{a.sentence}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {view.assumed.length === 0 && (
          <p className="empty">
            The brief assumes nothing yet: consumption, surfaces and travellers stand under Brief.
          </p>
        )}
      </Panel>
      {(view.unused.length > 0 || view.complaints.length > 0) && (
        <Panel title="What served and what did not" className="wide">
          <ul className="season-list">
            {view.unused.map((u) => (
              <li key={`u${u.id}${u.text}`}>
                <b>{u.name}</b>: {u.part ? 'nobody opened it' : 'never used'}
                {u.kg > 0 && `, ${formatQuantity(u.kg, 'mass', job.units)} carried for nothing`}.
              </li>
            ))}
            {view.complaints.map((c, i) => (
              <li key={`c${i}`}>
                <b>{c.name || c.text}</b>: {entryKinds.find((k) => k.value === c.kind)?.label.toLowerCase()} on {c.on}
                {c.name !== '' && c.text !== '' && `; ${c.text}`}.
              </li>
            ))}
          </ul>
        </Panel>
      )}
      {view.findings.length > 0 && (
        <Panel title="To be done" className="wide">
          <ul className="season-list">
            {view.findings.map((f, i) => (
              <li key={i} data-season-rule={f.rule}>
                <b>{f.title}</b>. {f.sentence}
              </li>
            ))}
          </ul>
        </Panel>
      )}
      <Panel title="The next version" className="wide" note="A variant that begins with what the seasons showed">
        {view.next.length > 0 ? (
          <ul className="season-list" aria-label="What the next version begins with">
            {view.next.map((n) => (
              <li key={n}>{n}</li>
            ))}
          </ul>
        ) : (
          <p className="empty">The log shows nothing yet that the next one should do otherwise.</p>
        )}
        <div className="weigh-connect">
          <input
            className="form-control form-control-sm"
            aria-label="Name of the next version"
            placeholder="Name, such as Second season"
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && next()}
          />
          <button type="button" className="btn btn-primary" onClick={next}>
            Next version
          </button>
        </div>
      </Panel>
    </>
  );
}

function Figure({ name, value }: { name: string; value: string }) {
  return (
    <li>
      <b className="figure">{value}</b>
      <small>{name}</small>
    </li>
  );
}

const MOST_LINES = 200;

/** The lines of the log, newest first, each with a way to take it back. */
function Lines({ view }: { view: SeasonView }) {
  const { job, variant } = useHandover();
  if (view.entries.length === 0)
    return (
      <p className="empty">Nothing is written yet. A line takes ten seconds on the phone, at the pump or at camp.</p>
    );
  const about = (e: Entry) =>
    [
      e.km > 0 ? formatQuantity(e.km, 'distance', job.units) : '',
      e.litres > 0 ? `${formatQuantity(e.litres, 'volume', job.units)}${e.full ? ', full' : ''}` : '',
      e.cost > 0 ? `${(e.cost / 100).toFixed(2)} ${job.brief.currency}` : '',
      e.nights > 0 ? `${e.nights} nights` : '',
      e.wh > 0 ? `${formatQuantity(e.wh, 'energy', job.units)} a day` : '',
      e.charge > 0 ? `${Math.round(e.charge * 100)} %` : '',
      variant.items.find((i) => i.id === e.of)?.name ?? job.handover.intervals.find((n) => n.id === e.of)?.name ?? '',
      e.text,
    ]
      .filter((t) => t !== '')
      .join(', ');
  return (
    <ol className="log-lines" aria-label="Lines of the log">
      {view.entries.slice(0, MOST_LINES).map((e) => (
        <li key={e.id} data-entry={e.id}>
          <i className={`bi ${entryKinds.find((k) => k.value === e.kind)?.icon ?? ''}`} aria-hidden />
          <span className="figure">{e.at.replace('T', ' ')}</span>
          <b>{entryKinds.find((k) => k.value === e.kind)?.label}</b>
          <span>{about(e)}</span>
          {e.photo !== '' && <a href={`/api/jobs/${job.id}/files/${e.photo}`}>photo</a>}
          <button
            type="button"
            className="icon-button"
            aria-label={`Take back the line of ${e.at}`}
            title="Take it back; the line stays in the CSV"
            onClick={() =>
              post({ to: 'log', job: job.id, row: { ...blank(), kind: 'taken-back', at: e.at, replaces: e.id } })
            }
          >
            <i className="bi bi-x-lg" aria-hidden />
          </button>
        </li>
      ))}
      {view.entries.length > MOST_LINES && <li>{view.entries.length - MOST_LINES} older lines are in the CSV.</li>}
    </ol>
  );
}

/** A line of the log that says nothing yet. */
export const blank = (): Entry => ({
  id: rowId('log'),
  kind: 'note',
  at: '',
  by: '',
  km: 0,
  litres: 0,
  full: false,
  cost: 0,
  surfaces: [],
  nights: 0,
  people: 0,
  wh: 0,
  charge: 0,
  of: '',
  text: '',
  photo: '',
  replaces: '',
});
