import { useState } from 'react';

import type { RangeView } from '../api/types';
import { Panel } from '../components/Panel';
import { formatQuantity } from '../quantity/format';
import { sureness } from '../words/range';
import { labelOf } from '../words/words';
import { derived } from '../document/useDerive';
import { useRange } from './useRange';

/** What to do at each stop, to be ticked on the way; it prints. Ticks are of this screen only. */
export function TasksCard({ view, onShow }: { view: RangeView; onShow: (km: number) => void }) {
  const { job, derive, typed } = useRange();
  const [done, setDone] = useState<readonly string[]>([]);
  return (
    <Panel
      title="What to do at each stop"
      className="wide tasks-card"
      note={view.lacks.length === 0 ? 'Nothing gives out on the way.' : view.lacks.map((l) => l.text).join('. ')}
      actions={
        <>
          {typed && (
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              title="A case of Load for each stop, as the vehicle leaves it"
              onClick={() => void derive('Cases of the trip', derived('trip-cases'))}
            >
              Make cases of Load
            </button>
          )}
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => window.print()}>
            Print
          </button>
        </>
      }
    >
      <ol className="tasks">
        {view.route.map((stop, i) => {
          const at = view.stops[i];
          const leg = view.legs[i];
          if (!at) return null;
          return (
            <li key={stop.id} data-tasks={stop.id}>
              <h3>
                <button type="button" className="link" title="Show it on the way" onClick={() => onShow(at.km)}>
                  {stop.name}
                </button>
                <small className="figure">
                  {formatQuantity(at.km, 'distance', job.units)}, day {at.day}
                  {stop.sure !== 'sure' && `, ${labelOf(sureness, stop.sure).toLowerCase()}`}
                  {stop.sure !== 'shut' && !at.open && ', closed on that day'}
                </small>
              </h3>
              {at.tasks.map((what) => {
                const key = `${stop.id} ${what}`;
                return (
                  <label key={what}>
                    <input
                      type="checkbox"
                      className="form-check-input"
                      checked={done.includes(key)}
                      onChange={(event) =>
                        setDone(event.target.checked ? [...done, key] : done.filter((d) => d !== key))
                      }
                    />
                    <span>{what}</span>
                  </label>
                );
              })}
              {leg && (
                <p className={`hint tasks-leg ${leg.left < leg.reserve - 0.1 ? 'over' : ''}`}>
                  {formatQuantity(stop.leg.km, 'distance', job.units)} on:{' '}
                  {formatQuantity(leg.fuel, 'volume', job.units)} ({formatQuantity(leg.used, 'consumption', job.units)}
                  ), {formatQuantity(leg.left, 'volume', job.units)} left,{' '}
                  {formatQuantity(leg.reserve, 'volume', job.units)} kept back{at.towing ? ', with the trailer' : ''}
                </p>
              )}
            </li>
          );
        })}
      </ol>
    </Panel>
  );
}
