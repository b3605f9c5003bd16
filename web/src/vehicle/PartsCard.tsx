import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import type { Part } from '../api/types';
import { drop, newId, on } from '../document/things';
import { massSources, partStates } from '../words/words';
import { forgetPart } from './ticketEdits';
import { useVehicleEdit } from './useVehicleEdit';

const none = { length: 0, width: 0, height: 0 };
const columns = 10;
const takesRoom = (p: Part) => Math.max(p.size.length, p.size.width, p.size.height) > 0;

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
        size: { ...none },
        inBaseline: false,
        state: 'fitted',
        source: 'estimate',
        behind: false,
      });
    });
  const nowAt = (p: Part) => {
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
        <td colSpan={2} />
      </tr>
    );
  };
  const side = (p: Part, key: keyof Part['size'], how: string) =>
    input(`${how} ${p.name} is`, p.size[key], 'length', (v, mm) => on(v.parts, p.id, (x) => (x.size[key] = mm)), true);
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
          {
            head: 'In the way',
            title: 'It takes room where the fitout could stand: a spare wheel under the floor, a jack, a step',
            centred: true,
            cell: (p) =>
              box(`${p.name} is in the way`, takesRoom(p), (v, yes) =>
                on(v.parts, p.id, (x) => {
                  const across = 2 * v.tyreRadius;
                  x.size = yes ? { length: across, width: across, height: v.tyreWidth || 250 } : { ...none };
                }),
              ),
          },
        ]}
        below={(p) => (
          <>
            {nowAt(p)}
            {takesRoom(p) && (
              <tr>
                <td colSpan={columns}>
                  <div className="more-line">
                    <span>{p.name} takes up: long</span>
                    {side(p, 'length', 'How long')}
                    <span>broad</span>
                    {side(p, 'width', 'How broad')}
                    <span>high</span>
                    {side(p, 'height', 'How high')}
                    <span>{unit('length')}, about its place</span>
                  </div>
                </td>
              </tr>
            )}
          </>
        )}
      />
    </Panel>
  );
}
