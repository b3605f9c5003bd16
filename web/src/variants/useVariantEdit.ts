import { answer, api, Refused } from '../api/client';
import { useSession } from '../document/SessionContext';

interface VariantEdit {
  edit: 'branch' | 'vary';
  from?: string;
  name?: string;
  school?: string;
  choice?: string;
}

/** Edits that make a further variant: the core makes them, and they are undone like any other. */
export function useVariantEdit(onTrouble: (sentence: string) => void) {
  const session = useSession();
  return (label: string, { edit, from = '', name = '', school = '', choice = '' }: VariantEdit) =>
    session
      .derive(label, (job) => answer(api.POST('/api/variants', { body: { edit, from, name, school, choice, job } })))
      .then(
        () => onTrouble(''),
        (error: unknown) =>
          onTrouble(error instanceof Refused ? error.message : 'The server does not answer; no variant was made.'),
      );
}
