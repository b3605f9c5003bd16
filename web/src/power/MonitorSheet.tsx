import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { MonitorPicture } from './MonitorPicture';
import { percent, usePower } from './usePower';

const PSI_PER_BAR = 14.5038;

/** What a battery monitor reads, beside the plan. Readings are kept with the job, and never changed. */
export function MonitorSheet() {
  const { job, electrics, power, say } = usePower();
  const client = useQueryClient();
  const [address, setAddress] = useState<string>();
  const [chosen, setChosen] = useState('');
  const [trouble, setTrouble] = useState('');
  const usual = (electrics.systems.find((s) => s.kind === 'house') ?? electrics.systems[0])?.id ?? '';
  const key = ['monitor', job.id, chosen];
  const { data: state, error } = useQuery({
    queryKey: key,
    queryFn: ({ signal }) =>
      answer(
        api.GET('/api/jobs/{id}/monitor', {
          params: { path: { id: job.id }, query: { system: chosen || usual } },
          signal,
        }),
      ),
    refetchInterval: 2000,
  });
  const act = (what: Promise<unknown>) =>
    what.then(
      () => {
        setTrouble('');
        return client.invalidateQueries({ queryKey: ['monitor', job.id] });
      },
      (e: unknown) => setTrouble(e instanceof Refused ? e.message : 'The server does not answer.'),
    );
  const path = { id: job.id };
  const typed = address ?? (state?.address || state?.suggested || '127.0.0.1:8350');
  const connect = () =>
    void act(
      answer(
        api.POST('/api/jobs/{id}/monitor', {
          params: { path },
          body: { address: typed, system: chosen || usual },
        }),
      ),
    );
  const disconnect = () => void act(answer(api.DELETE('/api/jobs/{id}/monitor', { params: { path } })));
  const system = chosen || usual;
  const pressure = (bar: number) =>
    job.units === 'us' ? `${Math.round(bar * PSI_PER_BAR)}\u00a0psi` : `${bar.toFixed(2)}\u00a0bar`;
  const latest = state?.latest;
  return (
    <Panel
      title="Monitor"
      className="wide"
      note="A battery monitor on this machine, beside the plan"
      actions={
        state?.connected ? (
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={disconnect}>
            Disconnect
          </button>
        ) : (
          <button
            type="button"
            className="btn btn-sm btn-primary"
            onClick={connect}
            disabled={electrics.systems.length === 0}
          >
            Connect
          </button>
        )
      }
    >
      {electrics.systems.length === 0 ? (
        <p className="empty">Plan a battery first; what a monitor reads stands beside its plan.</p>
      ) : (
        <>
          <div className="days-forms">
            <div className="form">
              <Field label="Reads">
                <SelectField
                  label="Battery that the monitor reads"
                  value={system}
                  options={electrics.systems.map((s) => ({ value: s.id, label: s.name }))}
                  onCommit={setChosen}
                />
              </Field>
              <Field
                label="Sends at"
                hint={state?.suggested ? 'A simulated monitor runs there' : 'Start one with: zaino simulate monitor'}
              >
                <input
                  className="form-control form-control-sm"
                  aria-label="Address of the monitor"
                  value={typed}
                  disabled={state?.connected}
                  maxLength={120}
                  onChange={(event) => setAddress(event.target.value)}
                  onKeyDown={(event) => event.key === 'Enter' && connect()}
                />
              </Field>
            </div>
            <ul className="big-figures monitor-figures" aria-label="Latest reading" aria-live="off">
              <li data-monitor-charge>
                <b className="figure">{latest ? percent(latest.charge) : '–'}</b> charge
              </li>
              <li>
                <b className="figure">{latest ? say(latest.amps, 'current') : '–'}</b> into the battery
              </li>
              <li>
                <b className="figure">{latest ? say(latest.volts, 'voltage') : '–'}</b>
                {latest ? `at ${say(latest.temperature, 'temperature')}` : 'voltage'}
              </li>
            </ul>
          </div>
          {latest && latest.tanks.length + latest.pressures.length > 0 && (
            <p className="hint light-line figure" data-levels>
              {[
                ...latest.tanks.map((t) => `${t.name} ${say(t.litres, 'volume')}`),
                ...latest.pressures.map((p) => `${p.name} ${pressure(p.bar)}`),
              ].join(' · ')}
            </p>
          )}
          {(trouble !== '' || error) && (
            <p className="trouble" role="alert">
              {trouble || (error instanceof Refused ? error.message : 'The server does not answer.')}
            </p>
          )}
          {state && state.sentence !== '' && (
            <p className="notice" role="status">
              {state.sentence}
            </p>
          )}
          {state && state.beside.points.length > 0 ? (
            <>
              <MonitorPicture beside={state.beside} nights={power?.nights ?? 1} />
              <p className="beside-sentence" data-beside>
                {state.beside.sentence}{' '}
                {state.beside.left >= 0 && `At the last current it lasts ${say(state.beside.left, 'time')} more.`}
              </p>
            </>
          ) : (
            <p className="empty">
              Nothing is read yet. Readings are kept with the job every five minutes of their clock.
            </p>
          )}
        </>
      )}
    </Panel>
  );
}
