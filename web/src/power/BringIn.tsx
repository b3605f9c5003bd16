import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import { useSession } from '../document/SessionContext';

/** Brings what has a plug into the electrics, from the layout and from the gear of the brief. */
export function BringIn() {
  const session = useSession();
  const [busy, setBusy] = useState(false);
  const bring = () => {
    if (busy) return;
    setBusy(true);
    let came: string[] = [];
    session
      .derive('Bring in what has a plug', async (job) => {
        const found = await answer(api.POST('/api/power/bring-in', { body: job }));
        came = found.came;
        return found.job;
      })
      .then(
        () =>
          session.tell(
            came.length === 0
              ? 'Nothing with a plug is left in the layout and the brief that is not here.'
              : `Brought in: ${came.join(', ')}. Check their hours and data sheets.`,
          ),
        (e: unknown) =>
          session.tell(e instanceof Refused ? e.message : 'The server does not answer; nothing was brought in.'),
      )
      .finally(() => setBusy(false));
  };
  return (
    <button type="button" className="btn btn-sm btn-primary" onClick={bring} aria-busy={busy}>
      Bring in what has a plug
    </button>
  );
}
