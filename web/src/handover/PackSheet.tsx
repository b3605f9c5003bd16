import { answer, api } from '../api/client';
import { Panel } from '../components/Panel';
import { download, downloading } from '../document/download';
import { useAsked } from '../document/useAsked';
import { useHandover } from './useHandover';

/** What the customer is given: looked through here, taken along as PDF or as one file for any phone. */
export function PackSheet() {
  const { session, job, handover, edit } = useHandover();
  const { view: pack, trouble } = useAsked(
    'pack',
    (j, signal) => answer(api.POST('/api/pack', { body: { job: j }, signal })),
    'The server does not answer; the pack appears when it does.',
  );
  if (!pack)
    return (
      <p className="empty" aria-busy={trouble === ''} role={trouble === '' ? undefined : 'alert'}>
        {trouble === '' ? 'Putting the pack together…' : trouble}
      </p>
    );
  const older = handover.pack.sum !== '' && handover.pack.sum !== pack.sum;
  const make = (ending: string) => {
    edit('Pack made', (h) => {
      h.pack = { on: new Date().toISOString().slice(0, 16), sum: pack.sum };
    });
    void download(session, `/api/jobs/${job.id}/${ending}`);
  };
  const bundle = `/api/jobs/${job.id}/bundle`;
  return (
    <>
      <Panel
        title="The customer's pack"
        className="wide"
        note={
          handover.pack.on === ''
            ? 'not given yet'
            : `${older ? 'given before the last changes: ' : 'given '}${handover.pack.on.replace('T', ' ')}`
        }
      >
        <div className="pack-make">
          <button type="button" className="btn btn-primary" onClick={() => make('pack.html')}>
            One file for any phone
          </button>
          <button type="button" className="btn btn-outline-primary" onClick={() => make('pack.pdf')}>
            PDF
          </button>
          <a className="btn btn-outline-secondary" href={bundle} onClick={downloading(session, bundle)}>
            Whole job as a bundle
          </a>
        </div>
        <p className="hint pack-hint">
          The one file opens without a network, pictures inside. The bundle has the job with readings, log, photos and
          papers; it is read in on the list of jobs.
        </p>
      </Panel>
      {pack.sections.map((s) => (
        <Panel key={s.id} title={s.title} className="wide" note={s.lead}>
          <div className="pack-section" data-pack={s.id}>
            {s.lines.length > 0 && (
              <ul>
                {s.lines.map((l, i) => (
                  <li key={i}>{l}</li>
                ))}
              </ul>
            )}
            {s.tables.map((t, i) => (
              <div className="table-wrap" key={i}>
                <table className="sheet-table">
                  {t.title !== '' && <caption>{t.title}</caption>}
                  <thead>
                    <tr>
                      {t.heads.map((h, k) => (
                        <th key={k} scope="col">
                          {h}
                        </th>
                      ))}
                    </tr>
                  </thead>
                  <tbody>
                    {t.rows.map((row, k) => (
                      <tr key={k}>
                        {row.map((cell, n) => (
                          <td key={n} className="figure">
                            {cell}
                          </td>
                        ))}
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            ))}
          </div>
        </Panel>
      ))}
    </>
  );
}
