import { answer, api } from '../api/client';
import type { Fix } from '../api/types';
import { useSession, useSnapshot } from '../document/SessionContext';

/** Trying what mends a finding: the screen shows it until it is kept or put back. */
export function useTrial() {
  const session = useSession();
  const { trial } = useSnapshot();
  return {
    tried: (label: string) => trial?.label === label,
    /** Tries changes; what is being tried already is put back. */
    toggle: (label: string, changes: Fix[]) => {
      if (trial?.label === label) session.putBack();
      else
        void session.try(label, (job) =>
          answer(api.POST('/api/fix', { body: { edits: changes.map((c) => c.edit), job } })),
        );
    },
  };
}
