import { useQuery } from '@tanstack/react-query';

import { answer, api } from '../api/client';
import type { Component } from '../api/types';
import { PutIn } from '../components/PutIn';
import { useSnapshot } from '../document/SessionContext';
import { derived, useDerive } from '../document/useDerive';
import { formatQuantity } from '../quantity/format';

/** Puts a component of the catalogue into the electrics and the vehicle, where there is room; the axles follow. */
export function Choose({
  label,
  system,
  of,
}: {
  label: string;
  /** Id of the system that it is joined to; empty for the first. */
  system: string;
  of: (component: Component) => boolean;
}) {
  const derive = useDerive();
  const { job } = useSnapshot();
  const { data } = useQuery({
    queryKey: ['components'],
    queryFn: () => answer(api.GET('/api/components')),
    staleTime: Infinity,
  });
  const shown = (data ?? []).filter((c) => c.device && of(c));
  const take = (component: string) => {
    const name = shown.find((c) => c.id === component)?.item.name ?? component;
    void derive(`Choose ${name}`, derived('equip', { id: system, with: component }));
  };
  return (
    <PutIn
      label={label}
      options={shown.map((c) => ({
        value: c.id,
        label:
          `${c.item.name}, ${formatQuantity(c.item.mass, 'mass', job.units)}` +
          (c.item.price > 0 ? `, about ${Math.round(c.item.price / 100)} ${job.brief.currency}` : ''),
      }))}
      onPut={take}
    />
  );
}
