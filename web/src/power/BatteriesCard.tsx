import type { PowerSystem } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { chemistries, systemKinds } from '../words/power';
import { Choose } from './Choose';
import { InvertersTable } from './InvertersTable';
import { LinksTable } from './LinksTable';
import { usePower } from './usePower';

/** Systems with their batteries, inverters, and what joins systems. */
export function BatteriesCard() {
  const { electrics, power, edit, input, box, say, unit, degree, variant } = usePower();
  const systems = [
    { value: '', label: 'Nothing yet' },
    ...electrics.systems.map((s) => ({ value: s.id, label: s.name })),
  ];
  const items = [
    { value: '', label: 'No thing of the ledger' },
    ...variant.items.filter((i) => i.seat === '').map((i) => ({ value: i.id, label: i.name })),
  ];
  const add = (kind: PowerSystem['kind'], name: string) =>
    edit(`Add ${name.toLowerCase()}`, (e) => {
      e.systems.push({
        id: newId([...e.systems, ...variant.items], kind),
        name,
        kind,
        voltage: 12,
        battery: {
          chemistry: kind === 'start' ? 'flooded' : 'lfp',
          capacity: kind === 'start' ? 80 : 100,
          parallel: 1,
          usable: 0,
          charge: 0,
          discharge: 0,
          resistance: 0,
          heated: false,
          vented: false,
          warmer: 0,
        },
        full: 1,
        reserve: 0,
        isolator: false,
        meter: false,
        item: '',
        ports: [],
      });
    });
  const addLink = () =>
    edit('Add link', (e) => {
      e.links.push({
        id: newId([...e.links, ...variant.items], 'link'),
        name: 'New link',
        kind: 'emergency',
        from: e.systems[0]?.id ?? '',
        to: e.systems[1]?.id ?? '',
        amps: 0,
        close: 0,
        open: 0,
        breakFirst: false,
        byHand: true,
        item: '',
      });
    });
  const system = (id: string, set: (s: PowerSystem) => void) => (e: typeof electrics) => on(e.systems, id, set);
  type Figure = 'capacity' | 'parallel' | 'charge' | 'discharge' | 'resistance';
  const figure =
    (label: string, key: Figure, kind: Parameters<typeof input>[2], zero = true) =>
    (s: PowerSystem) =>
      input(
        `${label} of ${s.name}`,
        s.battery[key],
        kind,
        (e, v) => on(e.systems, s.id, (x) => (x.battery[key] = v)),
        zero,
      );
  const share = (label: string, value: number, set: (s: PowerSystem, share: number) => void) => (s: PowerSystem) =>
    input(`${label} ${s.name}, %`, value * 100, 'plain', (e, v) => on(e.systems, s.id, (x) => set(x, v / 100)), true);
  const house = (electrics.systems.find((s) => s.kind === 'house') ?? electrics.systems[0])?.id ?? '';
  return (
    <Panel
      title="Batteries"
      className="wide"
      actions={
        <>
          <Choose
            label={house ? 'Choose another house battery' : 'Choose a battery'}
            system={house}
            of={(c) => c.device?.system?.kind === 'house'}
          />
          <Choose label="Choose a station" system="" of={(c) => c.device?.system?.kind === 'station'} />
          <Choose
            label="Choose an inverter"
            system={house}
            of={(c) => c.device?.inverter !== undefined && !c.device.system && !c.device.panel}
          />
          <AddButton label="Add battery" onClick={() => add('house', 'House battery')} />
          <AddButton label="Add starting battery" onClick={() => add('start', 'Starting battery')} />
          <AddButton label="Add link" onClick={addLink} />
        </>
      }
    >
      <ThingTable
        label="Batteries"
        what="Battery"
        things={electrics.systems}
        empty="No battery yet. The one that starts the engine belongs here too, with its alternator among the sources."
        onRename={(s, name) =>
          edit(
            `Name of ${s.name}`,
            system(s.id, (x) => (x.name = name)),
          )
        }
        onRemove={(s) => edit(`Remove ${s.name}`, (e) => drop(e.systems, s.id))}
        columns={[
          {
            head: 'For',
            words: true,
            cell: (s) => (
              <SelectField
                label={`What ${s.name} is for`}
                value={s.kind}
                options={systemKinds}
                onCommit={(kind) =>
                  edit(
                    `What ${s.name} is for`,
                    system(s.id, (x) => (x.kind = kind)),
                  )
                }
              />
            ),
          },
          {
            head: 'Of',
            words: true,
            cell: (s) => (
              <SelectField
                label={`Chemistry of ${s.name}`}
                value={s.battery.chemistry}
                options={chemistries}
                onCommit={(c) =>
                  edit(
                    `Chemistry of ${s.name}`,
                    system(s.id, (x) => (x.battery.chemistry = c)),
                  )
                }
              />
            ),
          },
          {
            head: 'V',
            cell: (s) =>
              input(`Voltage of ${s.name}`, s.voltage, 'voltage', (e, v) =>
                on(e.systems, s.id, (x) => (x.voltage = v)),
              ),
          },
          { head: 'Ah', cell: figure('Capacity', 'capacity', 'charge', false) },
          { head: '×', title: 'In parallel', cell: figure('Number in parallel', 'parallel', 'plain', false) },
          {
            head: 'Charge A',
            title: 'Greatest charging current',
            cell: figure('Charging current', 'charge', 'current'),
          },
          {
            head: 'Gives A',
            title: 'Greatest lasting current',
            cell: figure('Lasting current', 'discharge', 'current'),
          },
        ]}
        below={(s) => (
          <tr className="more-row">
            <td colSpan={10}>
              <span className="battery-more">
                <SelectField
                  label={`Thing of the ledger that ${s.name} is`}
                  value={items.some((i) => i.value === s.item) ? s.item : ''}
                  options={items}
                  onCommit={(id) =>
                    edit(
                      `Thing that ${s.name} is`,
                      system(s.id, (x) => (x.item = id)),
                    )
                  }
                />
                <label className="switch-line">
                  {box(`${s.name} has an isolator in reach`, s.isolator, (e, v) =>
                    on(e.systems, s.id, (x) => (x.isolator = v)),
                  )}
                  isolator
                </label>
                <label className="switch-line">
                  {box(`${s.name} has a meter`, s.meter, (e, v) => on(e.systems, s.id, (x) => (x.meter = v)))}
                  meter
                </label>
                <label className="switch-line">
                  {box(`${s.name} warms itself`, s.battery.heated, (e, v) =>
                    on(e.systems, s.id, (x) => (x.battery.heated = v)),
                  )}
                  heated
                </label>
                <label className="switch-line">
                  {box(`The box of ${s.name} breathes to the outside`, s.battery.vented, (e, v) =>
                    on(e.systems, s.id, (x) => (x.battery.vented = v)),
                  )}
                  vented
                </label>
                <span className="warmer">
                  {share('Usable of', s.battery.usable, (x, v) => (x.battery.usable = v))(s)}
                  <span>% usable</span>
                </span>
                <span className="warmer">
                  {share('Kept in', s.reserve, (x, v) => (x.reserve = v))(s)}
                  <span>% kept in reserve</span>
                </span>
                <span className="warmer">
                  {share('Charge at the start of', s.full, (x, v) => (x.full = v))(s)}
                  <span>% at the start</span>
                </span>
                <span className="warmer">
                  {figure('Resistance', 'resistance', 'plain')(s)}
                  <span>mΩ inside</span>
                </span>
                <span className="warmer">
                  {input(
                    `Degrees warmer than outside of ${s.name}`,
                    s.battery.warmer * degree,
                    'plain',
                    (e, v) => on(e.systems, s.id, (x) => (x.battery.warmer = v / degree)),
                    true,
                  )}
                  <span>{unit('temperature')} warmer than outside</span>
                </span>
                <span className="hint figure">
                  {usableOf(
                    power?.systems.find((f) => f.id === s.id),
                    say,
                  )}
                </span>
              </span>
            </td>
          </tr>
        )}
      />
      <InvertersTable systems={systems} />
      <LinksTable systems={systems} />
    </Panel>
  );
}

function usableOf(
  f: { usable: number; aboard: boolean; peak: number; discharge: number; atPeak: number } | undefined,
  say: (v: number, k: 'charge' | 'current' | 'time') => string,
) {
  if (!f) return '';
  if (!f.aboard) return 'does not come along in the state shown';
  const heavy = f.atPeak >= 0 ? `, ${say(f.atPeak, 'time')} at that` : '';
  return `${say(f.usable, 'charge')} usable; asked for ${say(f.peak, 'current')} at once of ${say(f.discharge, 'current')}${heavy}`;
}
