import type { RangeView } from '../api/types';
import { Panel } from '../components/Panel';
import { useTrial } from '../findings/useTrial';
import { formatQuantity } from '../quantity/format';
import { derived } from '../document/useDerive';
import { useRange } from './useRange';

/** Ways to fill fuel: looked at on the whole screen, or taken in one press. */
export function FillCard({ view }: { view: RangeView }) {
  const { job, derive, variant, session } = useRange();
  const { tried, toggle } = useTrial();
  const money = (cents: number) => `${job.brief.currency} ${(cents / 100).toFixed(2)}`;
  const share = (s: number) => `${(100 * s).toFixed(1)} %`;
  const decided = variant.fills.length > 0;
  const forget = () =>
    session.edit('Fill up wherever it can be had', (j) => {
      for (const v of j.variants) if (v.id === variant.id) v.fills = [];
    });
  return (
    <Panel
      title="Where to fill"
      className="wide fill-card"
      note={`As planned now: ${money(view.cost)} of fuel. Stops that are not sure are not planned with.`}
      actions={
        decided && (
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={forget}>
            Fill up everywhere instead
          </button>
        )
      }
    >
      {view.proposals.length === 0 ? (
        <p className="empty">
          No vessel of fuel comes along. Enter the tanks under Vehicle, or say below what holds fuel.
        </p>
      ) : (
        <ul className="fill-ways">
          {view.proposals.map((p) => {
            const edits = [{ edit: derived('fill-plan', { with: p.manner }) }];
            return (
              <li key={p.manner} data-manner={p.manner} className={p.same ? 'fill-same' : ''}>
                <h3>{p.name}</h3>
                {p.possible ? (
                  <>
                    <p>
                      Starts with <b className="figure">{formatQuantity(p.start, 'volume', job.units)}</b>; buys in all
                    </p>
                    <p className="fill-figures">
                      <b className="figure">{formatQuantity(p.litres, 'volume', job.units)}</b>
                      <b className="figure">{money(p.cost)}</b>
                      {p.share > 0 && (
                        <b className={`figure ${p.share > 1.00001 ? 'over' : ''}`}>{share(p.share)} of a limit</b>
                      )}
                    </p>
                    <p>{p.told}</p>
                    <p className="fill-do">
                      {p.same ? (
                        <span className="hint">This is the plan.</span>
                      ) : (
                        <>
                          <button
                            type="button"
                            className="btn btn-sm btn-primary"
                            onClick={() => void derive(p.name, derived('fill-plan', { with: p.manner }))}
                          >
                            Plan it so
                          </button>
                          <button
                            type="button"
                            className="btn btn-sm btn-outline-secondary"
                            aria-pressed={tried(p.name)}
                            onClick={() => toggle(p.name, edits)}
                          >
                            Try it
                          </button>
                        </>
                      )}
                    </p>
                  </>
                ) : (
                  <p className="over">{p.told}</p>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </Panel>
  );
}
