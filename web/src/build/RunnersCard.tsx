import type { Job } from '../api/types';
import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { RemoveButton } from '../components/ListButtons';
import type { Kind } from '../quantity/units';
import { drop, newId, on } from '../document/things';
import { useBuild } from './useBuild';

/** The lengths in which runners come, with what a pair weighs and how far it comes out. */
export function RunnersCard() {
  const { build, job, edit, fine, unit } = useBuild();
  const field = (
    label: string,
    kind: Kind,
    value: number,
    whenEmpty: string,
    set: (value: number) => (build: Job['build']) => void,
  ) => (
    <QuantityField
      bare
      label={label}
      value={value}
      kind={kind}
      system={job.units}
      emptyForZero
      whenEmpty={whenEmpty}
      onCommit={(v) => edit(label, set(v))}
    />
  );
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
            whenEmpty="add a length"
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
          <table className="sheet-table runner-table" aria-label="Runners">
            <thead>
              <tr>
                <th scope="col" className="over-figures">
                  Length {unit('length')}
                </th>
                <th scope="col" className="over-figures">
                  A pair weighs {unit('mass')}
                </th>
                <th scope="col" className="over-figures">
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
                    <th scope="row" className="over-figures figure">
                      {fine(r.length)}
                    </th>
                    <td>
                      {field(
                        `Mass of a pair of ${fine(r.length)}`,
                        'mass',
                        r.kg,
                        'by its length',
                        (v) => (b) => on(b.runners, r.id, (x) => (x.kg = v)),
                      )}
                    </td>
                    <td>
                      {field(
                        `Runners of ${fine(r.length)} come out`,
                        'length',
                        r.travel,
                        'not stated',
                        (v) => (b) => on(b.runners, r.id, (x) => (x.travel = v)),
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
