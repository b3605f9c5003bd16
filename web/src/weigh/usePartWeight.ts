import { useQuery } from '@tanstack/react-query';

import { answer, api } from '../api/client';
import type { PartWeight } from '../api/types';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { on } from '../document/things';

/** What parts weigh by the scale: taken into the plan, said why, taken back. Edits go on while the server is away. */
export function usePartWeight() {
  const session = useSession();
  const { job } = useSnapshot();
  const { data } = useQuery({
    queryKey: ['weighings', job.id],
    queryFn: ({ signal }) => answer(api.GET('/api/jobs/{id}/weighings', { params: { path: { id: job.id } }, signal })),
  });
  const items = (
    label: string,
    id: string,
    change: (item: ReturnType<typeof chosenVariant>['items'][number]) => void,
  ) => session.edit(label, (j) => on(chosenVariant(j).items, id, change));
  return {
    /** Ids of the readings of a part that were kept before. */
    readings: (id: string) => (data?.readings ?? []).filter((r) => r.of === `item/${id}`).map((r) => r.id),
    take: (part: PartWeight, kg: number) =>
      items(`Weighed: ${part.name}`, part.id, (item) => {
        // What it was planned to weigh stays beside what it weighs.
        item.planned = item.planned
          ? { ...item.planned, why: '', moving: false }
          : { kg: part.planned, source: item.source, why: '', moving: false };
        item.mass = Math.round(kg * 1000) / 1000;
        item.source = 'weighed';
      }),
    back: (part: PartWeight) =>
      items(`Not weighed: ${part.name}`, part.id, (item) => {
        if (!item.planned) return;
        item.mass = item.planned.kg;
        item.source = item.planned.source;
        delete item.planned;
      }),
    why: (part: PartWeight, why: string) =>
      session.edit(
        `Why ${part.name} weighs otherwise`,
        (j) =>
          on(chosenVariant(j).items, part.id, (item) => {
            if (item.planned) item.planned.why = why;
          }),
        `why ${part.id}`,
      ),
  };
}
