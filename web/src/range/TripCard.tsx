import { Link } from 'react-router';

import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { weekdays } from '../words/range';
import { useRange } from './useRange';

/** What holds for the whole way: the reserve, and what consumption follows. */
export function TripCard() {
  const { job, route, edit, line, say } = useRange();
  const a = job.brief.assumptions;
  return (
    <Panel title="On the whole way" className="wide" note="Consumption and factors are the brief’s">
      <div className="days-forms">
        <div className="form">
          <Field label="Begins on" hint="For stops that are closed on some days">
            <SelectField
              label="Begins on"
              value={route.begins}
              options={weekdays}
              onCommit={(day) => edit('Day of the start', (r) => (r.begins = day))}
            />
          </Field>
          {line(
            'Reserve, way',
            route.reserve.distance,
            'distance',
            (r, v) => (r.reserve.distance = v),
            'At what the leg takes',
            true,
          )}
          {line(
            'Reserve, % of the tanks',
            route.reserve.share * 100,
            'plain',
            (r, v) => (r.reserve.share = v / 100),
            `The most counts of these and the brief’s ${say(a.fuelReserve, 'volume')}`,
            true,
          )}
        </div>
        <div className="form">
          {line(
            'Consumption holds at',
            route.mass,
            'mass',
            (r, v) => (r.mass = v),
            'The gross at which it was found; empty: mass changes nothing',
            true,
          )}
          {line(
            'Part that follows the mass',
            route.byMass,
            'plain',
            (r, v) => (r.byMass = v),
            '0.3 in practice; 0 turns it off',
          )}
          {line('Engine standing, an hour', route.idle, 'volume', (r, v) => (r.idle = v))}
        </div>
        <div className="form">
          {line(
            'Consumption',
            a.consumption,
            'consumption',
            (_, v, j) => (j.brief.assumptions.consumption = v),
            'Loaded, on a sealed road',
          )}
          {line('With the trailer ×', a.towFactor, 'plain', (_, v, j) => (j.brief.assumptions.towFactor = v))}
          {line('Fuel in reserve', a.fuelReserve, 'volume', (_, v, j) => (j.brief.assumptions.fuelReserve = v))}
          <p className="hint">
            Surfaces and what each takes stand in the <Link to={`/jobs/${job.id}/brief`}>brief</Link>.
          </p>
        </div>
      </div>
    </Panel>
  );
}
