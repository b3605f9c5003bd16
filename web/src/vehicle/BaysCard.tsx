import { Link } from 'react-router';
import { useState } from 'react';

import type { Bay, Vehicle } from '../api/types';
import { Field } from '../components/Field';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { formatNumber } from '../quantity/format';
import { useBayKinds } from '../words/bayKinds';
import { faces, hinges, obstacleKinds, sides } from '../words/vehicle';
import { labelOf } from '../words/words';
import { OpeningsCard } from './OpeningsCard';
import { WallsCard } from './WallsCard';
import { useVehicleEdit } from './useVehicleEdit';

/** Kinds that have no walls and no door. */
const bare: readonly Bay['kind'][] = ['roof', 'rear-wall', 'between-rails'];
/** Kinds as long as the load space of the body. */
const onBody: readonly Bay['kind'][] = ['canopy-left', 'canopy-right', 'canopy-rear'];
/** Kinds with wheel arches to ask for. */
const arched: readonly Bay['kind'][] = ['tub', 'wagon-cargo'];

function fresh(v: Vehicle, kind: Bay['kind'], name: string): Bay {
  const { outline } = v;
  // What the body says of it already: how long the load space is, and which half is whose.
  const known = onBody.includes(kind);
  const length = known ? Math.max(0, Math.round(v.wheelbase + outline.rearOverhang - outline.headboard)) : 0;
  const side = kind === 'canopy-left' ? -1 : kind === 'canopy-right' ? 1 : 0;
  const width = outline.width > 0 ? outline.width : Math.max(v.trackFront, v.trackRear) + 280;
  const across = side !== 0 && outline.width > 0 ? Math.round(outline.width / 2) : 0;
  const arch = (side: 'left' | 'right') => ({
    id: `arch-${side}`,
    name: `${side === 'left' ? 'Left' : 'Right'} arch`,
    kind: 'wheel-arch' as const,
    side,
    front: 0,
    inset: 0,
    above: 0,
    length: 0,
    width: 0,
    height: 0,
  });
  return {
    id: newId(v.bays, kind),
    name,
    kind,
    at: { x: outline.headboard, y: (side * width) / 4, z: kind === 'roof' ? outline.height : outline.floorHeight },
    behind: false,
    more: [],
    tiltAlong: 0,
    tiltAcross: 0,
    levelled: false,
    lengthLeft: length,
    lengthRight: length,
    lengthTop: 0,
    widthFront: across,
    widthRear: across,
    betweenArches: 0,
    heightFront: 0,
    heightRear: 0,
    diagonalLeft: 0,
    diagonalRight: 0,
    opening: bare.includes(kind)
      ? { face: 'none', width: 0, height: 0, sill: 0, hinge: 'none', swing: 0 }
      : {
          face: kind === 'canopy-left' ? 'left' : kind === 'canopy-right' ? 'right' : 'rear',
          width: 0,
          height: 0,
          sill: 0,
          hinge: 'top',
          swing: 90,
        },
    obstacles: arched.includes(kind) ? [arch('left'), arch('right')] : [],
    walls: [],
    rating: 0,
    ratingParked: 0,
    sealed: false,
    heated: false,
    insulated: false,
    lockable: false,
    shared: false,
    note: '',
  };
}

/** The measured spaces: a list to pick from, and the one that is picked. */
export function BaysCard({ picked, onPick }: { picked: string | undefined; onPick: (id: string) => void }) {
  const { vehicle, job, assessment, edit, unit } = useVehicleEdit();
  const kinds = useBayKinds(job.region);
  const [kind, setKind] = useState<Bay['kind']>(
    vehicle.outline.body === 'wagon' ? 'wagon-cargo' : vehicle.outline.body === 'tub' ? 'tub' : 'canopy-left',
  );
  const add = () => {
    const bay = fresh(vehicle, kind, labelOf(kinds, kind));
    edit('Add space', (v) => v.bays.push(bay));
    onPick(bay.id);
  };
  const bay = vehicle.bays.find((b) => b.id === picked) ?? vehicle.bays[0];
  return (
    <Panel
      title="Spaces to build in"
      className="wide"
      note="Each measured by itself"
      actions={
        <>
          <SelectField label="Kind of space" value={kind} options={kinds} onCommit={setKind} />
          <AddButton label="Add space" onClick={add} />
        </>
      }
    >
      {vehicle.bays.length === 0 ? (
        <p className="empty">
          No space measured yet. Add the tub, canopy or cargo area, then take its measures with the sheet.
        </p>
      ) : (
        <div className="bay-list" role="group" aria-label="Spaces">
          {vehicle.bays.map((b) => {
            const f = assessment?.bays.find((x) => x.id === b.id);
            const doubts =
              assessment?.findings.filter(
                (x) => x.subject.kind === 'bay' && x.subject.id === b.id && x.severity !== 'note',
              ).length ?? 0;
            return (
              <button
                key={b.id}
                type="button"
                className="bay-chip"
                aria-pressed={b.id === bay?.id}
                onClick={() => onPick(b.id)}
                data-thing={b.id}
              >
                <b>{b.name}</b>
                {f && f.box.length > 0 && (
                  <span className="figure">
                    {[f.box.length, f.box.width, f.box.height]
                      .filter((mm) => mm > 0)
                      .map((mm) => formatNumber(mm, 'length', job.units))
                      .join(' × ')}{' '}
                    {unit('length')}
                  </span>
                )}
                <small>
                  {f ? `${f.taken} of ${f.measures} measured` : ''}
                  {doubts > 0 && <span className="state-over"> · {doubts} to look at</span>}
                </small>
              </button>
            );
          })}
        </div>
      )}
      {bay && <OneBay key={bay.id} bay={bay} />}
    </Panel>
  );
}

function OneBay({ bay }: { bay: Bay }) {
  const { job, edit, line, tick, text, input, unit } = useVehicleEdit();
  const kinds = useBayKinds(job.region);
  const own = (change: (b: Bay) => void) => (v: Vehicle) => on(v.bays, bay.id, change);
  const obstacle = (id: string, change: (o: Bay['obstacles'][number]) => void) =>
    own((b) => on(b.obstacles, id, change));
  const flag = (key: 'sealed' | 'heated' | 'insulated' | 'lockable' | 'shared', words: string) =>
    tick(`${bay.name} ${words.toLowerCase()}`, words, bay[key], (v, yes) => own((b) => (b[key] = yes))(v));
  const sized =
    (key: 'front' | 'inset' | 'above' | 'length' | 'width' | 'height', label: string) =>
    (o: Bay['obstacles'][number]) =>
      input(`${label} of ${o.name}`, o[key], 'length', (v, mm) => obstacle(o.id, (x) => (x[key] = mm))(v));
  const addObstacle = () =>
    edit(
      'Add obstacle',
      own((b) =>
        b.obstacles.push({
          id: newId(b.obstacles, 'obstacle'),
          name: 'New obstacle',
          kind: 'other',
          side: 'left',
          front: 0,
          inset: 0,
          above: 0,
          length: 0,
          width: 0,
          height: 0,
        }),
      ),
    );
  return (
    <div className="one-bay" data-one-bay={bay.id}>
      <header className="sheet-head">
        <h3>{bay.name}</h3>
        <div className="sheet-actions">
          <Link className="btn btn-sm btn-primary" to={`/jobs/${job.id}/vehicle/measure/${bay.id}`}>
            <i className="bi bi-rulers" aria-hidden /> Measuring sheet
          </Link>
          <RemoveButton
            label={`Remove ${bay.name}`}
            onClick={() =>
              edit(`Remove ${bay.name}`, (v, j) => {
                drop(v.bays, bay.id);
                for (const item of j.variants.flatMap((variant) => variant.items))
                  if (item.bay === bay.id) item.bay = '';
              })
            }
          />
        </div>
      </header>
      <div className="form form-wide">
        <Field label="Name">
          {text('Name of the space', bay.name, (v, name) => own((b) => (b.name = name))(v), 120, true)}
        </Field>
        <Field label="Kind">
          <SelectField
            label="Kind of this space"
            value={bay.kind}
            options={kinds}
            onCommit={(kind) =>
              edit(
                'Kind of space',
                own((b) => (b.kind = kind)),
              )
            }
          />
        </Field>
        {line('Front of it, behind the front axle', bay.at.x, 'length', (v, mm) => own((b) => (b.at.x = mm))(v))}
        {line(
          'Its middle, right of centre',
          bay.at.y,
          'length',
          (v, mm) => own((b) => (b.at.y = mm))(v),
          'Left is negative',
        )}
        <Field label="Door in the face">
          <SelectField
            label="Door in the face"
            value={bay.opening.face}
            options={faces}
            onCommit={(face) =>
              edit(
                'Door',
                own((b) => (b.opening.face = face)),
              )
            }
          />
        </Field>
        <Field label="Door hangs">
          <SelectField
            label="Door hangs"
            value={bay.opening.hinge}
            options={hinges}
            onCommit={(hinge) =>
              edit(
                'Hinge',
                own((b) => (b.opening.hinge = hinge)),
              )
            }
          />
        </Field>
        {line('Door opens by', bay.opening.swing, 'angle', (v, a) => own((b) => (b.opening.swing = a))(v))}
        {line('Carries, moving', bay.rating, 'mass', (v, kg) => own((b) => (b.rating = kg))(v), 'Its own rating', true)}
        {line(
          'Carries, parked',
          bay.ratingParked,
          'mass',
          (v, kg) => own((b) => (b.ratingParked = kg))(v),
          undefined,
          true,
        )}
        <Field label="Note">
          {text(`Note on ${bay.name}`, bay.note, (v, note) => own((b) => (b.note = note))(v), 1000)}
        </Field>
        <div className="flags">
          {flag('sealed', 'Sealed')}
          {flag('heated', 'Heated')}
          {flag('insulated', 'Insulated')}
          {flag('lockable', 'Lockable')}
          {flag('shared', 'Shared with people')}
        </div>
      </div>
      <div className="sheet-head">
        <h3>What stands in it</h3>
        <span className="hint">Arches, struts, lips, steps</span>
        <div className="sheet-actions">
          <AddButton label="Add obstacle" onClick={addObstacle} />
        </div>
      </div>
      <ThingTable
        label="Obstacles"
        what="Obstacle"
        things={bay.obstacles}
        empty="Nothing stands in it."
        onRename={(o, name) =>
          edit(
            `Name of ${o.name}`,
            obstacle(o.id, (x) => (x.name = name)),
            `obstacle ${o.id}`,
          )
        }
        onRemove={(o) =>
          edit(
            `Remove ${o.name}`,
            own((b) => drop(b.obstacles, o.id)),
          )
        }
        columns={[
          {
            head: 'Kind',
            words: true,
            cell: (o) => (
              <SelectField
                label={`Kind of ${o.name}`}
                value={o.kind}
                options={obstacleKinds}
                onCommit={(kind) =>
                  edit(
                    `Kind of ${o.name}`,
                    obstacle(o.id, (x) => (x.kind = kind)),
                  )
                }
              />
            ),
          },
          {
            head: 'Side',
            words: true,
            cell: (o) => (
              <SelectField
                label={`Side of ${o.name}`}
                value={o.side}
                options={sides}
                onCommit={(side) =>
                  edit(
                    `Side of ${o.name}`,
                    obstacle(o.id, (x) => (x.side = side)),
                  )
                }
              />
            ),
          },
          { head: `Behind front ${unit('length')}`, cell: sized('front', 'Behind the front') },
          { head: 'Off wall', cell: sized('inset', 'Off the wall') },
          { head: 'Above', cell: sized('above', 'Above the floor') },
          { head: 'Long', cell: sized('length', 'Length') },
          { head: 'Wide', cell: sized('width', 'Width') },
          { head: 'High', cell: sized('height', 'Height') },
        ]}
      />
      <OpeningsCard bay={bay} />
      <WallsCard bay={bay} />
    </div>
  );
}
