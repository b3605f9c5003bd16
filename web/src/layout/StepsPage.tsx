import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';

import { chosenVariant, useSnapshot } from '../document/SessionContext';

/** The steps into a stance, or before driving off: big, to be ticked beside the vehicle. Ticks are of this screen only. */
export function StepsPage() {
  const { job, assessment } = useSnapshot();
  const [search, setSearch] = useSearchParams();
  const [done, setDone] = useState<readonly number[]>([]);
  const { stances } = chosenVariant(job);
  const stance = stances.find((s) => s.id === search.get('stance'));
  const acts = stance
    ? (assessment?.handling.stances.find((s) => s.id === stance.id)?.steps ?? [])
    : (assessment?.handling.driveAway ?? []);
  const left = acts.length - done.filter((i) => i < acts.length).length;
  return (
    <section className="sheet steps-page" aria-label="Steps">
      <div className="segments" role="group" aria-label="Steps for">
        {[{ id: '', name: 'Before driving off' }, ...stances].map((s) => (
          <button
            key={s.id}
            type="button"
            aria-pressed={(stance?.id ?? '') === s.id}
            onClick={() => {
              setSearch(s.id === '' ? {} : { stance: s.id }, { replace: true });
              setDone([]);
            }}
          >
            {s.name}
          </button>
        ))}
      </div>
      {acts.length === 0 ? (
        <p className="empty">
          {stance
            ? 'Nothing to do: it stands as on the road.'
            : 'No stance opens anything yet, so there is nothing to shut.'}{' '}
          <Link to={`/jobs/${job.id}/layout`}>To the bench</Link>
        </p>
      ) : (
        <>
          <ol>
            {acts.map((act, i) => (
              <li key={i} data-act={act.kind}>
                <label>
                  <input
                    type="checkbox"
                    className="form-check-input"
                    checked={done.includes(i)}
                    onChange={(event) => setDone(event.target.checked ? [...done, i] : done.filter((d) => d !== i))}
                  />
                  <span>{act.text}</span>
                </label>
              </li>
            ))}
          </ol>
          <p role="status" className="steps-left">
            {left === 0 ? 'All done.' : `${left} of ${acts.length} to do`}
          </p>
        </>
      )}
    </section>
  );
}
