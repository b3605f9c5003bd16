import { useState } from 'react';

import type { Vessel } from '../api/types';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import type { Kind } from '../quantity/units';
import { datums, labelOf } from '../words/words';
import { contents, feeding, gases, stopping, yesses } from '../words/range';
import { usePlumbing } from './usePlumbing';

const unsaid = (of: string): Vessel => ({
  of,
  holds: '',
  unusable: 0,
  expansion: 0,
  feeds: '',
  by: '',
  rate: 0,
  stops: '',
  breather: '',
  baffles: '',
  sender: '',
  drain: '',
  outside: false,
  frostSafe: false,
  gas: '',
  sealed: '',
  plan: 0,
});

/** Every tank and level item with what is said of it. */
export function VesselsCard() {
  const { plumbing, holders, edit, line, say } = usePlumbing();
  const [open, setOpen] = useState('');
  return (
    <Panel title="Tanks and vessels" className="wide" note="Tanks of the vehicle, and things whose content varies">
      {holders.length === 0 ? (
        <p className="empty">
          Nothing that holds anything comes along yet: enter the tanks under Vehicle, or give a thing of Load a content
          that varies.
        </p>
      ) : (
        <div className="table-wrap">
          <table className="sheet-table vessels-table" aria-label="Vessels">
            <thead>
              <tr>
                <th scope="col">Vessel</th>
                <th scope="col" className="over-figures">
                  Content
                </th>
                <th scope="col">Holds</th>
                <th scope="col">Feeds</th>
                <th scope="col">Filler</th>
              </tr>
            </thead>
            <tbody>
              {holders.map((h) => {
                const said = plumbing.vessels.find((v) => v.of === h.id) ?? unsaid(h.id);
                const set = (label: string, change: (v: Vessel) => void) =>
                  edit(`${label} of ${h.name}`, (p) => {
                    let own = p.vessels.find((v) => v.of === h.id);
                    if (!own) {
                      own = unsaid(h.id);
                      p.vessels.push(own);
                      own = p.vessels[p.vessels.length - 1] ?? own;
                    }
                    change(own);
                  });
                return [
                  <tr key={h.id} data-thing={h.id}>
                    <th scope="row">
                      <span className="load-name">
                        <button
                          type="button"
                          className="icon-button"
                          aria-expanded={open === h.id}
                          aria-label={`More of ${h.name}`}
                          onClick={() => setOpen(open === h.id ? '' : h.id)}
                        >
                          <i className={`bi bi-chevron-${open === h.id ? 'down' : 'right'}`} aria-hidden />
                        </button>
                        {h.name}
                      </span>
                    </th>
                    <td className="figure">{say(h.litres, 'volume')}</td>
                    <td>
                      <SelectField
                        label={`What ${h.name} holds`}
                        value={said.holds}
                        options={contents}
                        onCommit={(holds) => set('Content', (v) => (v.holds = holds))}
                      />
                    </td>
                    <td>
                      <SelectField
                        label={`What ${h.name} feeds`}
                        value={said.feeds}
                        options={[
                          { value: '', label: 'What draws from it' },
                          ...holders.filter((o) => o.id !== h.id).map((o) => ({ value: o.id, label: o.name })),
                        ]}
                        onCommit={(feeds) => set('What it feeds', (v) => (v.feeds = feeds))}
                      />
                    </td>
                    <td>{said.filler ? 'entered' : <span className="hint">not said</span>}</td>
                  </tr>,
                  open === h.id && (
                    <tr key={`${h.id} more`}>
                      <td colSpan={5}>
                        <VesselMore name={h.name} said={said} set={set} />
                      </td>
                    </tr>
                  ),
                ];
              })}
            </tbody>
          </table>
        </div>
      )}
      <div className="days-forms">
        <div className="form">
          {line(
            'Food a person and day',
            plumbing.provision,
            'mass',
            (p, v) => (p.provision = v),
            'Where a vessel holds food',
            true,
          )}
        </div>
        <div className="form">
          {line(
            'A jug',
            plumbing.jug,
            'volume',
            (p, v) => (p.jug = v),
            'Carried where water comes without a hose',
            true,
          )}
        </div>
      </div>
    </Panel>
  );
}

/** How one vessel is plumbed. */
function VesselMore({
  name,
  said,
  set,
}: {
  name: string;
  said: Vessel;
  set: (label: string, change: (v: Vessel) => void) => void;
}) {
  const { job, origin } = usePlumbing();
  const number = (
    label: string,
    value: number,
    kind: Kind,
    change: (v: Vessel, value: number) => void,
    hint?: string,
    place = false,
  ) => (
    <Field label={label} {...(hint ? { hint } : {})}>
      <QuantityField
        label={`${label} of ${name}`}
        value={value}
        kind={kind}
        system={job.units}
        emptyForZero={!place}
        onCommit={(v) => set(label, (x) => change(x, v))}
      />
    </Field>
  );
  const yes = (label: string, value: Vessel['breather'], change: (v: Vessel, y: Vessel['breather']) => void) => (
    <Field label={label}>
      <SelectField
        label={`${label} of ${name}`}
        value={value}
        options={yesses}
        onCommit={(y) => set(label, (v) => change(v, y))}
      />
    </Field>
  );
  const box = (label: string, on: boolean, change: (v: Vessel, on: boolean) => void) => (
    <label className="switch-line">
      <input
        type="checkbox"
        className="form-check-input"
        aria-label={`${label}: ${name}`}
        checked={on}
        onChange={(event) => set(label, (v) => change(v, event.target.checked))}
      />
      {label}
    </label>
  );
  return (
    <div className="days-forms">
      <div className="form">
        {number('Unusable rest', said.unusable, 'volume', (v, x) => (v.unusable = x))}
        {number('Room to grow, %', said.expansion * 100, 'plain', (v, x) => (v.expansion = x / 100), 'Fuel wants 3 %')}
        {number('Area in plan, m²', said.plan, 'plain', (v, x) => (v.plan = x), 'Empty: from its size')}
        {yes('Breather', said.breather, (v, y) => (v.breather = y))}
        {yes('Baffles', said.baffles, (v, y) => (v.baffles = y))}
        {yes('Sender', said.sender, (v, y) => (v.sender = y))}
        {yes('Drain', said.drain, (v, y) => (v.drain = y))}
      </div>
      <div className="form">
        <Field label="Carried on">
          <SelectField
            label={`What carries ${name} on`}
            value={said.by}
            options={feeding}
            onCommit={(by) => set('Transfer', (v) => (v.by = by))}
          />
        </Field>
        {number('Rate', said.rate, 'flow', (v, x) => (v.rate = x))}
        <Field label="Ends in time by">
          <SelectField
            label={`What ends the transfer of ${name}`}
            value={said.stops}
            options={stopping}
            onCommit={(stops) => set('What ends the transfer', (v) => (v.stops = stops))}
          />
        </Field>
        {box('It or its line is in the cold air', said.outside, (v, on) => (v.outside = on))}
        {box('Frost-safe: heated or lagged', said.frostSafe, (v, on) => (v.frostSafe = on))}
        <Field label="Gas">
          <SelectField
            label={`Gas of ${name}`}
            value={said.gas}
            options={gases}
            onCommit={(gas) => set('Gas', (v) => (v.gas = gas))}
          />
        </Field>
        {yes('Locker shut to the inside', said.sealed, (v, y) => (v.sealed = y))}
      </div>
      {(['drainAt', 'breatherAt'] as const).map((key) => {
        const at = said[key];
        const word = key === 'drainAt' ? 'Drain' : 'Breather';
        return (
          <div key={key} className="form">
            <b>{word}, its place</b>
            {at ? (
              <>
                {number(
                  `Station of the ${word.toLowerCase()}`,
                  at.x - origin,
                  'length',
                  (v, x) => v[key] && (v[key].x = x + origin),
                  undefined,
                  true,
                )}
                {number(
                  `Side of the ${word.toLowerCase()}`,
                  at.y,
                  'length',
                  (v, x) => v[key] && (v[key].y = x),
                  undefined,
                  true,
                )}
                {number(
                  `Height of the ${word.toLowerCase()}`,
                  at.z,
                  'length',
                  (v, x) => v[key] && (v[key].z = x),
                  undefined,
                  true,
                )}
                <button type="button" className="chip" onClick={() => set(`${word}, its place`, (v) => delete v[key])}>
                  Not said after all
                </button>
              </>
            ) : (
              <button
                type="button"
                className="chip"
                onClick={() =>
                  set(`${word}, its place`, (v) => (v[key] = { x: 3000, y: 900, z: key === 'drainAt' ? 500 : 1200 }))
                }
              >
                Enter where its {word.toLowerCase()} is
              </button>
            )}
          </div>
        );
      })}
      <div className="form">
        <b>Filler</b>
        {said.filler ? (
          <>
            {number(
              'Station of its mouth',
              said.filler.at.x - origin,
              'length',
              (v, x) => v.filler && (v.filler.at.x = x + origin),
              `Rearward of the ${labelOf(datums, job.datum)}`,
              true,
            )}
            {number(
              'Side',
              said.filler.at.y,
              'length',
              (v, x) => v.filler && (v.filler.at.y = x),
              'Right; left is negative',
              true,
            )}
            {number(
              'Height',
              said.filler.at.z,
              'length',
              (v, x) => v.filler && (v.filler.at.z = x),
              'Above the ground',
              true,
            )}
            {number('Drop of its pipe', said.filler.drop, 'length', (v, x) => v.filler && (v.filler.drop = x))}
            {number('Run of its pipe', said.filler.run, 'length', (v, x) => v.filler && (v.filler.run = x))}
            {number('Bore', said.filler.bore, 'length', (v, x) => v.filler && (v.filler.bore = x))}
            {number('Nozzle that fills it', said.filler.nozzle, 'length', (v, x) => v.filler && (v.filler.nozzle = x))}
            <button type="button" className="chip" onClick={() => set('Filler', (v) => delete v.filler)}>
              Not said after all
            </button>
          </>
        ) : (
          <button
            type="button"
            className="chip"
            onClick={() =>
              set(
                'Filler',
                (v) => (v.filler = { at: { x: 3000, y: 900, z: 900 }, drop: 0, run: 0, bore: 0, nozzle: 0 }),
              )
            }
          >
            Enter its filler
          </button>
        )}
      </div>
    </div>
  );
}
