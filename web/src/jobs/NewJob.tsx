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
  const create = async (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() === '') return onTrouble('Name: nothing was given; accepted is a name of 1 to 120 characters for the new job.');
    try {
      const document = await answer(api.POST('/api/jobs', { body: { name: name.trim(), region } }));
      onOpen(document.job.id);
    } catch (error) {
      onTrouble(error instanceof Refused ? error.message : 'The server does not answer; the job was not made.');
    }
  };
  return (
    <form className="new-job" onSubmit={(event) => void create(event)}>
      <input className="form-control" aria-label="Name of the new job" placeholder="New job: its name" maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
      <SelectField label="Words of" value={region} options={regions} onCommit={setRegion} />
      <Button type="submit">Make the job</Button>
    </form>
  );
}
