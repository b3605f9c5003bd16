import type { HandFigures, Item, Job, Module } from '../api/types';
import { derived, useDerive } from '../document/useDerive';
import { formatQuantity } from '../quantity/format';
import { FigureOf } from './FigureOf';

interface Props {
  item: Item;
  module: Module;
  job: Job;
  hand: readonly HandFigures[];
  onEdit: (label: string, change: (m: Module) => void) => void;
}

const fields = [
  ['along', 'On the box, in', 'from the hinge toward the free edge'],
  ['below', 'On the box, below', 'below the hinge'],
  ['lid', 'On the lid, below', 'below the hinge when it is shut'],
  ['length', 'Strut, out', 'between its pivots, out all the way'],
  ['stroke', 'Its stroke', 'by which it goes in'],
] as const;

/** Where the gas struts of a lid turn, and what the hand feels over its swing. */
export function StrutFields({ item, module: m, job, hand, onEdit }: Props) {
  const derive = useDerive();
  const { pivots } = m;
  const newton = (n: number) => `${Math.abs(Math.round(n))} N ${n > 0.5 ? 'up' : n < -0.5 ? 'down' : ''}`;
  return (
    <>
      <div className="loose-line">
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() => void derive(`Where the struts of ${item.name} turn`, derived('strut-pivots', { id: item.id }))}
        >
          Propose where they turn
        </button>
        {!pivots && (
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            onClick={() =>
              onEdit('Where its struts turn', (x) => {
                x.pivots = { along: 0, below: 100, lid: 0, length: 0, stroke: 0 };
              })
            }
          >
            Measure it
          </button>
        )}
      </div>
      {!pivots && (
        <p className="hint">Where they turn is not said: the angles of a usual mounting are reckoned with.</p>
      )}
      {pivots &&
        fields.map(([key, label, hint]) => (
          <FigureOf
            key={key}
            label={label}
            of={item.name}
            value={pivots[key]}
            kind="length"
            system={job.units}
            hint={hint}
            onCommit={(v) =>
              onEdit(label, (x) => {
                if (x.pivots) x.pivots[key] = v;
              })
            }
          />
        ))}
      {pivots && hand.length > 0 && (
        <table className="sheet-table hand-table" aria-label={`What the hand feels at the lid of ${item.name}`}>
          <caption>At its free edge, by hand; an estimate. Up: the hand lifts; down: it pulls the lid shut.</caption>
          <thead>
            <tr>
              <th scope="col">Open</th>
              <th scope="col" className="over-figures">
                Coldest
              </th>
              <th scope="col" className="over-figures">
                Hottest
              </th>
              <th scope="col" className="over-figures">
                Strut
              </th>
            </tr>
          </thead>
          <tbody>
            {hand.map((h) => (
              <tr key={h.open}>
                <th scope="row" className="figure">
                  {formatQuantity(h.open, 'angle', job.units)}
                </th>
                <td className="figure">{newton(h.cold)}</td>
                <td className="figure">{newton(h.hot)}</td>
                <td className="figure">{formatQuantity(h.long, 'length', job.units)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {pivots && (
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() => onEdit('Where its struts turn is not said', (x) => delete x.pivots)}
        >
          Leave it unsaid
        </button>
      )}
    </>
  );
}
