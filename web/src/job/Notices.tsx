import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import { useSession, useSnapshot } from '../document/SessionContext';

/** Writes what the server still holds of a database that was taken away to a new file. */
function Rescue() {
  const [said, setSaid] = useState('');
  const rescue = async () => {
    try {
      const { file } = await answer(api.POST('/api/rescue'));
      setSaid(
        `All that was kept stands in ${file} on the machine that serves. Stop Zaino there and start it with that file.`,
      );
    } catch (error) {
      setSaid(error instanceof Refused ? error.message : 'The server does not answer.');
    }
  };
  return said === '' ? (
    <button type="button" className="btn btn-sm btn-outline-danger" onClick={() => void rescue()}>
      Write all to a new file
    </button>
  ) : (
    <p role="status">{said}</p>
  );
}

/** What the user must know about saving: why it is refused, what others did. */
export function Notices() {
  const session = useSession();
  const { save, trouble, notice, undo, stale, databaseGone } = useSnapshot();
  return (
    <>
      {trouble !== '' && save !== 'conflict' && (
        <div className="notice notice-trouble" role="alert">
          <p>
            {trouble}
            {stale && '\nThe figures are those of the last state that could be counted.'}
          </p>
          {databaseGone && <Rescue />}
          {save === 'refused' && undo !== undefined && (
            <button type="button" className="btn btn-sm btn-outline-danger" onClick={() => session.undo()}>
              Take back: {undo}
            </button>
          )}
        </div>
      )}
      {notice !== '' && (
        <div className="notice" role="status">
          <p>{notice}</p>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => session.dismissNotice()}>
            Understood
          </button>
        </div>
      )}
    </>
  );
}
