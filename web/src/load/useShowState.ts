import { answer, api, Refused } from '../api/client';
import { useSession } from '../document/SessionContext';

/** Shows a state, a case or an exact worst: the core sets everything that may vary. */
export function useShowState() {
  const session = useSession();
  return (at: string, name: string) =>
    void session
      .derive(`Show ${name}`, (job) => answer(api.POST('/api/show', { params: { query: { state: at } }, body: job })))
      .catch((error: unknown) =>
        session.tell(error instanceof Refused ? error.message : 'The server does not answer; the state is as it was.'),
      );
}
