import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';

import { answer, api, Refused } from '../api/client';
import type { Region } from '../api/types';
import { SelectField } from '../components/SelectField';
import { regions } from '../words/words';

/** One line that makes a job and opens it. */
export function NewJob({ onOpen, onTrouble }: { onOpen: (id: string) => void; onTrouble: (sentence: string) => void }) {
  const [name, setName] = useState('');
  const [region, setRegion] = useState<Region>('anz');
  const [vehicle, setVehicle] = useState('');
  const { data: classes } = useQuery({
    queryKey: ['vehicle classes'],
    queryFn: () => answer(api.GET('/api/vehicle-classes')),
    staleTime: Infinity,
  });
  const create = async (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() === '')
      return onTrouble('Name: nothing was given; accepted is a name of 1 to 120 characters for the new job.');
    try {
      const document = await answer(
        api.POST('/api/jobs', { body: { name: name.trim(), region, ...(vehicle === '' ? {} : { class: vehicle }) } }),
      );
      onOpen(document.job.id);
    } catch (error) {
      onTrouble(error instanceof Refused ? error.message : 'The server does not answer; the job was not made.');
    }
  };
  return (
    <form className="new-job" onSubmit={(event) => void create(event)}>
      <input
        className="form-control"
        aria-label="Name of the new job"
        placeholder="New job: its name"
        maxLength={120}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <SelectField
        label="Vehicle to start from"
        value={vehicle}
        onCommit={setVehicle}
        options={[
          { value: '', label: 'Plate to be entered' },
          ...(classes ?? []).map((c) => ({ value: c.id, label: c.label })),
        ]}
        title="Generic figures, marked as estimates: replace them by the plate"
      />
      <SelectField label="Words of" value={region} options={regions} onCommit={setRegion} />
      <Button type="submit">Make the job</Button>
    </form>
  );
}
