import { Link } from 'react-router';

import type { Job, LimitColumn, LoadFigures } from '../api/types';
import { RemoveButton } from '../components/ListButtons';
import { StateMark } from '../components/StateMark';
import { TextField } from '../components/TextField';
import { chosenVariant } from '../document/SessionContext';
import { sayFigure } from './sayFigure';

interface Props {
  figures: LoadFigures;
  job: Job;
  /** Id of the case whose settings are open below. */
  open: string;
  onOpen: (id: string) => void;
  onRename: (id: string, name: string) => void;
  onRemove: (id: string) => void;
  onShow: (at: string, name: string) => void;
  onUpdate: (id: string) => void;
}

/** Cases by limits: load, what is left, and the state of each by shape and word. */
export function CaseMatrix({ figures, job, open, onOpen, onRename, onRemove, onShow, onUpdate }: Props) {
  const say = (value: number, unit: LimitColumn['unit']) => sayFigure(value, unit, job.units);
  const account = (at: string, limit: string) =>
    `/jobs/${job.id}/load/account${at === '' ? '' : `?state=${encodeURIComponent(at)}`}#${limit}`;
  // Names are as they are being typed; the figures follow a moment later.
  const names = new Map(chosenVariant(job).cases.map((c) => [c.id, c.name]));
  const rows = figures.cases
    .filter((row) => row.id === '' || names.has(row.id))
    .map((row) => ({ ...row, name: names.get(row.id) ?? row.name }));
  return (
    <div className="table-wrap">
      <table className="case-matrix" aria-label="Cases by limits">
        <thead>
          <tr>
            <th scope="col">Case</th>
            {figures.columns.map((c) => (
              <th key={c.id} scope="col" title={c.note}>
                {c.title}{' '}
                <small className="hint">
                  {c.info
                    ? 'for information'
                    : c.limit > 0
                      ? `${c.least ? 'at least' : 'at most'} ${say(c.limit, c.unit)}`
                      : 'not stated'}
                </small>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr
              key={row.id || row.name}
              data-case={row.id || row.name}
              className={row.id === '' && i > 0 ? 'exact' : ''}
            >
              <th scope="row" title={row.state}>
                {row.id === '' ? (
                  <>
                    {row.name}
                    {i > 0 && <small className="hint">{row.state}</small>}
                    {row.at !== '' && (
                      <button
                        type="button"
                        className="chip"
                        aria-label={`Show ${row.name}`}
                        onClick={() => onShow(row.at, row.name)}
                      >
                        Show
                      </button>
                    )}
                  </>
                ) : (
                  <div className="case-name">
                    <TextField
                      label={`Name of case ${row.name}`}
                      value={row.name}
                      maxLength={120}
                      required
                      onCommit={(name) => onRename(row.id, name)}
                    />
                    <button
                      type="button"
                      className="chip"
                      aria-label={`Change ${row.name}`}
                      aria-expanded={open === row.id}
                      onClick={() => onOpen(open === row.id ? '' : row.id)}
                    >
                      Change
                    </button>
                    <button
                      type="button"
                      className="chip"
                      aria-label={`Show ${row.name}`}
                      onClick={() => onShow(row.at, row.name)}
                    >
                      Show
                    </button>
                    <button
                      type="button"
                      className="icon-button"
                      aria-label={`Set ${row.name} to the state shown`}
                      title="Set to the state shown"
                      onClick={() => onUpdate(row.id)}
                    >
                      <i className="bi bi-arrow-down-square" aria-hidden />
                    </button>
                    <RemoveButton label={`Remove case ${row.name}`} onClick={() => onRemove(row.id)} />
                  </div>
                )}
              </th>
              {row.cells.map((cell, k) => {
                const column = figures.columns[k];
                if (!column) return null;
                return (
                  <td key={column.id} data-limit={column.id} className={`case-${cell.state}`}>
                    {cell.state === 'absent' ? (
                      <span className="hint" title="No trailer is coupled">
                        –
                      </span>
                    ) : (
                      <>
                        <Link className="figure" to={account(row.at, column.id)} title="Where this comes from">
                          {say(cell.load, column.unit)}
                        </Link>
                        {cell.sigma > 0 && (
                          <small className="figure hint" title="Two standard deviations">
                            ± {say(2 * cell.sigma, column.unit)}
                          </small>
                        )}
                        {cell.state !== 'unknown' && <StateMark state={cell.state} />}
                        {cell.state !== 'unknown' && (
                          <small className="figure hint">
                            {cell.left < 0
                              ? `${say(-cell.left, column.unit)} ${column.least ? 'short' : 'over'}`
                              : `${say(cell.left, column.unit)} left`}
                          </small>
                        )}
                      </>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
