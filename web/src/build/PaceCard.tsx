import type { Build } from '../api/types';
import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { derived } from '../document/useDerive';
import { formatNumber } from '../quantity/format';
import { works } from '../words/build';
import { useBuild } from './useBuild';

type Work = Build['pace'][number]['work'];

/** Minutes of each operation: practice, the workshop's own, and what the ticked steps really needed. */
export function PaceCard() {
  const { view, job, edit, derive } = useBuild();
  if (!view) return null;
  const noted = view.pace.some((p) => p.steps > 0);
  return (
    <Panel
      title="Pace"
      className="wide"
      note="Minutes each"
      actions={
        noted && (
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() => void derive('Take over what it needed', derived('pace-learned'))}
          >
            Take over what it needed
          </button>
        )
      }
    >
      <ul className="pace">
        {view.pace.map((p) => (
          <li key={p.work} data-pace={p.work}>
            <span>{works[p.work]}</span>
            <QuantityField
              bare
              label={`Minutes: ${works[p.work] ?? p.work}`}
              value={p.minutes}
              kind="plain"
              system={job.units}
              onCommit={(v) =>
                edit(`Minutes: ${works[p.work] ?? p.work}`, (b) => {
                  const own = b.pace.find((x) => x.work === p.work);
                  if (own) own.minutes = v;
                  else b.pace.push({ work: p.work as Work, minutes: v });
                })
              }
            />
            <small className="hint">
              a {p.each}
              {p.steps > 0 && `; needed ${formatNumber(p.needed, 'plain', job.units)}`}
            </small>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
