import { answer, api, Refused } from '../api/client';
import type { Item } from '../api/types';
import { useSession } from '../document/SessionContext';
import { partIn } from './parts';

type Size = Item['size'];

/** Edits of the bench that derive other values: the core makes them, and they are undone like any other. */
export function useBenchEdit(onTrouble: (sentence: string) => void) {
  const session = useSession();
  /** resize makes the new size from the one that the part has when its turn comes. */
  return (edit: 'fill' | 'resize' | 'put-away', label: string, id: string, resize?: (size: Size) => Size) =>
    session
      .derive(label, (job) => {
        const size = partIn(job, id)?.size ?? { length: 0, width: 0, height: 0 };
        return answer(api.POST('/api/bench', { body: { edit, id, size: resize ? resize(size) : size, job } }));
      })
      .then(
        () => onTrouble(''),
        (error: unknown) => {
          onTrouble(
            error instanceof Refused ? error.message : 'The server does not answer; nothing else was changed with it.',
          );
          // What was typed stays: as a plain size, which is then saved or refused like any other edit.
          if (!resize) return;
          session.edit(label, (job) => {
            const item = partIn(job, id);
            if (item) item.size = resize({ ...item.size });
          });
        },
      );
}
