import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useOutletContext } from 'react-router';

import { answer, api, Refused } from '../api/client';
import { rowId } from '../api/outbox';
import type { HandoverView } from '../api/types';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { useAsked } from '../document/useAsked';
import { useFields } from '../document/useFields';

export interface HandoverState {
  view: HandoverView | undefined;
  trouble: string;
}

/** The handover of the job; asked for once for all its sheets. */
export const useHandoverAsked = (): HandoverState =>
  useAsked(
    'handover',
    (job, signal) => answer(api.POST('/api/handover', { body: { job }, signal })),
    'The server does not answer; the handover appears when it does.',
  );

/** The handover below its page, its fields, and the variant that was built. */
export function useHandover() {
  const state = useOutletContext<HandoverState>();
  const fields = useFields((job) => job.handover);
  return { ...fields, ...state, handover: fields.job.handover, variant: chosenVariant(fields.job) };
}

/** Photos and papers that are kept beside the job. */
export function useFiles() {
  const session = useSession();
  const { job } = useSnapshot();
  const client = useQueryClient();
  const path = { id: job.id };
  const { data } = useQuery({
    queryKey: ['files', job.id],
    queryFn: ({ signal }) => answer(api.GET('/api/jobs/{id}/files', { params: { path }, signal })),
  });
  const again = () => client.invalidateQueries({ queryKey: ['files', job.id] });
  const tell = (e: unknown) =>
    session.tell(
      e instanceof Refused ? e.message : 'The server does not answer; the file was not kept. Choose it again.',
    );
  return {
    files: data?.files ?? [],
    address: (id: string) => `/api/jobs/${job.id}/files/${id}`,
    /** Keeps a photo or a paper; answers its id, or nothing where it was refused. */
    add: async (file: File, of: string): Promise<string | undefined> => {
      const id = rowId('file');
      try {
        await answer(
          api.POST('/api/jobs/{id}/files', {
            params: { path, query: { file: id, of, name: file.name.slice(0, 200) } },
            body: file as unknown as string,
            bodySerializer: (body: unknown) => body as BodyInit,
            headers: { 'Content-Type': 'application/octet-stream' },
          }),
        );
        await again();
        return id;
      } catch (e) {
        tell(e);
        return undefined;
      }
    },
    drop: (id: string) =>
      answer(api.DELETE('/api/jobs/{id}/files/{file}', { params: { path: { ...path, file: id } } })).then(again, tell),
  };
}
