import type { Job, Point } from '../api/types';
import { Panel } from '../components/Panel';
import { chosenVariant } from '../document/SessionContext';
import { useVehicleEdit } from './useVehicleEdit';

interface Movable {
  id: string;
  name: string;
  at: Point;
  behind: boolean;
}

/** Everything that may move with the axle, by the list that it is in. */
function movables(job: Job): { label: string; things: Movable[] }[] {
  const { tanks, parts, modifications, bays, mounts, lowPoints } = job.vehicle;
  return [
    { label: 'Of the vehicle', things: [...tanks, ...parts, ...modifications] },
    { label: 'Spaces and points', things: [...bays, ...mounts, ...lowPoints] },
    { label: 'Load', things: chosenVariant(job).items.filter((item) => item.seat === '') },
  ].filter(({ things }) => things.length > 0);
}

/** A wheelbase extension, fitted or planned. */
export function ExtensionCard() {
  const { vehicle, edit, line } = useVehicleEdit();
  const e = vehicle.extension;
  return (
    <Panel title="Wheelbase extension" {...(e ? { className: 'wide' } : {})}>
      <div className="form">
        <label className="switch-line">
          <input
            type="checkbox"
            role="switch"
            className="form-check-input"
            checked={e !== undefined}
            onChange={(event) =>
              edit(event.target.checked ? 'Add wheelbase extension' : 'Remove wheelbase extension', (v) => {
                if (event.target.checked)
                  v.extension = { by: 300, cut: v.outline.headboard, section: 0, behindCut: 0, certificated: false };
                else delete v.extension;
              })
            }
          />
          Extended, or planned to be
        </label>
        {e && (
          <>
            <div className="form-wide">
              {line('Extended by', e.by, 'length', (v, mm) => v.extension && (v.extension.by = mm))}
              {line('Cut, behind front axle', e.cut, 'length', (v, mm) => v.extension && (v.extension.cut = mm))}
              {line(
                'Mass of the section let in',
                e.section,
                'mass',
                (v, kg) => v.extension && (v.extension.section = kg),
              )}
              {line(
                'Dry mass behind the cut',
                e.behindCut,
                'mass',
                (v, kg) => v.extension && (v.extension.behindCut = kg),
                'Rear axle, springs and what else moves',
              )}
            </div>
            <label className="switch-line">
              <input
                type="checkbox"
                className="form-check-input"
                checked={e.certificated}
                onChange={(event) =>
                  edit('Certificate', (v) => v.extension && (v.extension.certificated = event.target.checked))
                }
              />
              An engineer’s certificate exists
            </label>
            <WhatMoves cut={e.cut} />
            <small className="hint">Structural work belongs to certified people under local rules.</small>
          </>
        )}
      </div>
    </Panel>
  );
}

/** Asks of each thing whether its mounting moves rearward with the axle. */
function WhatMoves({ cut }: { cut: number }) {
  const { job, edit } = useVehicleEdit();
  return (
    <>
      <div className="sheet-head moves-head">
        <h3>Moves rearward with the axle</h3>
        <div className="sheet-actions">
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            onClick={() =>
              edit('What stands behind the cut moves', (_, j) =>
                movables(j).forEach(({ things }) => things.forEach((t) => (t.behind = t.at.x > cut))),
              )
            }
          >
            All that stand behind the cut
          </button>
        </div>
      </div>
      {movables(job).map(({ label, things }) => (
        <fieldset key={label} className="moves">
          <legend>{label}</legend>
          {things.map((thing) => (
            <label key={thing.id} className="switch-line">
              <input
                type="checkbox"
                className="form-check-input"
                checked={thing.behind}
                onChange={(event) =>
                  edit(`${thing.name} moves with the axle`, (_, j) =>
                    movables(j)
                      .filter((m) => m.label === label)
                      .forEach((m) =>
                        m.things.filter((t) => t.id === thing.id).forEach((t) => (t.behind = event.target.checked)),
                      ),
                  )
                }
              />
              {thing.name}
            </label>
          ))}
        </fieldset>
      ))}
    </>
  );
}
