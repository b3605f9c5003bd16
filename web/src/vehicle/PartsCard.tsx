import { Fragment } from 'react';

import { AddButton, RemoveButton, RemoveHead } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { newId } from '../load/itemEdits';
import { massSources, partStates } from '../words/words';
import { NameCell, onThing } from './NameCell';
import { useVehicleEdit } from './useVehicleEdit';

/** Parts of the vehicle that change it: taken off, moved, or added. */
export function PartsCard() {
  const { vehicle, edit, input, placeCells, placeHeads, unit } = useVehicleEdit();
  const add = () =>
    edit('Add part', (v) => {
      v.parts.push({ id: newId(v.parts.map((p) => p.id), 'part'), name: 'New part', mass: 0, at: { x: v.wheelbase, y: 0, z: v.outline.floorHeight }, inBaseline: false, state: 'fitted', source: 'estimate', behind: false });
    });
  return (
    <Panel
      title="Parts" className="wide" note="A part that the empty mass already contains is never added twice"
      actions={<AddButton label="Add part" onClick={add} />}
    >
      {vehicle.parts.length === 0 ? (
        <p className="empty">No parts listed. Add what is taken off (tub, seats), moved (spare wheel) or added (bull bar) against the empty figure.</p>
      ) : (
        <table className="sheet-table parts-table" aria-label="Parts">
          <thead>
            <tr>
              <th scope="col">Part</th>
              <th scope="col">Mass {unit('mass')}</th>
              <th scope="col">Mass from</th>
              <th scope="col">In the baseline</th>
              <th scope="col">Now</th>
              {placeHeads}
              <RemoveHead />
            </tr>
          </thead>
          <tbody>
            {vehicle.parts.map((part) => (
              <Fragment key={part.id}>
              <tr data-part={part.id}>
                <NameCell list="parts" thing={part} />
                <td>{input(`Mass of ${part.name}`, part.mass, 'mass', (v, kg) => onThing('parts', part.id, (p) => (p.mass = kg))(v))}</td>
                <td>
                  <SelectField label={`Source of ${part.name}`} value={part.source} options={massSources} onCommit={(source) => edit(`Source of ${part.name}`, onThing('parts', part.id, (p) => (p.source = source)))} />
                </td>
                <td className="centred">
                  <input type="checkbox" className="form-check-input" aria-label={`${part.name} is in the baseline`} checked={part.inBaseline} onChange={(event) => edit(`${part.name} in the baseline`, onThing('parts', part.id, (p) => (p.inBaseline = event.target.checked)))} />
                </td>
                <td>
                  <SelectField
                    label={`State of ${part.name}`} value={part.state} options={partStates}
                    onCommit={(state) => edit(`${part.name} ${state}`, onThing('parts', part.id, (p) => {
                      p.state = state;
                      if (state === 'moved') p.movedTo ??= { ...p.at };
                    }))}
                  />
                </td>
                {placeCells(part.name, part.at, (v) => v.parts.find((p) => p.id === part.id)?.at)}
                <td>
                  <RemoveButton label={`Remove ${part.name} from the list`} onClick={() => edit(`Remove ${part.name}`, (v) => (v.parts = v.parts.filter((p) => p.id !== part.id)))} />
                </td>
              </tr>
              {part.state === 'moved' && part.movedTo && (
                <tr>
                  <td colSpan={5} className="now-at">
                    {part.name} is now at
                  </td>
                  {placeCells(`${part.name} now`, part.movedTo, (v) => v.parts.find((p) => p.id === part.id)?.movedTo)}
                  <td />
                </tr>
              )}
              </Fragment>
            ))}
          </tbody>
        </table>
      )}
    </Panel>
  );
}
