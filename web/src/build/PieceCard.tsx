import type { CutPanel, Hole, Item } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { chosenVariant } from '../document/SessionContext';
import { drop, newId, on } from '../document/things';
import { derived } from '../document/useDerive';
import { finishes, grains, holeKinds, materials } from '../words/build';
import { useBuild } from './useBuild';

/** The chosen panel: how its part is built, and the holes in it. */
export function PieceCard({ panel }: { panel: CutPanel }) {
  const { job, session, derive, say, fine, view, unit } = useBuild();
  const item = chosenVariant(job).items.find((i) => i.id === panel.module);
  const module = item?.module;
  const gaps = view?.parts.find((p) => p.id === panel.module)?.gaps;
  if (!item || !module) return null;
  const edit = (label: string, change: (m: NonNullable<Item['module']>) => void) =>
    session.edit(label, (j) =>
      on(chosenVariant(j).items, item.id, (i) => {
        if (i.module) change(i.module);
      }),
    );
  const holes = (module.holes ?? []).filter((h) => h.panel === panel.name);
  const hole = (h: Hole, key: 'u' | 'v' | 'length' | 'width' | 'radius' | 'depth', label: string) => (
    <QuantityField
      bare
      label={`${label} of hole ${h.id}`}
      value={h[key]}
      kind="length"
      system={job.units}
      onCommit={(v) => edit(`${label} of a hole`, (m) => on(m.holes ?? [], h.id, (x) => (x[key] = v)))}
    />
  );
  return (
    <Panel
      title={`${panel.mark} ${panel.name} of ${panel.of}`}
      className="wide piece-card"
      note={`${fine(panel.length)} × ${fine(panel.width)} × ${fine(panel.thickness)} ${unit('length')}, ${say(panel.kg, 'mass')}`}
    >
      <div className="shop-line">
        <Field label="Panels of the part">
          <QuantityField
            label={`Panels of ${item.name}`}
            value={module.panel}
            kind="length"
            system={job.units}
            onCommit={(v) =>
              void derive(`Panels of ${item.name}`, derived('panel-thickness', { id: item.id, value: v }))
            }
          />
        </Field>
        <Field label="Built of">
          <SelectField
            label={`${item.name} is built of`}
            value={panel.material}
            options={materials}
            onCommit={(wall) => {
              const other = view?.others.find((o) => o.wall === wall && !o.now);
              void derive(
                `${item.name} is built of`,
                derived('wall', { id: item.id, with: wall, value: other?.panel ?? module.panel }),
              );
            }}
          />
        </Field>
        <Field label="Grain">
          <SelectField
            label={`Grain of ${item.name}`}
            value={module.grain ?? ''}
            options={grains}
            onCommit={(v) => edit(`Grain of ${item.name}`, (m) => (m.grain = v))}
          />
        </Field>
        <Field label="Banding at the face">
          <QuantityField
            label={`Banding of ${item.name}`}
            value={module.banding ?? 0}
            kind="length"
            system={job.units}
            emptyForZero
            onCommit={(v) => edit(`Banding of ${item.name}`, (m) => (m.banding = v))}
          />
        </Field>
        <Field label="Surface">
          <SelectField
            label={`Surface of ${item.name}`}
            value={module.finish ?? ''}
            options={finishes}
            onCommit={(v) => edit(`Surface of ${item.name}`, (m) => (m.finish = v))}
          />
        </Field>
        {gaps && panel.name.startsWith('drawer') && (
          <Field label="Free below, above and behind its drawers">
            <span className="lengths">
              {(['below', 'above', 'behind'] as const).map((side) => (
                <QuantityField
                  key={side}
                  bare
                  label={`Free ${side} the drawers of ${item.name}`}
                  value={gaps[side]}
                  kind="length"
                  system={job.units}
                  onCommit={(v) =>
                    edit(`Free ${side} the drawers of ${item.name}`, (m) => {
                      m.gaps ??= { ...gaps };
                      m.gaps[side] = v;
                    })
                  }
                />
              ))}
            </span>
          </Field>
        )}
        <Field label="Back">
          <label className="switch-line">
            <input
              type="checkbox"
              className="form-check-input"
              checked={module.scribed ?? false}
              onChange={(event) => edit(`Back of ${item.name}`, (m) => (m.scribed = event.target.checked))}
            />
            fitted to the vehicle by hand
          </label>
        </Field>
      </div>
      <div className="table-wrap">
        <table className="sheet-table" aria-label={`Holes in ${panel.name}`}>
          <thead>
            <tr>
              <th scope="col">Hole for</th>
              <th scope="col" className="over-figures" title="To its middle, along the panel's length">
                Along {unit('length')}
              </th>
              <th scope="col" className="over-figures" title="To its middle, along the panel's width">
                Up {unit('length')}
              </th>
              <th scope="col" className="over-figures" title="Its diameter where it is round">
                Length {unit('length')}
              </th>
              <th scope="col" className="over-figures" title="0: it is round">
                Width {unit('length')}
              </th>
              <th scope="col" className="over-figures">
                Corners {unit('length')}
              </th>
              <th scope="col" className="over-figures" title="What a device wants behind the panel">
                Behind {unit('length')}
              </th>
              <th scope="col">
                <span className="visually-hidden">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {holes.map((h) => (
              <tr key={h.id}>
                <th scope="row">
                  <SelectField
                    label={`What hole ${h.id} is for`}
                    value={h.for}
                    options={holeKinds}
                    onCommit={(v) => edit('What a hole is for', (m) => on(m.holes ?? [], h.id, (x) => (x.for = v)))}
                  />
                </th>
                <td>{hole(h, 'u', 'Along')}</td>
                <td>{hole(h, 'v', 'Up')}</td>
                <td>{hole(h, 'length', 'Length')}</td>
                <td>{hole(h, 'width', 'Width')}</td>
                <td>{hole(h, 'radius', 'Corners')}</td>
                <td>{hole(h, 'depth', 'Behind')}</td>
                <td>
                  <RemoveButton
                    label={`Remove hole ${h.id}`}
                    onClick={() => edit('Remove hole', (m) => drop(m.holes ?? [], h.id))}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <AddButton
        label="Add hole"
        onClick={() =>
          edit('Add hole', (m) => {
            m.holes ??= [];
            m.holes.push({
              id: newId(m.holes, 'hole'),
              for: 'cable',
              panel: panel.name,
              u: Math.round(panel.length / 2),
              v: Math.round(panel.width / 2),
              length: 40,
              width: 0,
              radius: 0,
              depth: 0,
            });
          })
        }
      />
    </Panel>
  );
}
