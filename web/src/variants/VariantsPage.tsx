import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';

import { answer, api, Refused } from '../api/client';
import { Scroll } from '../components/Scroll';
import { useSession, useSnapshot } from '../document/SessionContext';
import { AskPanel } from './AskPanel';
import { Comparison } from './Comparison';
import { TurnPanel } from './TurnPanel';
import { useVariantEdit } from './useVariantEdit';

/** Most variants side by side. */
const MOST = 4;

/** Whole arrangements for the same vehicle and brief: compared, adopted, kept, and asked for. */
export function VariantsPage() {
  const session = useSession();
  const { job } = useSnapshot();
  const [left, setLeft] = useState<string[]>([]);
  const [trouble, setTrouble] = useState('');
  const derive = useVariantEdit(setTrouble);
  const shown = job.variants.filter((v) => !left.includes(v.id)).slice(0, MOST);
  const { data, error } = useQuery({
    queryKey: ['compare', job, shown.map((v) => v.id)],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/compare', { body: { variants: shown.map((v) => v.id), job }, signal })),
    placeholderData: keepPreviousData,
    enabled: shown.length > 0,
  });
  const chosen = job.variants.find((v) => v.id === job.chosen) ?? job.variants[0];
  return (
    <div className="variants-page">
      <section className="sheet wide" aria-label="Variants">
        <header className="sheet-head">
          <h2>Variants</h2>
          <span className="hint">
            {job.variants.length === 1
              ? 'One arrangement so far. Branch it, try another way, or ask for arrangements.'
              : 'Whole arrangements for the same vehicle and brief. Differences from the first are marked.'}
          </span>
          <div className="sheet-actions">
            {job.variants.length > 1 &&
              job.variants.map((v) => (
                <button
                  key={v.id}
                  type="button"
                  className="chip"
                  aria-pressed={shown.some((s) => s.id === v.id)}
                  aria-label={`Show ${v.name}`}
                  onClick={() => setLeft(left.includes(v.id) ? left.filter((id) => id !== v.id) : [...left, v.id])}
                >
                  {v.name}
                </button>
              ))}
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              onClick={() => chosen && void derive(`Branch ${chosen.name}`, { edit: 'branch', from: chosen.id })}
            >
              <i className="bi bi-plus-lg" aria-hidden /> Branch {chosen?.name}
            </button>
            <Link className="btn btn-sm btn-outline-secondary" to={`/jobs/${job.id}/layout`}>
              To the bench
            </Link>
          </div>
        </header>
        {trouble !== '' && (
          <p className="trouble" role="alert">
            {trouble}
          </p>
        )}
        {job.variants.length > MOST + left.length && (
          <p className="hint" style={{ padding: '4px 12px' }}>
            Four are shown side by side; take one off to see another.
          </p>
        )}
        {error ? (
          <p className="empty" role="alert">
            {error instanceof Refused
              ? error.message
              : 'The server does not answer; the comparison appears when it does.'}
          </p>
        ) : data ? (
          <Scroll label="Comparison">
            <Comparison
              figures={data}
              job={job}
              onEdit={(label, id, change, key) =>
                session.edit(label, (j) => j.variants.filter((v) => v.id === id).forEach(change), key)
              }
              onAdopt={(id, name) => session.edit(`Adopt ${name}`, (j) => (j.chosen = id))}
              onRemove={(id, name) =>
                session.edit(`Remove variant ${name}`, (j) => {
                  if (j.variants.length < 2) return;
                  j.variants = j.variants.filter((v) => v.id !== id);
                  if (j.chosen === id) j.chosen = j.variants[0]?.id ?? '';
                })
              }
            />
          </Scroll>
        ) : (
          <p className="empty" aria-busy="true">
            Comparing…
          </p>
        )}
      </section>
      <TurnPanel onTurn={(school, choice, label) => void derive(label, { edit: 'vary', school, choice })} />
      <AskPanel />
    </div>
  );
}
