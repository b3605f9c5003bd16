import type { Bay } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { SelectField } from '../components/SelectField';
import { drop, newId, on } from '../document/things';
import { sides } from '../words/vehicle';
import { useVehicleEdit } from './useVehicleEdit';

/** Walls that are not straight: distances from a straight edge laid along them, for templates. */
export function WallsCard({ bay }: { bay: Bay }) {
  const { edit, input, unit } = useVehicleEdit();
  const walls = (label: string, change: (walls: Bay['walls']) => void) =>
    edit(label, (v) => on(v.bays, bay.id, (b) => change(b.walls)));
  return (
    <section className="walls" aria-label="Curved walls">
      <header className="sheet-head">
        <h3>Curved walls</h3>
        <span className="hint">
          Offsets from a straight edge along the wall, in {unit('length')}; they shape the templates
        </span>
        <div className="sheet-actions">
          <AddButton
            label="Add wall"
            onClick={() =>
              walls('Add wall', (w) =>
                w.push({
                  id: newId(w, 'wall'),
                  side: 'left',
                  above: 0,
                  offsets: [
                    { id: 'front', at: 0, off: 0 },
                    { id: 'rear', at: Math.max(bay.lengthLeft, bay.lengthRight), off: 0 },
                  ],
                }),
              )
            }
          />
        </div>
      </header>
      {bay.walls.map((wall, k) => {
        const name = `wall ${k + 1}`;
        const one = (label: string, change: (w: Bay['walls'][number]) => void) =>
          walls(`${label} of ${name}`, (all) => on(all, wall.id, change));
        return (
          <div key={wall.id} className="wall-line" data-wall-line={wall.id}>
            <SelectField
              label={`Side of ${name}`}
              value={wall.side}
              options={sides}
              onCommit={(v) => one('Side', (w) => (w.side = v))}
            />
            {input(`Height of ${name} above the floor`, wall.above, 'length', (v, mm) =>
              on(v.bays, bay.id, (b) => on(b.walls, wall.id, (w) => (w.above = mm))),
            )}
            <span className="hint">above the floor</span>
            {[...wall.offsets]
              .sort((a, b) => a.at - b.at)
              .map((o, n) => {
                const set = (change: (x: typeof o) => void) => (w: Bay['walls'][number]) => on(w.offsets, o.id, change);
                return (
                  <span key={o.id} className="wall-offset">
                    {input(`Place ${n + 1} along ${name}`, o.at, 'length', (v, mm) =>
                      on(v.bays, bay.id, (b) =>
                        on(
                          b.walls,
                          wall.id,
                          set((x) => (x.at = mm)),
                        ),
                      ),
                    )}
                    {input(`Offset ${n + 1} of ${name}`, o.off, 'length', (v, mm) =>
                      on(v.bays, bay.id, (b) =>
                        on(
                          b.walls,
                          wall.id,
                          set((x) => (x.off = mm)),
                        ),
                      ),
                    )}
                    <RemoveButton
                      label={`Remove offset ${n + 1} of ${name}`}
                      onClick={() => one('Remove an offset', (w) => drop(w.offsets, o.id))}
                    />
                  </span>
                );
              })}
            <AddButton
              label={`Add offset to ${name}`}
              onClick={() =>
                one('Add an offset', (w) =>
                  w.offsets.push({ id: newId(w.offsets, 'offset'), at: (w.offsets.at(-1)?.at ?? 0) / 2, off: 0 }),
                )
              }
            />
            <RemoveButton label={`Remove ${name}`} onClick={() => walls('Remove wall', (w) => drop(w, wall.id))} />
          </div>
        );
      })}
    </section>
  );
}
