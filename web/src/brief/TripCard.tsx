import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { tows } from '../words/brief';
import { useBriefEdit } from './useBriefEdit';

/** How long and how far between services, and in which weather. */
export function TripCard() {
  const { brief, edit, line } = useBriefEdit();
  const t = brief.trip;
  return (
    <Panel title="The trip">
      <div className="form">
        {line(
          'Nights between services',
          t.nights,
          'plain',
          (b, n) => (b.trip.nights = n),
          'The longest they stay away from all of them',
        )}
        {line('Driven on a usual day', t.dayDistance, 'distance', (b, km) => (b.trip.dayDistance = km))}
        {line(
          'Between fuel',
          t.fuelDistance,
          'distance',
          (b, km) => (b.trip.fuelDistance = km),
          'The longest way between two pumps',
        )}
        {line(
          'Between water',
          t.waterDistance,
          'distance',
          (b, km) => (b.trip.waterDistance = km),
          'Empty: as long as the services',
          true,
        )}
        {line(
          'Between mains power',
          t.mainsDistance,
          'distance',
          (b, km) => (b.trip.mainsDistance = km),
          'Empty: as long as the services',
          true,
        )}
        {line('Coldest night', t.coldest, 'temperature', (b, c) => (b.trip.coldest = c))}
        {line('Hottest day', t.hottest, 'temperature', (b, c) => (b.trip.hottest = c))}
        <Field label="Tows">
          <SelectField
            label="Tows"
            value={t.tows}
            options={tows}
            onCommit={(value) => edit('Tows', (b) => (b.trip.tows = value))}
          />
        </Field>
        {t.tows !== 'never' &&
          line(
            'Mass of the trailer',
            t.trailerMass,
            'mass',
            (b, kg) => (b.trip.trailerMass = kg),
            'Loaded; the ball is entered under Vehicle',
          )}
      </div>
    </Panel>
  );
}
