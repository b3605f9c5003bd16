import { answer, api } from '../api/client';
import type { Fix } from '../api/types';
import { useSession, useSnapshot } from '../document/SessionContext';

/** Tries changes that mend a finding; what is being tried already is put back. */
export function useToggleTrial() {
  const session = useSession();
  return (label: string, changes: Pick<Fix, 'edit'>[]) => {
    if (session.getSnapshot().trial?.label === label) session.putBack();
    else
      void session.try(label, (job) =>
        answer(api.POST('/api/fix', { body: { edits: changes.map((c) => c.edit), job } })),
      );
  };
}

/** Trying what mends a finding: the screen shows it until it is kept or put back. */
export function useTrial() {
  const { trial } = useSnapshot();
  return { tried: (label: string) => trial?.label === label, toggle: useToggleTrial() };
}
