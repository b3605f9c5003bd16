import { Panel } from '../components/Panel';
import { useVehicleEdit } from './useVehicleEdit';

/** A wheelbase extension, fitted or planned. */
export function ExtensionCard() {
  const { vehicle, edit, line } = useVehicleEdit();
  const e = vehicle.extension;
  return (
    <Panel title="Wheelbase extension">
      <div className="form">
        <label className="switch-line">
          <input
            type="checkbox" role="switch" className="form-check-input" checked={e !== undefined}
            onChange={(event) => edit(event.target.checked ? 'Add wheelbase extension' : 'Remove wheelbase extension', (v) => {
              if (event.target.checked) v.extension = { by: 300, cut: v.outline.headboard, section: 0, behindCut: 0, certificated: false };
              else delete v.extension;
            })}
          />
          Extended, or planned to be
        </label>
        {e && (
          <>
            {line('Extended by', e.by, 'length', (v, mm) => v.extension && (v.extension.by = mm))}
            {line('Cut, behind front axle', e.cut, 'length', (v, mm) => v.extension && (v.extension.cut = mm))}
            {line('Mass of the section let in', e.section, 'mass', (v, kg) => v.extension && (v.extension.section = kg))}
            {line('Dry mass behind the cut', e.behindCut, 'mass', (v, kg) => v.extension && (v.extension.behindCut = kg), 'Rear axle, springs and what else moves')}
            <label className="switch-line">
              <input type="checkbox" className="form-check-input" checked={e.certificated} onChange={(event) => edit('Certificate', (v) => v.extension && (v.extension.certificated = event.target.checked))} />
              An engineer’s certificate exists
            </label>
            <fieldset>
              <legend>Moves rearward with the axle</legend>
              {[...vehicle.tanks, ...vehicle.parts].map((thing) => (
                <label key={thing.id} className="switch-line">
                  <input
                    type="checkbox" className="form-check-input" checked={thing.behind}
                    onChange={(event) => edit(`${thing.name} moves with the axle`, (v) => [...v.tanks, ...v.parts].filter((t) => t.id === thing.id).forEach((t) => (t.behind = event.target.checked)))}
                  />
                  {thing.name}
                </label>
              ))}
            </fieldset>
            <small className="hint">Items that move are marked under Load, Item. Structural work belongs to certified people under local rules.</small>
          </>
        )}
      </div>
    </Panel>
  );
}
