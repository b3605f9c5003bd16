import { useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';

import { answer, api, Refused } from '../api/client';

/** Asks once in this browser for the access code of a server that other machines can reach. */
export function AccessPage({ onOpen }: { onOpen: () => void }) {
  const [code, setCode] = useState('');
  const [name, setName] = useState('');
  const [trouble, setTrouble] = useState('');
  const give = async (event: FormEvent) => {
    event.preventDefault();
    try {
      await answer(api.POST('/api/access', { body: { code, name: name.trim() } }));
      onOpen();
    } catch (error) {
      setTrouble(error instanceof Refused ? error.message : 'The server does not answer.');
    }
  };
  return (
    <main className="trouble-page">
      <h1>Access code</h1>
      <p>
        This server can be reached from other machines. Enter the code that it showed when it was started; this browser
        is let in until somebody shuts it out. Its name stands beside what it saves.
      </p>
      <form className="new-job" onSubmit={(event) => void give(event)}>
        <input
          className="form-control"
          aria-label="Access code"
          autoComplete="off"
          value={code}
          onChange={(event) => setCode(event.target.value)}
        />
        <input
          className="form-control"
          aria-label="What this browser is to be called"
          placeholder="Called, such as Bench tablet"
          maxLength={60}
          autoComplete="off"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit">Enter</Button>
      </form>
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
    </main>
  );
}
