import { useState } from 'react';
import Button from 'react-bootstrap/Button';

import type { Conflict } from '../api/types';
import { useSession, useSnapshot } from '../document/SessionContext';
import { toldField, toldValue } from './told';
import { capital } from '../words/words';

const key = (conflict: Conflict) => conflict.path.join('/');

/** Asks where two people changed the same: both values, and which shall hold. */
export function ConflictPanel() {
  const session = useSession();
  const { job, save, conflicts, trouble } = useSnapshot();
  const [mine, setMine] = useState<Record<string, boolean>>({});
  if (save !== 'conflict') return null;
  return (
    <section className="notice notice-conflict" role="alertdialog" aria-label="Somebody else changed the same">
      <p>{capital(trouble)}. Choose what shall hold; nothing of yours is lost until you do.</p>
      {conflicts.length > 0 && (
        <table>
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Yours</th>
              <th scope="col">Theirs</th>
            </tr>
          </thead>
          <tbody>
            {conflicts.map((conflict) => (
              <tr key={key(conflict)} data-conflict={key(conflict)}>
                <th scope="row">{toldField(conflict)}</th>
                {[true, false].map((isMine) => (
                  <td key={String(isMine)}>
                    <label>
                      <input
                        type="radio"
                        name={key(conflict)}
                        checked={(mine[key(conflict)] ?? true) === isMine}
                        onChange={() => setMine({ ...mine, [key(conflict)]: isMine })}
                      />{' '}
                      {toldValue(conflict, isMine ? conflict.mine : conflict.theirs, job.units)}
                    </label>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <Button size="sm" onClick={() => session.settle((c) => mine[key(c)] ?? true)}>
        {conflicts.length > 0 ? 'Keep as chosen' : 'Keep mine'}
      </Button>{' '}
      <Button size="sm" variant="outline-secondary" onClick={() => void session.takeTheirs()}>
        Take everything of theirs
      </Button>
    </section>
  );
}
