import { useState } from 'react';
import Button from 'react-bootstrap/Button';

import type { Conflict } from '../api/types';
import { useSession, useSnapshot } from '../document/SessionContext';

const key = (conflict: Conflict) => conflict.path.join('/');

/** Asks where two people changed the same: both values, and which shall hold. */
export function ConflictPanel() {
  const session = useSession();
  const { save, conflicts, trouble } = useSnapshot();
  const [mine, setMine] = useState<Record<string, boolean>>({});
  if (save !== 'conflict') return null;
  return (
    <section className="notice notice-conflict" role="alertdialog" aria-label="Somebody else changed the same">
      <p>{trouble}. Choose what shall hold; nothing of yours is lost until you do.</p>
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
                <th scope="row">
                  {conflict.name}: {conflict.path.filter((step) => step !== conflict.path[1] || conflict.path[0] !== 'variants').slice(-2).join(' ')}
                </th>
                {[true, false].map((isMine) => (
                  <td key={String(isMine)}>
                    <label>
                      <input type="radio" name={key(conflict)} checked={(mine[key(conflict)] ?? true) === isMine} onChange={() => setMine({ ...mine, [key(conflict)]: isMine })} />{' '}
                      {told(isMine ? conflict.mine : conflict.theirs)}
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

function told(value: unknown): string {
  if (value === null || value === undefined) return 'removed';
  if (typeof value === 'object' && 'name' in value && typeof value.name === 'string') return `kept (${value.name})`;
  return typeof value === 'string' ? value : JSON.stringify(value);
}
