import { useState } from 'react';

import type { RouteStop } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { newId } from '../document/things';
import { sureness, waters } from '../words/range';
import { derived } from '../document/useDerive';
import { FuelFields } from './FuelFields';
import { StopMore } from './StopMore';
import { useRange } from './useRange';

/** Every stop with what it has, and the leg that leads on from it. */
export function StopsCard() {
  const { route, typed, view, edit, input, derive, say, unit } = useRange();
  const [open, setOpen] = useState('');
  const add = (after: number) =>
    edit('Add stop', (r) => {
      const id = newId(r.stops, 'stop');
      const stop: RouteStop = {
        id,
        name: 'New stop',
        sure: 'sure',
        closed: [],
        fuels: [],
        water: 'none',
        wash: false,
        gas: false,
        mains: false,
        food: false,
        dump: false,
        shower: false,
        nights: 0,
        note: '',
        leg: { km: 0, hours: 0, surfaces: [], wind: 0, towing: '', idle: 0 },
      };
      r.stops.splice(after + 1, 0, stop);
      setOpen(id);
    });
  if (!typed)
    return (
      <Panel title="Stops" className="wide">
        <p className="empty">
          Nobody has entered the way yet. Begin with what the brief says,{' '}
          {say(view?.points.at(-1)?.km ?? 0, 'distance')} and {Math.max(0, (view?.days ?? 1) - 1)} nights, and add
          stops; or read a GPX on the sheet Way.
        </p>
        <button
          type="button"
          className="btn btn-primary"
          onClick={() => void derive('Enter the way', derived('route-of-brief'))}
        >
          Begin with the brief
        </button>
      </Panel>
    );
  return (
    <Panel
      title="Stops"
      className="wide"
      note="In the order of the way; what a stop has, and how sure that is"
      actions={<AddButton label="Add stop at the end" onClick={() => add(route.stops.length - 1)} />}
    >
      <ol className="stops">
        {route.stops.map((stop, i) => {
          const at = view?.stops[i];
          const set = (change: (s: RouteStop) => void) => (r: typeof route) => {
            for (const s of r.stops) if (s.id === stop.id) change(s);
          };
          const tick = (label: string, key: 'gas' | 'mains' | 'food' | 'dump' | 'shower') => (
            <label className="stop-has">
              <input
                type="checkbox"
                className="form-check-input"
                aria-label={`${label} at ${stop.name}`}
                checked={stop[key]}
                onChange={(event) =>
                  edit(
                    `${label} at ${stop.name}`,
                    set((s) => (s[key] = event.target.checked)),
                  )
                }
              />
              {label}
            </label>
          );
          return (
            <li key={stop.id} data-thing={stop.id} className={`stop stop-${stop.sure}`}>
              <div className="stop-head">
                <button
                  type="button"
                  className="icon-button"
                  aria-expanded={open === stop.id}
                  aria-label={`More of ${stop.name}`}
                  onClick={() => setOpen(open === stop.id ? '' : stop.id)}
                >
                  <i className={`bi bi-chevron-${open === stop.id ? 'down' : 'right'}`} aria-hidden />
                </button>
                <span className="stop-number figure">{i + 1}</span>
                <TextField
                  label={`Name of stop ${i + 1}`}
                  value={stop.name}
                  maxLength={120}
                  required
                  onCommit={(name) =>
                    edit(
                      'Name of a stop',
                      set((s) => (s.name = name)),
                      `stop ${stop.id}`,
                    )
                  }
                />
                <span className="hint figure stop-where">{at ? `${say(at.km, 'distance')}, day ${at.day}` : ''}</span>
                <SelectField
                  label={`How sure ${stop.name} is`}
                  value={stop.sure}
                  options={sureness}
                  onCommit={(sure) =>
                    edit(
                      `How sure ${stop.name} is`,
                      set((s) => (s.sure = sure)),
                    )
                  }
                />
                <label className="stop-nights">
                  {input(`Nights at ${stop.name}`, stop.nights, 'plain', (r, v) => set((s) => (s.nights = v))(r), true)}
                  nights
                </label>
                <RemoveButton
                  label={`Remove ${stop.name}`}
                  onClick={() => void derive(`Remove ${stop.name}`, derived('route-without', { id: stop.id }))}
                />
              </div>
              <div className="stop-has-list">
                <FuelFields stop={stop} />
                <SelectField
                  label={`Water at ${stop.name}`}
                  value={stop.water}
                  options={waters}
                  onCommit={(water) =>
                    edit(
                      `Water at ${stop.name}`,
                      set((s) => (s.water = water)),
                    )
                  }
                />
                {tick('Gas', 'gas')}
                {tick('Mains', 'mains')}
                {tick('Food', 'food')}
                {tick('Dump', 'dump')}
                {tick('Shower', 'shower')}
              </div>
              {open === stop.id && <StopMore stop={stop} />}
              {i < route.stops.length - 1 && (
                <div className="stop-leg">
                  <i className="bi bi-arrow-down" aria-hidden />
                  <label>
                    {input(`Way on from ${stop.name}`, stop.leg.km, 'distance', (r, v) =>
                      set((s) => (s.leg.km = v))(r),
                    )}
                    {unit('distance')}
                  </label>
                  {view?.legs[i] && (
                    <span className="hint figure">
                      {say(view.legs[i].fuel, 'volume')} at {say(view.legs[i].used, 'consumption')}
                      {at?.towing ? ', with the trailer' : ''}
                    </span>
                  )}
                  <button type="button" className="chip" onClick={() => add(i)}>
                    <i className="bi bi-plus-lg" aria-hidden /> Add a stop
                    <span className="visually-hidden"> after {stop.name}</span>
                  </button>
                </div>
              )}
            </li>
          );
        })}
      </ol>
    </Panel>
  );
}
