import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import type { Trial } from '../api/types';
import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { ClockField } from './ClockField';
import { usePower } from './usePower';

const marks = [
  ['engine', 'Engine runs'],
  ['ignition', 'Ignition'],
  ['reversing', 'Reversing'],
  ['highBeam', 'High beam'],
  ['mains', 'Mains plugged in'],
] as const;

/** A panel to try the logic on: set how things stand, and it says what is on and why. Nothing of it is kept. */
export function TryPanel() {
  const { job, electrics } = usePower();
  const [set, setSet] = useState<Partial<Trial>>({});
  const trial: Trial = {
    hour: 12,
    engine: false,
    ignition: false,
    reversing: false,
    highBeam: false,
    mains: false,
    temperature: 20,
    doors: [],
    ...set,
    systems: electrics.systems.map(
      (s) => set.systems?.find((x) => x.id === s.id) ?? { id: s.id, charge: 0.8, volts: 12.8 },
    ),
    controls: electrics.controls.map(
      (c) => set.controls?.find((x) => x.id === c.id) ?? { id: c.id, at: c.at || (c.positions[0]?.id ?? 'off') },
    ),
  };
  const change = (by: Partial<Trial>) => setSet({ ...trial, ...by });
  const { data, error } = useQuery({
    queryKey: ['try', job, trial],
    queryFn: ({ signal }) => answer(api.POST('/api/power/try', { body: { trial, job }, signal })),
    placeholderData: keepPreviousData,
  });
  const system = (id: string, by: Partial<Trial['systems'][number]>) =>
    change({ systems: trial.systems.map((s) => (s.id === id ? { ...s, ...by } : s)) });
  const flip = (label: string, on: boolean, set: (on: boolean) => void) => (
    <button
      key={label}
      type="button"
      role="switch"
      aria-checked={on}
      className={`flip ${on ? 'flip-on' : ''}`}
      onClick={() => set(!on)}
    >
      {label} <b>{on ? 'on' : 'off'}</b>
    </button>
  );
  return (
    <Panel title="Try it" className="wide" note="Set how things stand; nothing of it is kept">
      <div className="try">
        <div className="try-panel" role="group" aria-label="How things stand">
          {marks.map(([key, label]) => flip(label, trial[key], (on) => change({ [key]: on })))}
          {electrics.controls.map((c) => {
            const at = trial.controls.find((x) => x.id === c.id)?.at ?? 'off';
            const turn = (to: string) =>
              change({ controls: trial.controls.map((x) => (x.id === c.id ? { ...x, at: to } : x)) });
            return c.positions.length === 0 ? (
              flip(c.name, at === 'on', (on) => turn(on ? 'on' : 'off'))
            ) : (
              <label key={c.id} className="inline-field">
                {c.name}
                <SelectField
                  label={`${c.name} stands at`}
                  value={at}
                  options={c.positions.map((p) => ({ value: p.id, label: p.name }))}
                  onCommit={turn}
                />
              </label>
            );
          })}
          {job.vehicle.bays.map((b) =>
            flip(`Door of ${b.name}`, trial.doors.includes(b.id), (on) =>
              change({ doors: on ? [...trial.doors, b.id] : trial.doors.filter((d) => d !== b.id) }),
            ),
          )}
          <span className="inline-field">
            Hour
            <ClockField label="Hour of the day" value={trial.hour} onCommit={(hour) => change({ hour })} />
          </span>
          <span className="inline-field">
            Air
            <QuantityField
              label="Temperature of the air"
              value={trial.temperature}
              kind="temperature"
              system={job.units}
              onCommit={(temperature) => change({ temperature: Math.min(70, Math.max(-60, temperature)) })}
            />
          </span>
          {trial.systems.map((s) => {
            const name = electrics.systems.find((x) => x.id === s.id)?.name ?? s.id;
            return (
              <span key={s.id} className="inline-field">
                {name}
                <QuantityField
                  label={`Voltage of ${name} to try`}
                  value={s.volts}
                  kind="voltage"
                  system={job.units}
                  onCommit={(volts) => system(s.id, { volts: Math.min(60, Math.max(0, volts)) })}
                />
                <QuantityField
                  label={`Charge of ${name} to try, %`}
                  value={s.charge * 100}
                  kind="plain"
                  system={job.units}
                  onCommit={(v) => system(s.id, { charge: Math.min(1, Math.max(0, v / 100)) })}
                />
                %
              </span>
            );
          })}
        </div>
        {error ? (
          <p className="trouble" role="alert">
            {error instanceof Refused ? error.message : 'The server does not answer; nothing was tried.'}
          </p>
        ) : (
          <ul className="tried" aria-label="What is on" aria-live="polite">
            {(data ?? []).map((t) => (
              <li key={t.id} data-tried={t.of}>
                <span className={`on-mark ${t.on ? 'is-on' : ''}`}>{t.on ? 'ON' : 'OFF'}</span>
                <b>{t.name}</b>
                <span>{t.why}</span>
              </li>
            ))}
          </ul>
        )}
      </div>
    </Panel>
  );
}
