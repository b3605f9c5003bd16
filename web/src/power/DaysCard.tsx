import { AddButton, RemoveButton } from '../components/ListButtons';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { derived, useDerive } from '../document/useDerive';
import { skies } from '../words/power';
import { ClockField } from './ClockField';
import { SpanStrip } from './SpanStrip';
import { percent, usePower } from './usePower';

/** The days over which power is counted: heat, sun, driving, mains, and what stands between trips. */
export function DaysCard() {
  const { job, electrics, edit, line, tick } = usePower();
  const derive = useDerive();
  const d = electrics.days;
  type Key =
    'count' | 'low' | 'high' | 'latitude' | 'day' | 'clock' | 'driveEvery' | 'mainsEvery' | 'laidUp' | 'vehicleDraw';
  const number = (label: string, key: Key, kind: Parameters<typeof line>[2], hint?: string, zero = false) =>
    line(label, d[key], kind, (e, v) => (e.days[key] = v), hint, zero);
  const own = () =>
    edit('A day that is otherwise', (e) => {
      const day = String(1 + Math.max(0, ...e.days.own.map((o) => Number(o.day))));
      e.days.own.push({ day, drives: false, mains: false, sky: 'overcast' });
    });
  return (
    <Panel
      title="Days and weather"
      className="wide"
      actions={
        job.route.stops.length > 1 && (
          <button
            type="button"
            className="btn btn-sm btn-outline-secondary"
            title="Nights, days that are driven, mains and the coldest night as on the way of Range"
            onClick={() => void derive('Days as on the trip', derived('trip-days'))}
          >
            As on the trip
          </button>
        )
      }
    >
      <div className="days-forms">
        <div className="form">
          {number('Nights', 'count', 'plain', `Empty: those of the brief, ${job.brief.trip.nights}`, true)}
          {tick(
            'Temperatures of the brief',
            'Coldest and hottest as in the brief',
            d.ofBrief,
            (e, v) => (e.days.ofBrief = v),
          )}
          {!d.ofBrief && number('Coldest, at 3 in the morning', 'low', 'temperature')}
          {!d.ofBrief && number('Hottest, at 3 in the afternoon', 'high', 'temperature')}
          <Field label="Sky">
            <SelectField
              label="Sky"
              value={d.sky}
              options={skies}
              onCommit={(sky) => edit('Sky', (e) => (e.days.sky = sky))}
            />
          </Field>
          {d.sky === 'own' &&
            line('Light of a clear sky, %', d.cloud * 100, 'plain', (e, v) => (e.days.cloud = v / 100))}
          {number('Latitude', 'latitude', 'angle', 'Negative in the south')}
          {number('Day of the year', 'day', 'plain', 'It goes on from day to day')}
          {number('Clock ahead of the sun', 'clock', 'time')}
          <Field label="Begins at">
            <ClockField
              label="Begins at"
              value={d.begin}
              onCommit={(h) => edit('Beginning of the days', (e) => (e.days.begin = h))}
            />
          </Field>
        </div>
        <div className="form">
          <Field label="Driven at" hint="Drag the ends; double click adds hours">
            <SpanStrip name="driving" spans={d.drives} pick={(e) => e.days.drives} />
          </Field>
          {number('Driven every … days', 'driveEvery', 'plain', '1: each day; empty: never', true)}
          {number('Mains every … nights', 'mainsEvery', 'plain', 'Empty: never', true)}
          {number('The vehicle’s own draw', 'vehicleDraw', 'current', 'While driving; empty: 30 A', true)}
          {number('Laid up, weeks', 'laidUp', 'plain', 'Between trips', true)}
          {tick(
            'Kept on a charger while laid up',
            'Kept on a charger while laid up',
            d.maintained,
            (e, v) => (e.days.maintained = v),
          )}
        </div>
        <div className="form">
          <b>Days that are otherwise</b>
          {d.own.map((o) => (
            <div key={o.day} className="own-day">
              <span>Day {o.day}</span>
              <SelectField
                label={`Sky of day ${o.day}`}
                value={o.sky}
                options={[{ value: '' as const, label: 'Usual sky' }, ...skies]}
                onCommit={(sky) =>
                  edit(`Day ${o.day}`, (e) => e.days.own.filter((x) => x.day === o.day).forEach((x) => (x.sky = sky)))
                }
              />
              {tick(`Day ${o.day} is driven`, 'driven', o.drives, (e, v) =>
                e.days.own.filter((x) => x.day === o.day).forEach((x) => (x.drives = v)),
              )}
              {tick(`Day ${o.day} has mains`, 'mains', o.mains, (e, v) =>
                e.days.own.filter((x) => x.day === o.day).forEach((x) => (x.mains = v)),
              )}
              <RemoveButton
                label={`Day ${o.day} as usual`}
                onClick={() =>
                  edit(`Day ${o.day} as usual`, (e) => (e.days.own = e.days.own.filter((x) => x.day !== o.day)))
                }
              />
            </div>
          ))}
          <AddButton label="Add a day" onClick={own} />
          <p className="hint">
            Clear, mixed and overcast are {percent(1)}, {percent(0.6)} and {percent(0.25)} of a clear sky’s light.
            Estimates.
          </p>
        </div>
      </div>
    </Panel>
  );
}
