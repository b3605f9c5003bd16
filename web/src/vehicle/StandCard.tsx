import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { formatQuantity } from '../quantity/format';
import { useVehicleEdit } from './useVehicleEdit';

/** How the vehicle stands in the state shown, and what it clears. */
export function StandCard() {
  const { job, vehicle, assessment, edit, placeColumns } = useVehicleEdit();
  const ride = assessment?.ride;
  const mm = (value: number) => formatQuantity(value, 'length', job.units);
  const deg = (value: number) => formatQuantity(value, 'angle', job.units);
  const angles = ride
    ? ([
        ['Approach', ride.angles.approach],
        ['Ramp-over', ride.angles.rampOver],
        ['Departure', ride.angles.departure],
      ] as const)
    : [];
  const add = () =>
    edit('Add low point', (v) =>
      v.lowPoints.push({
        id: newId(v.lowPoints, 'point'),
        name: 'New low point',
        at: { x: v.wheelbase + v.outline.rearOverhang, y: 0, z: 500 },
        behind: false,
      }),
    );
  return (
    <Panel
      title="How it stands"
      className="wide"
      note="Loaded as shown, against unladen; an estimate"
      actions={<AddButton label="Add low point" onClick={add} />}
    >
      {ride?.known ? (
        <dl className="stand">
          {(
            [
              ['Front', ride.front],
              ['Rear', ride.rear],
            ] as const
          ).map(([label, h]) => (
            <div key={label} data-stand={label.toLowerCase()}>
              <dt>{label}</dt>
              <dd>
                <span className="figure">{mm(Math.abs(h.drop))}</span> {h.drop < 0 ? 'up' : 'down'}
                {h.bumpKnown && (
                  <>
                    , <span className="figure">{mm(Math.max(0, h.bump))}</span> to the stop
                  </>
                )}
              </dd>
            </div>
          ))}
          <div data-stand="rake">
            <dt>Rake</dt>
            <dd>
              <span className="figure">{deg(Math.abs(ride.rake))}</span> {ride.rake < 0 ? 'nose down' : 'nose up'}
            </dd>
          </div>
          {angles
            .filter(([, a]) => a.known)
            .map(([label, a]) => (
              <div key={label} data-stand={label.toLowerCase()}>
                <dt>{label}</dt>
                <dd title="With the rake carried out to the point">
                  <span className="figure">{deg(a.loaded)}</span>, unladen{' '}
                  <span className="figure">{deg(a.unladen)}</span>
                  {a.withRake < a.loaded - 0.05 && (
                    <>
                      , with the rake <span className="figure">{deg(a.withRake)}</span>
                    </>
                  )}
                </dd>
              </div>
            ))}
        </dl>
      ) : (
        <p className="empty">
          Enter the spring rate of both axles above; ride height, rake and what it clears appear here.
        </p>
      )}
      <ThingTable
        label="Low points"
        what="Low point"
        things={vehicle.lowPoints}
        empty="No low points. Add the lowest edges ahead of, between and behind the axles for approach, ramp-over and departure."
        onRename={(p, name) =>
          edit(`Name of ${p.name}`, (v) => on(v.lowPoints, p.id, (x) => (x.name = name)), `low point ${p.id}`)
        }
        onRemove={(p) => edit(`Remove ${p.name}`, (v) => drop(v.lowPoints, p.id))}
        columns={placeColumns((v) => v.lowPoints)}
      />
    </Panel>
  );
}
