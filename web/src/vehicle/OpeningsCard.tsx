import type { Bay, MoreOpening } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { coverings, faces, hinges, openingUses } from '../words/vehicle';
import { useVehicleEdit } from './useVehicleEdit';

/** Further openings of a space: windows, hatches, a second door, a way through. */
export function OpeningsCard({ bay }: { bay: Bay }) {
  const { edit, input, unit } = useVehicleEdit();
  const all = (label: string, change: (more: Bay['more']) => void, key?: string) =>
    edit(label, (v) => on(v.bays, bay.id, (b) => change(b.more)), key);
  const one = (label: string, o: MoreOpening, change: (x: MoreOpening) => void, key?: string) =>
    all(`${label} of ${o.name}`, (more) => on(more, o.id, change), key);
  const sized = (label: string, get: (o: MoreOpening) => number, set: (o: MoreOpening, mm: number) => void) =>
    function Sized(o: MoreOpening) {
      return input(`${label} of ${o.name}`, get(o), 'length', (v, mm) =>
        on(v.bays, bay.id, (b) => on(b.more, o.id, (x) => set(x, mm))),
      );
    };
  return (
    <section aria-label="Further openings">
      <header className="sheet-head">
        <h3>Further openings</h3>
        <span className="hint">Windows, hatches, a second door, a way through</span>
        <div className="sheet-actions">
          <AddButton
            label="Add opening"
            onClick={() =>
              all('Add opening', (more) =>
                more.push({
                  id: newId(more, 'opening'),
                  name: 'New opening',
                  use: 'air',
                  along: 300,
                  above: 300,
                  cover: '',
                  opening: { face: 'left', width: 500, height: 350, sill: 0, hinge: 'top', swing: 60 },
                }),
              )
            }
          />
        </div>
      </header>
      <ThingTable
        label="Further openings"
        what="Opening"
        things={bay.more}
        empty="It has none but its door."
        onRename={(o, name) => one('Name', o, (x) => (x.name = name), `opening ${o.id}`)}
        onRemove={(o) => all(`Remove ${o.name}`, (more) => drop(more, o.id))}
        below={(o) => (
          <tr>
            <td colSpan={8}>
              <div className="more-line">
                <SelectField
                  label={`Hinge of ${o.name}`}
                  value={o.opening.hinge}
                  options={hinges}
                  onCommit={(hinge) => one('Hinge', o, (x) => (x.opening.hinge = hinge))}
                />
                <span>opens by</span>
                {input(`Swing of ${o.name}`, o.opening.swing, 'angle', (v, degrees) =>
                  on(v.bays, bay.id, (b) => on(b.more, o.id, (x) => (x.opening.swing = degrees))),
                )}
                <span>°, at night</span>
                <SelectField
                  label={`Cover of ${o.name}`}
                  value={o.cover}
                  options={coverings}
                  onCommit={(cover) => one('Cover', o, (x) => (x.cover = cover))}
                />
              </div>
            </td>
          </tr>
        )}
        columns={[
          {
            head: 'For',
            words: true,
            cell: (o) => (
              <SelectField
                label={`What ${o.name} is for`}
                value={o.use}
                options={openingUses}
                onCommit={(use) => one('Use', o, (x) => (x.use = use))}
              />
            ),
          },
          {
            head: 'In its',
            words: true,
            cell: (o) => (
              <SelectField
                label={`Face of ${o.name}`}
                value={o.opening.face}
                options={faces}
                onCommit={(face) => one('Face', o, (x) => (x.opening.face = face))}
              />
            ),
          },
          {
            head: `Wide ${unit('length')}`,
            cell: sized(
              'Width',
              (o) => o.opening.width,
              (o, mm) => (o.opening.width = mm),
            ),
          },
          {
            head: 'High',
            cell: sized(
              'Height',
              (o) => o.opening.height,
              (o, mm) => (o.opening.height = mm),
            ),
          },
          {
            head: 'Along',
            title: 'From the front of the space, or its left side, to where it begins',
            cell: sized(
              'Place along',
              (o) => o.along,
              (o, mm) => (o.along = mm),
            ),
          },
          {
            head: 'Above',
            title: 'From the floor to its lower edge; of one in the top from the left side',
            cell: sized(
              'Place above',
              (o) => o.above,
              (o, mm) => (o.above = mm),
            ),
          },
        ]}
      />
    </section>
  );
}
