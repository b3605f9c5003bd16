import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';

import { answer, api, Refused } from '../api/client';
import type { ScaleState } from '../api/types';

/** How often scales are looked at, ms. */
const every = 350;

/** The scales that are listened to, as they read now, and what can be asked of them. */
export function useScales(job: string, tell: (sentence: string) => void) {
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ['scales'],
    queryFn: ({ signal }) => answer(api.GET('/api/scales', { signal })),
    refetchInterval: every,
  });
  const { mutate } = useMutation({
    mutationFn: (ask: () => Promise<unknown>) => ask(),
    onSuccess: () => client.invalidateQueries({ queryKey: ['scales'] }),
    onError: (e) =>
      tell(e instanceof Refused ? e.message : 'The server does not answer; nothing was asked of the scale.'),
  });
  const away = error !== null && !(error instanceof Refused);
  return {
    scales: away ? [] : (data?.scales ?? []),
    suggested: data?.suggested ?? [],
    away,
    connect: (address: string) => mutate(() => answer(api.POST('/api/scales', { body: { address } }))),
    disconnect: (address: string) =>
      mutate(() => answer(api.DELETE('/api/scales', { params: { query: { address } } }))),
    zero: (address: string) => mutate(() => answer(api.POST('/api/scales/zero', { body: { address } }))),
    /** Loads a simulated scale. */
    load: (address: string, what: 'wheels' | 'front' | 'rear' | 'item' | 'off', item = '') =>
      mutate(() =>
        answer(
          api.POST('/api/jobs/{id}/scales/load', { params: { path: { id: job } }, body: { address, what, item } }),
        ),
      ),
  };
}

export type Scales = ReturnType<typeof useScales>;

/** The scale among some that has a channel. */
export const withChannel = (scales: readonly ScaleState[], channel: string) =>
  scales.find((s) => s.plates.some((p) => p.channel === channel));
