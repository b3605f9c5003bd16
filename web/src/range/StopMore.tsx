import type { RouteStop } from '../api/types';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { TextArea } from '../components/TextArea';
import { towings, weekdays } from '../words/range';
import { useRange } from './useRange';

/** What else there is to say of a stop, and of the leg that leads on from it. */
export function StopMore({ stop }: { stop: RouteStop }) {
  const { job, edit, line, tick } = useRange();
  const of = (change: (s: RouteStop, v: number) => void) => (r: typeof job.route, v: number) => {
    for (const s of r.stops) if (s.id === stop.id) change(s, v);
  };
  const set = (label: string, change: (s: RouteStop) => void) =>
    edit(`${label} of ${stop.name}`, (r) => {
      for (const s of r.stops) if (s.id === stop.id) change(s);
    });
  const surfaces = job.brief.surfaces;
  return (
    <div className="stop-more days-forms">
      <div className="form">
        <b>Here</b>
        {tick(`Water at ${stop.name} is for washing only`, 'Water for washing only', stop.wash, (r, v) => {
          for (const s of r.stops) if (s.id === stop.id) s.wash = v;
        })}
        <Field label="Coldest night">
          <ColdField stop={stop} />
        </Field>
        <Field label="Closed on">
          <span className="stop-days">
            {weekdays
              .filter((d) => d.value !== '')
              .map((d) => (
                <label key={d.value} className="stop-has">
                  <input
                    type="checkbox"
                    className="form-check-input"
                    aria-label={`${stop.name} is closed on ${d.label}`}
                    checked={stop.closed.some((c) => c.day === d.value)}
                    onChange={(event) =>
                      set('Closed days', (s) => {
                        s.closed = s.closed.filter((c) => c.day !== d.value);
                        if (event.target.checked && d.value !== '') s.closed.push({ day: d.value });
                      })
                    }
                  />
                  {d.label.slice(0, 2)}
                </label>
              ))}
          </span>
        </Field>
        <Field label="Note">
          <TextArea
            label={`Note of ${stop.name}`}
            value={stop.note}
            maxLength={1000}
            onCommit={(note) => set('Note', (s) => (s.note = note))}
          />
        </Field>
      </div>
      <div className="form">
        <b>The leg from here</b>
        {line(
          ['Driving', `Driving from ${stop.name}`],
          stop.leg.hours,
          'time',
          of((s, v) => (s.leg.hours = v)),
          'Empty: not said',
          true,
        )}
        {line(
          ['Engine standing', `Engine standing after ${stop.name}`],
          stop.leg.idle,
          'time',
          of((s, v) => (s.leg.idle = v)),
          undefined,
          true,
        )}
        {line(
          ['Head wind, % more fuel', `Head wind after ${stop.name}`],
          stop.leg.wind * 100,
          'plain',
          of((s, v) => (s.leg.wind = v / 100)),
          undefined,
          true,
        )}
        <Field label="Trailer">
          <SelectField
            label={`Trailer after ${stop.name}`}
            value={stop.leg.towing}
            options={towings}
            onCommit={(towing) => set('Trailer', (s) => (s.leg.towing = towing))}
          />
        </Field>
      </div>
      <div className="form">
        <b>Surfaces of the leg, %</b>
        {surfaces.map((surface) => {
          const own = stop.leg.surfaces.find((s) => s.surface === surface.id);
          return (
            <Field key={surface.id} label={surface.name}>
              <QuantityField
                label={`${surface.name} after ${stop.name}`}
                value={own?.share ?? 0}
                kind="plain"
                system={job.units}
                emptyForZero
                onCommit={(share) =>
                  set('Surfaces', (s) => {
                    s.leg.surfaces = s.leg.surfaces.filter((x) => x.surface !== surface.id);
                    if (share > 0) s.leg.surfaces.push({ surface: surface.id, share });
                  })
                }
              />
            </Field>
          );
        })}
        <p className="hint">All empty: the mix of the brief.</p>
      </div>
    </div>
  );
}

/** The coldest night of a stop; empty for that of the brief. */
function ColdField({ stop }: { stop: RouteStop }) {
  const { job, edit } = useRange();
  const set = (cold: RouteStop['cold']) =>
    edit(`Coldest night at ${stop.name}`, (r) => {
      for (const s of r.stops)
        if (s.id === stop.id) {
          if (cold) s.cold = cold;
          else delete s.cold;
        }
    });
  if (!stop.cold)
    return (
      <button type="button" className="chip" onClick={() => set({ night: Math.round(job.brief.trip.coldest) })}>
        Say another than the brief’s
      </button>
    );
  return (
    <span className="stop-cold">
      <QuantityField
        label={`Coldest night at ${stop.name}`}
        value={stop.cold.night}
        kind="temperature"
        system={job.units}
        onCommit={(night) => set({ night })}
      />
      <button type="button" className="chip" onClick={() => set(undefined)}>
        As in the brief
      </button>
    </span>
  );
}
