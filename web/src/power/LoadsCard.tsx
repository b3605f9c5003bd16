import { useState } from 'react';

import type { PowerLoad } from '../api/types';
import { AddButton, RemoveButton, RemoveHead } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { drop, newId, on } from '../document/things';
import { loadUses } from '../words/power';
import { Choose } from './Choose';
import { LoadSheet } from './LoadSheet';
import { SpanStrip } from './SpanStrip';
import { percent, usePower } from './usePower';

/** Every load with its share of the day, edited where it stands. */
export function LoadsCard() {
  const { electrics, power, edit, input, say, variant } = usePower();
  const [open, setOpen] = useState('');
  const add = () =>
    edit('Add load', (e) => {
      e.loads.push({
        id: newId([...e.loads, ...variant.items], 'load'),
        name: 'New load',
        system: (e.systems.find((s) => s.kind === 'house') ?? e.systems[0])?.id ?? '',
        inverter: '',
        port: '',
        count: 1,
        watts: 10,
        use: 'spans',
        spans: [{ id: 's1', from: 18, to: 20, share: 1 }],
        eventWh: 0,
        events: 0,
        standby: 0,
        standbyOff: false,
        surge: 0,
        least: 0,
        shed: 0,
        essential: false,
        electronic: false,
        sleeping: false,
        noise: 0,
        switched: '',
        others: false,
        item: '',
      });
    });
  const feeds = [
    { value: '', label: 'Nothing yet' },
    ...electrics.systems.map((s) => ({ value: s.id, label: s.name })),
    ...electrics.inverters.map((i) => ({ value: `~${i.id}`, label: i.name })),
  ];
  const feed = (l: PowerLoad, value: string) =>
    edit(`What feeds ${l.name}`, (e) =>
      on(e.loads, l.id, (x) => {
        x.inverter = value.startsWith('~') ? value.slice(1) : '';
        x.system = value.startsWith('~') ? '' : value;
      }),
    );
  const total = power?.loads.reduce((sum, l) => sum + l.energy, 0) ?? 0;
  return (
    <Panel
      title="What runs"
      className="wide"
      note={total > 0 ? `${say(total, 'energy')} a day out of the batteries` : 'By hours, by heat, or each time'}
      actions={
        <>
          <Choose label="Choose a load" system="" of={(c) => c.device?.load !== undefined && !c.device.charger} />
          <AddButton label="Add load" onClick={add} />
        </>
      }
    >
      {electrics.loads.length === 0 ? (
        <p className="empty">Nothing runs yet. Bring in what has a plug, choose from the catalogue, or add a load.</p>
      ) : (
        <div className="table-wrap">
          <table className="sheet-table loads-table" aria-label="Loads">
            <thead>
              <tr>
                <th scope="col">Load</th>
                <th scope="col">Fed by</th>
                <th scope="col" className="over-figures">
                  W
                </th>
                <th scope="col">Use</th>
                <th scope="col">When</th>
                <th scope="col" className="over-figures">
                  A day
                </th>
                <th scope="col" className="over-figures">
                  Share
                </th>
                <RemoveHead />
              </tr>
            </thead>
            <tbody>
              {electrics.loads.map((l) => {
                const figures = power?.loads.find((f) => f.id === l.id);
                const set = (change: (x: PowerLoad) => void) => (e: typeof electrics) => on(e.loads, l.id, change);
                return [
                  <tr key={l.id} data-thing={l.id} id={l.id}>
                    <th scope="row">
                      <span className="load-name">
                        <button
                          type="button"
                          className="icon-button"
                          aria-expanded={open === l.id}
                          aria-label={`More of ${l.name}`}
                          onClick={() => setOpen(open === l.id ? '' : l.id)}
                        >
                          <i className={`bi bi-chevron-${open === l.id ? 'down' : 'right'}`} aria-hidden />
                        </button>
                        <TextField
                          label={`Name of ${l.name}`}
                          value={l.name}
                          maxLength={120}
                          required
                          onCommit={(name) =>
                            edit(
                              `Name of ${l.name}`,
                              set((x) => (x.name = name)),
                            )
                          }
                        />
                      </span>
                    </th>
                    <td>
                      <SelectField
                        label={`What feeds ${l.name}`}
                        value={l.inverter !== '' ? `~${l.inverter}` : l.system}
                        options={
                          feeds.some((f) => f.value === (l.inverter !== '' ? `~${l.inverter}` : l.system))
                            ? feeds
                            : [
                                { value: l.inverter !== '' ? `~${l.inverter}` : l.system, label: 'What is gone' },
                                ...feeds,
                              ]
                        }
                        onCommit={(value) => feed(l, value)}
                      />
                    </td>
                    <td>
                      {input(`Watts of ${l.name}`, l.watts, 'power', (e, v) => on(e.loads, l.id, (x) => (x.watts = v)))}
                    </td>
                    <td>
                      <SelectField
                        label={`Use of ${l.name}`}
                        value={l.use}
                        options={loadUses}
                        onCommit={(use) =>
                          edit(
                            `Use of ${l.name}`,
                            set((x) => {
                              x.use = use;
                              if (use === 'heat')
                                x.heat ??= {
                                  mean: 12,
                                  at: 32,
                                  atInner: 4,
                                  inner: 4,
                                  opened: false,
                                  saves: 0,
                                  warmer: 0,
                                  warm: 0,
                                  frozen: 0,
                                  thaws: false,
                                };
                            }),
                          )
                        }
                      />
                    </td>
                    <td>
                      {l.use === 'spans' && (
                        <SpanStrip
                          name={l.name}
                          spans={l.spans}
                          pick={(e) => e.loads.find((x) => x.id === l.id)?.spans}
                        />
                      )}
                      {l.use === 'heat' && (
                        <span className="hint">
                          {l.heat
                            ? `${say(l.heat.mean, 'power')} mean at ${say(l.heat.at, 'temperature')}, set to ${say(l.heat.inner, 'temperature')}`
                            : 'no data sheet yet'}
                        </span>
                      )}
                      {l.use === 'events' && (
                        <span className="events">
                          {input(`Energy each time of ${l.name}`, l.eventWh, 'energy', (e, v) =>
                            on(e.loads, l.id, (x) => (x.eventWh = v)),
                          )}
                          <span>Wh ×</span>
                          {input(`Times a day of ${l.name}`, l.events, 'plain', (e, v) =>
                            on(e.loads, l.id, (x) => (x.events = v)),
                          )}
                        </span>
                      )}
                    </td>
                    <td className="figure over-figures" data-energy>
                      {figures ? (
                        <>
                          {say(figures.charge, 'charge')}
                          <small>{figures.running ? say(figures.energy, 'energy') : 'not counted'}</small>
                        </>
                      ) : (
                        '–'
                      )}
                    </td>
                    <td className="figure over-figures">
                      {figures && figures.share > 0 && (
                        <>
                          {percent(figures.share)}
                          <span
                            className="share-bar"
                            style={{ width: `${Math.round(figures.share * 44)}px` }}
                            aria-hidden
                          />
                        </>
                      )}
                    </td>
                    <td>
                      <RemoveButton
                        label={`Remove ${l.name}`}
                        onClick={() => edit(`Remove ${l.name}`, (e) => drop(e.loads, l.id))}
                      />
                    </td>
                  </tr>,
                  open === l.id && (
                    <tr key={`${l.id} more`} className="more-row">
                      <td colSpan={8}>
                        <LoadSheet load={l} />
                      </td>
                    </tr>
                  ),
                ];
              })}
            </tbody>
          </table>
        </div>
      )}
    </Panel>
  );
}
