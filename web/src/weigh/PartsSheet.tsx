import { useState } from 'react';
import { Link } from 'react-router';

import { Panel } from '../components/Panel';
import { RemoveHead } from '../components/ListButtons';
import { TextField } from '../components/TextField';
import { formatMassColumn } from '../quantity/format';
import { NextPart } from './NextPart';
import { usePlatform } from './usePlatform';
import { usePartWeight } from './usePartWeight';
import { useWeigh } from './useWeigh';

/** Every part in the order in which it goes in, with what was planned and what the scale said. */
export function PartsSheet({ alone }: { alone?: boolean }) {
  const { view, job, variant, say, change, unit } = useWeigh();
  const weight = usePartWeight();
  const [at, setAt] = useState<string>();
  const platform = usePlatform();
  if (!view) return null;
  const { sum } = view;
  // What was taken shows at once, also while the server is away.
  const taken = new Map(variant.items.filter((i) => i.source === 'weighed').map((i) => [i.id, i.mass]));
  const parts = view.parts.map((p) =>
    p.weighed === 0 && taken.has(p.id) ? { ...p, weighed: taken.get(p.id) ?? 0 } : p,
  );
  const open = parts.filter((p) => p.weighed === 0);
  const current = parts.find((p) => p.id === at) ?? open[0] ?? parts[0];
  const index = parts.findIndex((p) => p.id === current?.id);
  const after = [...parts.slice(index + 1), ...parts.slice(0, Math.max(0, index))].find((p) => p.weighed === 0);
  if (parts.length === 0)
    return (
      <p className="empty">Nothing is planned yet. What stands in Layout and Load is weighed here as it goes in.</p>
    );
  return (
    <>
      <Panel
        title="Next on the scale"
        className="wide"
        actions={
          alone ? (
            <Link className="btn btn-sm btn-outline-secondary" to={`/jobs/${job.id}/weigh`}>
              All parts
            </Link>
          ) : (
            <Link className="btn btn-sm btn-outline-secondary" to={`/jobs/${job.id}/weigh/hand`}>
              With one hand
            </Link>
          )
        }
      >
        {current && <NextPart key={current.id} part={current} after={after} platform={platform} onNext={setAt} />}
        <p className="weigh-sum" role="status" data-weigh-sum>
          Weighed {say(sum.weighed)}, planned {say(sum.planned)} ({change(sum.weighed - sum.planned)}).{' '}
          {open.length === 0
            ? 'Everything was weighed.'
            : `${open.length} not weighed yet, ${say(sum.open)} by plan${
                sum.few > 0 && sum.share > 0
                  ? `; ${sum.few} of these make ${Math.round(sum.share * 100)} % of the doubt of ± ${say(2 * sum.sigma)}`
                  : ''
              }.`}
        </p>
      </Panel>
      {!alone && (
        <Panel title="Parts" className="wide" note="In the order in which they go in; press one to weigh it">
          <div className="table-wrap">
            <table className="sheet-table weigh-table" aria-label="Parts and what they weigh">
              <thead>
                <tr>
                  <th scope="col">Part</th>
                  <th scope="col" className="over-figures">
                    Planned, {unit('mass')}
                  </th>
                  <th scope="col" className="over-figures">
                    ± σ
                  </th>
                  <th scope="col" className="over-figures">
                    Weighed, {unit('mass')}
                  </th>
                  <th scope="col" className="over-figures" title="By how many standard uncertainties it is off">
                    Off, σ
                  </th>
                  <th
                    scope="col"
                    className="over-figures"
                    title="Share of the whole's doubt that weighing it takes off"
                  >
                    Doubt
                  </th>
                  <th scope="col">Why it is off</th>
                  <RemoveHead />
                </tr>
              </thead>
              <tbody>
                {parts.map((part) => (
                  <tr
                    key={part.id}
                    data-part-row={part.id}
                    className={`${part.id === current?.id ? 'is-chosen' : ''} ${part.aboard ? '' : 'is-out'}`}
                  >
                    <th scope="row">
                      <button type="button" className="link" onClick={() => setAt(part.id)}>
                        {part.name}
                      </button>
                    </th>
                    <td className="figure">{formatMassColumn(part.planned, job.units)}</td>
                    <td className="figure">{formatMassColumn(part.sigma, job.units)}</td>
                    <td className="figure">{part.weighed > 0 ? formatMassColumn(part.weighed, job.units) : ''}</td>
                    <td className={`figure ${Math.abs(part.sigmas) > 3 ? 'is-off' : ''}`}>
                      {part.weighed > 0 && part.from !== 'weighed' ? part.sigmas.toFixed(1).replace('-', '−') : ''}
                    </td>
                    <td className="figure">{part.share >= 0.005 ? `${Math.round(part.share * 100)} %` : ''}</td>
                    <td>
                      {part.weighed > 0 && part.from !== 'weighed' && (
                        <TextField
                          label={`Why ${part.name} weighs otherwise`}
                          value={part.why}
                          maxLength={400}
                          onCommit={(why) => weight.why(part, why)}
                        />
                      )}
                    </td>
                    <td>
                      {part.weighed > 0 && part.from !== 'weighed' && (
                        <button
                          type="button"
                          className="icon-button"
                          aria-label={`Take back what ${part.name} weighs`}
                          title="Take the weighing back; the plan's own mass comes again"
                          onClick={() => weight.back(part)}
                        >
                          <i className="bi bi-arrow-counterclockwise" aria-hidden />
                        </button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </Panel>
      )}
    </>
  );
}
