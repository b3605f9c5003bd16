import { useState } from 'react';

import { answer, api, Refused } from '../api/client';

const kinds = [
  { value: 'wagon', label: 'Wagon' },
  { value: 'tub', label: 'Tub' },
  { value: 'tray', label: 'Tray' },
] as const;

/** Draws an exercise: a sound build with fifteen mistakes in it, another one each time. */
export function TrainCard({
  onOpen,
  onTrouble,
}: {
  onOpen: (id: string) => void;
  onTrouble: (sentence: string) => void;
}) {
  const [drawing, setDrawing] = useState('');
  const draw = async (kind: (typeof kinds)[number]['value']) => {
    setDrawing(kind);
    try {
      const document = await answer(api.POST('/api/training', { body: { kind } }));
      onOpen(document.job.id);
    } catch (error) {
      onTrouble(error instanceof Refused ? error.message : 'The server does not answer; no exercise was drawn.');
    } finally {
      setDrawing('');
    }
  };
  return (
    <div className="train-card" role="group" aria-label="Find the mistakes">
      <b>Find the mistakes</b>
      <span className="hint">Fifteen in a sound build, another one each time</span>
      {kinds.map((k) => (
        <button
          key={k.value}
          type="button"
          className="btn btn-sm btn-outline-secondary"
          disabled={drawing !== ''}
          aria-busy={drawing === k.value}
          onClick={() => void draw(k.value)}
        >
          {drawing === k.value ? 'Drawing…' : k.label}
        </button>
      ))}
    </div>
  );
}
