import { answer, api, Refused } from '../api/client';
import type { FixEdit } from '../api/types';
import { useSession } from './SessionContext';

/** Makes an edit that the core derives; a refusal is told. */
export function useDerive() {
  const session = useSession();
  return (label: string, edit: FixEdit) =>
    session
      .derive(label, (j) => answer(api.POST('/api/fix', { body: { edits: [edit], job: j } })))
      .catch((e: unknown) =>
        session.tell(e instanceof Refused ? e.message : 'The server does not answer; nothing was changed.'),
      );
}

/** An edit that the core derives, with what it does not need left empty. */
export const derived = (kind: FixEdit['kind'], rest: Partial<FixEdit> = {}): FixEdit => ({
  kind,
  id: '',
  with: '',
  value: 0,
  ...rest,
});
