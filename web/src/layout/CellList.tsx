import { AddButton, RemoveButton } from '../components/ListButtons';
import { QuantityField } from '../components/QuantityField';
import { TextField } from '../components/TextField';
import { formatNumber, formatQuantity } from '../quantity/format';
import { unitName } from '../quantity/units';
import type { Part } from './parts';
import type { Bench } from './useBench';

interface Props {
  part: Part;
  bench: Bench;
  onRename: (id: string, name: string) => void;
  onShare: (id: string, share: number) => void;
  onWalls: (id: string, walls: number) => void;
  onCover: (id: string, cover: boolean) => void;
  onAdd: () => void;
  onRemove: (id: string) => void;
}

/** The compartments of a module: inside size, how full by room and by mass, and what lies in them. */
export function CellList({ part, bench, onRename, onShare, onWalls, onCover, onAdd, onRemove }: Props) {
  const { job, all, setSelected } = bench;
  const cells = part.item.module?.cells ?? [];
  return (
    <fieldset className="cells">
      <legend>
        Compartments <AddButton label="Add" onClick={onAdd} />
      </legend>
      {cells.map((cell) => {
        const f = part.figures?.cells.find((c) => c.id === cell.id);
        const s = f && {
          x: f.inside.to.x - f.inside.from.x,
          y: f.inside.to.y - f.inside.from.y,
          z: f.inside.to.z - f.inside.from.z,
        };
        const share = Math.round((f?.filled ?? 0) * 100);
        return (
          <div key={cell.id} className="cell" data-cell={cell.id}>
            <div className="cell-head">
              <TextField
                label={`Name of ${cell.name}`}
                value={cell.name}
                maxLength={120}
                required
                onCommit={(name) => onRename(cell.id, name)}
              />
              <QuantityField
                bare
                label={`Share of ${cell.name}`}
                title="Its part of the room against its fellows"
                value={cell.share}
                kind="plain"
                system={job.units}
                onCommit={(v) => onShare(cell.id, v)}
              />
              {cells.length > 1 && <RemoveButton label={`Remove ${cell.name}`} onClick={() => onRemove(cell.id)} />}
            </div>
            {f && s && (
              <p className="hint">
                Inside{' '}
                <span className="figure">
                  {[s.x, s.y, s.z].map((mm) => formatNumber(mm, 'length', job.units)).join(' × ')}{' '}
                  {unitName('length', job.units)}
                </span>
                , <span className="figure">{formatQuantity(f.litres, 'volume', job.units)}</span>;{' '}
                <span className="figure">{share} %</span> full,{' '}
                <span className="figure">{formatQuantity(f.load, 'mass', job.units)}</span> in it
              </p>
            )}
            <div className="cell-fittings">
              <span>Partitions</span>
              <QuantityField
                bare
                label={`Partitions in ${cell.name}`}
                value={cell.walls}
                kind="plain"
                system={job.units}
                onCommit={(v) => onWalls(cell.id, Math.round(v))}
              />
              <label className="switch-line">
                <input
                  type="checkbox"
                  className="form-check-input"
                  aria-label={`Cover over ${cell.name}`}
                  checked={cell.cover}
                  onChange={(event) => onCover(cell.id, event.target.checked)}
                />
                Lift-out cover
              </label>
            </div>
            <svg className="cell-fill" viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden>
              <rect width="100" height="6" className="plate" />
              <rect width={Math.min(100, share)} height="6" className={share > 85 ? 'over' : 'plate-load'} />
            </svg>
            {f && f.holds.length > 0 && (
              <ul>
                {f.holds.map(({ id, moves }) => {
                  const item = all.find((p) => p.item.id === id)?.item;
                  return item ? (
                    <li key={id}>
                      <button type="button" className="link" onClick={() => setSelected([id])}>
                        {item.name}
                      </button>
                      {moves > 0 && <small className="hint"> {moves} to move first</small>}
                    </li>
                  ) : null;
                })}
              </ul>
            )}
          </div>
        );
      })}
    </fieldset>
  );
}
