import { useState } from 'react';

import type { Past, Units } from '../api/types';
import { toldField, toldValue } from '../job/told';
import { sayWhen } from '../words/when';

/** One revision: what it changed, and what can be done with it. */
export function RevisionRow({
  revision: r,
  newest,
  units,
  onName,
  onBeside,
  onBack,
}: {
  revision: Past;
  newest: boolean;
  units: Units;
  onName: (label: string) => void;
  onBeside: () => void;
  onBack: () => void;
}) {
  const [name, setName] = useState<string>();
  const typed = name ?? r.label;
  const finish = () => {
    if (name !== undefined && name.trim() !== r.label) onName(name.trim());
    setName(undefined);
  };
  return (
    <tr data-revision={r.number}>
      <th scope="row" className="figure">
        {r.number}
      </th>
      <td className="figure">{sayWhen(r.at)}</td>
      <td>{r.author === '' ? 'this computer' : r.author}</td>
      <td className="revision-changes">
        {r.damaged ? (
          <span className="count count-stop">damaged, cannot be read</span>
        ) : r.changed < 0 ? (
          r.number === 1 ? (
            'the job was made'
          ) : (
            'the one before it is not kept, or damaged'
          )
        ) : (
          <ul>
            {r.changes.map((c) => {
              const asked = { path: c.path, name: c.name, mine: c.is, theirs: c.was };
              return (
                <li key={c.path.join('/')}>
                  {toldField(asked)}
                  {c.was === null ? ' added' : c.is === null ? ' removed' : ': '}
                  {c.was !== null && c.is !== null && (
                    <>
                      {toldValue(asked, c.was, units)} → {toldValue(asked, c.is, units)}
                    </>
                  )}
                </li>
              );
            })}
            {r.changed > r.changes.length && <li>and {r.changed - r.changes.length} more</li>}
          </ul>
        )}
      </td>
      <td>
        <input
          className="form-control form-control-sm"
          aria-label={`Name of revision ${r.number}`}
          maxLength={80}
          value={typed}
          placeholder="give a name"
          onChange={(event) => setName(event.target.value)}
          onBlur={finish}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
            if (event.key === 'Escape') setName(undefined);
          }}
        />
      </td>
      <td className="job-actions">
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          disabled={r.damaged}
          onClick={onBeside}
          aria-label={`Open beside, as a job of its own: revision ${r.number}`}
        >
          Open beside
        </button>
        {newest ? (
          <span className="hint">newest</span>
        ) : (
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            disabled={r.damaged}
            onClick={onBack}
            aria-label={`Go back to it: revision ${r.number}`}
          >
            Go back to it
          </button>
        )}
      </td>
    </tr>
  );
}
