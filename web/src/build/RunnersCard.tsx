import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { RemoveButton } from '../components/ListButtons';
import { drop, newId, on } from '../document/things';
import { useBuild } from './useBuild';

/** The lengths in which runners come, with what a pair weighs and how far it comes out. */
export function RunnersCard() {
  const { build, job, input, edit, fine, unit } = useBuild();
  return (
    <Panel
      title="Runners come in"
      className="wide"
      note="A drawer gets the next shorter one; it weighs and comes out as its data sheet says"
      actions={
        <span className="lengths">
          <QuantityField
            label="Add a length of runner"
            value={0}
            emptyForZero
            kind="length"
            system={job.units}
            onCommit={(v) =>
              edit('Add a length of runner', (b) =>
                b.runners.push({ id: newId(b.runners, 'runner'), length: v, kg: 0, travel: 0 }),
              )
            }
          />
        </span>
      }
    >
      {build.runners.length === 0 ? (
        <p className="empty">No length is listed: no drawer gets a runner. Add the lengths that the workshop buys.</p>
      ) : (
        <div className="table-wrap">
          <table className="sheet-table" aria-label="Runners">
            <thead>
              <tr>
                <th scope="col" className="over-figures">
                  Length {unit('length')}
                </th>
                <th scope="col" className="over-figures" title="Empty: by its length">
                  A pair weighs {unit('mass')}
                </th>
                <th scope="col" className="over-figures" title="Empty: not stated">
                  Comes out {unit('length')}
                </th>
                <th scope="col">
                  <span className="visually-hidden">Remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {[...build.runners]
                .sort((a, b) => a.length - b.length)
                .map((r) => (
                  <tr key={r.id}>
                    <th scope="row" className="figure">
                      {fine(r.length)}
                    </th>
                    <td>
                      {input(
                        `Mass of a pair of ${fine(r.length)}`,
                        r.kg,
                        'mass',
                        (b, v) => on(b.runners, r.id, (x) => (x.kg = v)),
                        true,
                      )}
                    </td>
                    <td>
                      {input(
                        `Runners of ${fine(r.length)} come out`,
                        r.travel,
                        'length',
                        (b, v) => on(b.runners, r.id, (x) => (x.travel = v)),
                        true,
                      )}
                    </td>
                    <td>
                      <RemoveButton
                        label={`Remove runners of ${fine(r.length)}`}
                        onClick={() => edit(`Remove runners of ${fine(r.length)}`, (b) => drop(b.runners, r.id))}
                      />
                    </td>
                  </tr>
                ))}
            </tbody>
          </table>
        </div>
      )}
    </Panel>
  );
}
