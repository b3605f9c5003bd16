import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { massSources, partStates } from '../words/words';
import { forgetPart } from './ticketEdits';
import { useVehicleEdit } from './useVehicleEdit';

/** Parts of the vehicle that change it: taken off, moved, or added. */
export function PartsCard() {
  const { vehicle, edit, input, box, placeFields, placeColumns, unit } = useVehicleEdit();
  const add = () =>
    edit('Add part', (v) => {
      v.parts.push({
        id: newId(v.parts, 'part'),
        name: 'New part',
        mass: 0,
        at: { x: v.wheelbase, y: 0, z: v.outline.floorHeight },
        inBaseline: false,
        state: 'fitted',
        source: 'estimate',
        behind: false,
      });
    });
  return (
    <Panel
      title="Parts"
      className="wide"
      note="A part that the empty mass already contains is never added twice"
      actions={<AddButton label="Add part" onClick={add} />}
    >
      <ThingTable
        label="Parts"
        what="Part"
        className="parts-table"
        things={vehicle.parts}
        empty="No parts listed. Add what is taken off (tub, seats), moved (spare wheel) or added against the empty figure."
        onRename={(p, name) =>
          edit(`Name of ${p.name}`, (v) => on(v.parts, p.id, (x) => (x.name = name)), `part ${p.id}`)
        }
        onRemove={(p) =>
          edit(`Remove ${p.name}`, (v) => {
            drop(v.parts, p.id);
            forgetPart(v, p.id);
          })
        }
        columns={[
          {
            head: `Mass ${unit('mass')}`,
            cell: (p) => input(`Mass of ${p.name}`, p.mass, 'mass', (v, kg) => on(v.parts, p.id, (x) => (x.mass = kg))),
          },
          {
            head: 'Mass from',
            words: true,
            cell: (p) => (
              <SelectField
                label={`Source of ${p.name}`}
                value={p.source}
                options={massSources}
                onCommit={(source) => edit(`Source of ${p.name}`, (v) => on(v.parts, p.id, (x) => (x.source = source)))}
              />
            ),
          },
          {
            head: 'In the baseline',
            centred: true,
            cell: (p) =>
              box(`${p.name} is in the baseline`, p.inBaseline, (v, yes) =>
                on(v.parts, p.id, (x) => (x.inBaseline = yes)),
              ),
          },
          {
            head: 'Now',
            words: true,
            cell: (p) => (
              <SelectField
                label={`State of ${p.name}`}
                value={p.state}
                options={partStates}
                onCommit={(state) =>
                  edit(`${p.name} ${state}`, (v) =>
                    on(v.parts, p.id, (x) => {
                      x.state = state;
                      if (state === 'moved') x.movedTo ??= { ...x.at };
                    }),
                  )
                }
              />
            ),
          },
          ...placeColumns((v) => v.parts),
        ]}
        below={(p) => {
          if (p.state !== 'moved' || !p.movedTo) return null;
          const [station, side, height] = placeFields(
            `${p.name} now`,
            p.movedTo,
            (v) => v.parts.find((x) => x.id === p.id)?.movedTo,
          );
          return (
            <tr>
              <td colSpan={5} className="now-at">
                {p.name} is now at
              </td>
              <td>{station}</td>
              <td>{side}</td>
              <td>{height}</td>
              <td />
            </tr>
          );
        }}
      />
    </Panel>
  );
}
