import type { Charger, PowerSource } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { chargerFor, mounts, sourceKinds } from '../words/power';
import { Choose } from './Choose';
import { SpanStrip } from './SpanStrip';
import { usePower } from './usePower';

/** What charges: sources, and the chargers that they work through. */
export function SourcesCard() {
  const { electrics, power, edit, input, box, say, variant } = usePower();
  const systems = [
    { value: '', label: 'Nothing yet' },
    ...electrics.systems.map((s) => ({ value: s.id, label: s.name })),
  ];
  const house = (electrics.systems.find((s) => s.kind === 'house') ?? electrics.systems[0])?.id ?? '';
  const addSource = () =>
    edit('Add source', (e) => {
      e.sources.push({
        id: newId([...e.sources, ...variant.items], 'source'),
        name: 'New panel',
        kind: 'solar',
        system: house,
        charger: '',
        amps: 0,
        watts: 100,
        mount: 'flat',
        tilt: 0,
        loose: false,
        open: 0,
        shades: [],
        spans: [],
        fuel: 0,
        exhaust: false,
        item: '',
      });
    });
  const addCharger = () =>
    edit('Add charger', (e) => {
      e.chargers.push({
        id: newId([...e.chargers, ...variant.items], 'charger'),
        name: 'New charger',
        system: house,
        from: e.systems.find((s) => s.kind === 'start')?.id ?? '',
        amps: 25,
        efficiency: 0,
        for: 'any',
        volts: 0,
        always: false,
        port: '',
        item: '',
      });
    });
  const through = (s: PowerSource) => (s.charger !== '' ? `~${s.charger}` : s.system);
  const into = [...systems, ...electrics.chargers.map((c) => ({ value: `~${c.id}`, label: `through ${c.name}` }))];
  const source = (id: string, set: (s: PowerSource) => void) => (e: typeof electrics) => on(e.sources, id, set);
  const charger = (id: string, set: (c: Charger) => void) => (e: typeof electrics) => on(e.chargers, id, set);
  return (
    <Panel
      title="What charges"
      className="wide"
      actions={
        <>
          <Choose
            label="Choose a source or charger"
            system={house}
            of={(c) => (c.device?.source !== undefined || c.device?.charger !== undefined) && !c.device.panel}
          />
          <AddButton label="Add source" onClick={addSource} />
          <AddButton label="Add charger" onClick={addCharger} />
        </>
      }
    >
      <ThingTable
        label="Sources"
        what="Source"
        things={electrics.sources}
        empty="Nothing charges yet: sun, the alternator, mains at stops, or a generator."
        onRename={(s, name) =>
          edit(
            `Name of ${s.name}`,
            source(s.id, (x) => (x.name = name)),
          )
        }
        onRemove={(s) => edit(`Remove ${s.name}`, (e) => drop(e.sources, s.id))}
        columns={[
          {
            head: 'Kind',
            words: true,
            cell: (s) => (
              <SelectField
                label={`Kind of ${s.name}`}
                value={s.kind}
                options={sourceKinds}
                onCommit={(kind) =>
                  edit(
                    `Kind of ${s.name}`,
                    source(s.id, (x) => (x.kind = kind)),
                  )
                }
              />
            ),
          },
          {
            head: 'Into',
            words: true,
            cell: (s) => (
              <SelectField
                label={`What ${s.name} charges`}
                value={into.some((o) => o.value === through(s)) ? through(s) : ''}
                options={into}
                onCommit={(v) =>
                  edit(
                    `What ${s.name} charges`,
                    source(s.id, (x) => {
                      x.charger = v.startsWith('~') ? v.slice(1) : '';
                      x.system = v.startsWith('~') ? '' : v;
                    }),
                  )
                }
              />
            ),
          },
          {
            head: 'W',
            cell: (s) =>
              input(`Watts of ${s.name}`, s.watts, 'power', (e, v) => on(e.sources, s.id, (x) => (x.watts = v)), true),
          },
          {
            head: 'A',
            cell: (s) =>
              input(`Amps of ${s.name}`, s.amps, 'current', (e, v) => on(e.sources, s.id, (x) => (x.amps = v)), true),
          },
          {
            head: 'Lies',
            words: true,
            cell: (s) =>
              s.kind === 'solar' ? (
                <span className="mount">
                  <SelectField
                    label={`How ${s.name} lies`}
                    value={s.mount}
                    options={mounts}
                    onCommit={(mount) =>
                      edit(
                        `How ${s.name} lies`,
                        source(s.id, (x) => {
                          x.mount = mount;
                          if (mount === 'tilted' && x.tilt === 0) x.tilt = 20;
                        }),
                      )
                    }
                  />
                  {s.mount === 'tilted' &&
                    input(`Tilt of ${s.name}`, s.tilt, 'angle', (e, v) => on(e.sources, s.id, (x) => (x.tilt = v)))}
                </span>
              ) : s.kind === 'generator' ? (
                <span className="mount">
                  <SpanStrip name={s.name} spans={s.spans} pick={(e) => e.sources.find((x) => x.id === s.id)?.spans} />
                  <label className="switch-line">
                    {box(`The exhaust of ${s.name} goes outside`, s.exhaust, (e, v) =>
                      on(e.sources, s.id, (x) => (x.exhaust = v)),
                    )}
                    exhaust outside
                  </label>
                </span>
              ) : null,
          },
          {
            head: 'Voc V',
            title: 'Open-circuit voltage of its string at 25 °C',
            cell: (s) =>
              s.kind === 'solar'
                ? input(
                    `Open voltage of ${s.name}`,
                    s.open,
                    'voltage',
                    (e, v) => on(e.sources, s.id, (x) => (x.open = v)),
                    true,
                  )
                : null,
          },
          {
            head: 'Loose',
            title: 'Put up at camp: nothing while driving',
            centred: true,
            cell: (s) =>
              s.kind === 'solar'
                ? box(`${s.name} is put up at camp`, s.loose, (e, v) => on(e.sources, s.id, (x) => (x.loose = v)))
                : null,
          },
          {
            head: 'A day',
            cell: (s) => {
              const f = power?.sources.find((x) => x.id === s.id);
              return f ? (
                <span className="figure">
                  {say(f.offered, 'charge')}
                  <small>{say(f.used, 'charge')} used</small>
                </span>
              ) : null;
            },
          },
        ]}
        below={(s) =>
          s.kind === 'solar' ? (
            <tr className="more-row">
              <td colSpan={10}>
                <Shades source={s} />
              </td>
            </tr>
          ) : null
        }
      />
      {electrics.chargers.length > 0 && (
        <ThingTable
          label="Chargers"
          what="Charger"
          things={electrics.chargers}
          onRename={(c, name) =>
            edit(
              `Name of ${c.name}`,
              charger(c.id, (x) => (x.name = name)),
            )
          }
          onRemove={(c) => edit(`Remove ${c.name}`, (e) => drop(e.chargers, c.id))}
          columns={[
            {
              head: 'From',
              words: true,
              cell: (c) => (
                <SelectField
                  label={`What feeds ${c.name}`}
                  value={systems.some((o) => o.value === c.from) ? c.from : ''}
                  options={[{ value: '', label: 'Its sources' }, ...systems.slice(1)]}
                  onCommit={(v) =>
                    edit(
                      `What feeds ${c.name}`,
                      charger(c.id, (x) => (x.from = v)),
                    )
                  }
                />
              ),
            },
            {
              head: 'Charges',
              words: true,
              cell: (c) => (
                <SelectField
                  label={`What ${c.name} charges`}
                  value={systems.some((o) => o.value === c.system) ? c.system : ''}
                  options={systems}
                  onCommit={(v) =>
                    edit(
                      `What ${c.name} charges`,
                      charger(c.id, (x) => (x.system = v)),
                    )
                  }
                />
              ),
            },
            {
              head: 'A',
              cell: (c) =>
                input(`Amps of ${c.name}`, c.amps, 'current', (e, v) => on(e.chargers, c.id, (x) => (x.amps = v))),
            },
            {
              head: 'Set for',
              words: true,
              cell: (c) => (
                <SelectField
                  label={`Battery that ${c.name} is set for`}
                  value={c.for}
                  options={chargerFor}
                  onCommit={(v) =>
                    edit(
                      `Setting of ${c.name}`,
                      charger(c.id, (x) => (x.for = v)),
                    )
                  }
                />
              ),
            },
            {
              head: 'Most V',
              title: 'Greatest voltage of a string of panels',
              cell: (c) =>
                input(
                  `Greatest panel voltage of ${c.name}`,
                  c.volts,
                  'voltage',
                  (e, v) => on(e.chargers, c.id, (x) => (x.volts = v)),
                  true,
                ),
            },
            {
              head: 'Engine off',
              title: 'Works with the engine off too',
              centred: true,
              cell: (c) =>
                box(`${c.name} works with the engine off`, c.always, (e, v) =>
                  on(e.chargers, c.id, (x) => (x.always = v)),
                ),
            },
          ]}
        />
      )}
    </Panel>
  );
}

/** The hours at which a panel is shaded. */
function Shades({ source: s }: { source: PowerSource }) {
  const { edit, input } = usePower();
  return (
    <div className="shades">
      <span className="hint">In shade:</span>
      <SpanStrip
        name={`shade on ${s.name}`}
        spans={s.shades}
        pick={(e) => e.sources.find((x) => x.id === s.id)?.shades}
      />
      {s.shades.map((shade) => (
        <span key={shade.id} className="shade">
          {input(`Share of ${s.name} lost in shade, %`, shade.share * 100, 'plain', (e, v) =>
            on(e.sources, s.id, (x) => on(x.shades, shade.id, (y) => (y.share = v / 100))),
          )}
          <span>% lost</span>
        </span>
      ))}
      <AddButton
        label="Add shade"
        onClick={() =>
          edit(`Shade on ${s.name}`, (e) =>
            on(e.sources, s.id, (x) => x.shades.push({ id: newId(x.shades, 'shade'), from: 15, to: 18, share: 0.5 })),
          )
        }
      />
    </div>
  );
}
