import type { PowerLoad } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Field } from '../components/Field';
import { SelectField } from '../components/SelectField';
import { newId, on } from '../document/things';
import { lightZones } from '../words/power';
import { ClockField } from './ClockField';
import { usePower } from './usePower';

/** All else that can be said of a load. */
export function LoadSheet({ load: l }: { load: PowerLoad }) {
  const { electrics, edit, line, tick, variant } = usePower();
  const set = (change: (x: PowerLoad) => void) => (e: typeof electrics) => on(e.loads, l.id, change);
  const number = (
    label: string,
    key: 'count' | 'standby' | 'surge' | 'least' | 'noise',
    kind: Parameters<typeof line>[2],
    hint?: string,
  ) =>
    line(
      [label, `${label} of ${l.name}`],
      l[key],
      kind,
      (e, v) => on(e.loads, l.id, (x) => (x[key] = v)),
      hint,
      key !== 'count',
    );
  const yes = (words: string, key: 'standbyOff' | 'essential' | 'electronic' | 'sleeping' | 'others') =>
    tick(`${words}: ${l.name}`, words, l[key], (e, v) => on(e.loads, l.id, (x) => (x[key] = v)));
  const items = [
    { value: '', label: 'No thing of the ledger' },
    ...variant.items.filter((i) => i.seat === '').map((i) => ({ value: i.id, label: i.name })),
  ];
  const ports = electrics.systems.find((s) => s.id === l.system)?.ports.filter((p) => !p.input) ?? [];
  return (
    <div className="more-forms">
      <div className="form">
        {number('How many alike', 'count', 'plain')}
        {number('Waiting', 'standby', 'power', 'All the time that it does not run')}
        {number('Start', 'surge', 'power', 'For a moment, of one')}
        {number('Works from', 'least', 'voltage', 'Below that voltage it does not work')}
        {number('Noise at 1 m, dB', 'noise', 'plain')}
        {line(
          ['Dropped below, %', `${l.name} is dropped below, %`],
          l.shed * 100,
          'plain',
          (e, v) => on(e.loads, l.id, (x) => (x.shed = v / 100)),
          'Comes back 10 points above; 0 is never',
          true,
        )}
        <Field label="It is">
          <SelectField
            label={`Thing of the ledger that ${l.name} is`}
            value={items.some((i) => i.value === l.item) ? l.item : ''}
            options={items}
            onCommit={(item) =>
              edit(
                `Thing that ${l.name} is`,
                set((x) => (x.item = item)),
              )
            }
          />
        </Field>
        {electrics.panels.length > 0 && (
          <Field label="Switched at">
            <SelectField
              label={`Panel from which ${l.name} is switched`}
              value={l.switched}
              options={[
                { value: '', label: 'Itself' },
                ...electrics.panels.map((p) => ({ value: p.id, label: p.name })),
              ]}
              onCommit={(id) =>
                edit(
                  `Switch of ${l.name}`,
                  set((x) => (x.switched = id)),
                )
              }
            />
          </Field>
        )}
        {ports.length > 0 && (
          <Field label="Plugged into">
            <SelectField
              label={`Socket of ${l.name}`}
              value={l.port}
              options={[{ value: '', label: 'Its own cable' }, ...ports.map((p) => ({ value: p.id, label: p.name }))]}
              onCommit={(id) =>
                edit(
                  `Socket of ${l.name}`,
                  set((x) => (x.port = id)),
                )
              }
            />
          </Field>
        )}
      </div>
      <div className="form">
        {yes('Must never drop', 'essential')}
        {yes('Wants a steady voltage', 'electronic')}
        {yes('A switch in reach ends its waiting', 'standbyOff')}
        {yes('Runs beside sleepers', 'sleeping')}
        {yes('Finished by another workshop', 'others')}
        {l.light ? (
          <LightFields load={l} />
        ) : (
          <AddButton
            label="It is a light"
            onClick={() =>
              edit(
                `${l.name} is a light`,
                set(
                  (x) =>
                    (x.light = {
                      lumens: 400,
                      beam: 120,
                      colour: 3000,
                      dimmed: 0,
                      zone: 'bench',
                      away: 700,
                      ends: 1,
                      atSleep: false,
                    }),
                ),
              )
            }
          />
        )}
      </div>
      {l.use === 'heat' && <HeatFields load={l} />}
      {l.use === 'spans' && <SpanFields load={l} />}
    </div>
  );
}

function HeatFields({ load: l }: { load: PowerLoad }) {
  const { line, tick, unit, degree } = usePower();
  const h = l.heat;
  if (!h) return null;
  type Key = 'mean' | 'at' | 'atInner' | 'inner' | 'warm' | 'frozen';
  const number = (label: string, key: Key, kind: Parameters<typeof line>[2], hint?: string) =>
    line(
      [label, `${label}, ${l.name}`],
      h[key],
      kind,
      (e, v) => on(e.loads, l.id, (x) => x.heat && (x.heat[key] = v)),
      hint,
    );
  return (
    <div className="form">
      {number('Mean by its sheet', 'mean', 'power')}
      {number('at, around it', 'at', 'temperature')}
      {number('and inside', 'atInner', 'temperature')}
      {number('Set to', 'inner', 'temperature')}
      {line(
        [`Warmer where it stands, ${unit('temperature')}`, `Warmer where it stands, ${l.name}`],
        h.warmer * degree,
        'plain',
        (e, v) => on(e.loads, l.id, (x) => x.heat && (x.heat.warmer = v / degree)),
        'Than the air outside',
        true,
      )}
      {number('Put in warm a day', 'warm', 'mass')}
      {number('of that to be frozen', 'frozen', 'mass')}
      {line(
        ['Air saves, %', `Moving its air saves, %, ${l.name}`],
        h.saves * 100,
        'plain',
        (e, v) => on(e.loads, l.id, (x) => x.heat && (x.heat.saves = v / 100)),
        'As it was measured',
        true,
      )}
      {tick(`Opened often: ${l.name}`, 'Its door is opened often', h.opened, (e, v) =>
        on(e.loads, l.id, (x) => x.heat && (x.heat.opened = v)),
      )}
      {tick(`Must not thaw: ${l.name}`, 'What is in it must not thaw', h.thaws, (e, v) =>
        on(e.loads, l.id, (x) => x.heat && (x.heat.thaws = v)),
      )}
    </div>
  );
}

function SpanFields({ load: l }: { load: PowerLoad }) {
  const { edit, input } = usePower();
  return (
    <table className="sheet-table spans-table" aria-label={`Hours of ${l.name}`}>
      <thead>
        <tr>
          <th scope="col">From</th>
          <th scope="col">To</th>
          <th scope="col" className="over-figures">
            Runs %
          </th>
          <th />
        </tr>
      </thead>
      <tbody>
        {l.spans.map((s) => (
          <tr key={s.id}>
            <td>
              <ClockField
                label={`${l.name} begins`}
                value={s.from}
                onCommit={(h) =>
                  edit(`Hours of ${l.name}`, (e) => on(e.loads, l.id, (x) => on(x.spans, s.id, (y) => (y.from = h))))
                }
              />
            </td>
            <td>
              <ClockField
                label={`${l.name} ends`}
                value={s.to}
                onCommit={(h) =>
                  edit(`Hours of ${l.name}`, (e) => on(e.loads, l.id, (x) => on(x.spans, s.id, (y) => (y.to = h))))
                }
              />
            </td>
            <td>
              {input(`Share of the span in which ${l.name} runs, %`, s.share * 100, 'plain', (e, v) =>
                on(e.loads, l.id, (x) => on(x.spans, s.id, (y) => (y.share = v / 100))),
              )}
            </td>
            <td>
              <RemoveButton
                label={`Remove hours of ${l.name} from ${s.from}`}
                onClick={() =>
                  edit(`Hours of ${l.name}`, (e) =>
                    on(e.loads, l.id, (x) => (x.spans = x.spans.filter((y) => y.id !== s.id))),
                  )
                }
              />
            </td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={4}>
            <AddButton
              label="Add hours"
              onClick={() =>
                edit(`More hours of ${l.name}`, (e) =>
                  on(e.loads, l.id, (x) => x.spans.push({ id: newId(x.spans, 'hours'), from: 12, to: 13, share: 1 })),
                )
              }
            />
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

function LightFields({ load: l }: { load: PowerLoad }) {
  const { edit, line, tick } = usePower();
  const u = l.light;
  if (!u) return null;
  type Key = 'lumens' | 'beam' | 'colour' | 'away' | 'ends';
  const number = (label: string, key: Key, kind: Parameters<typeof line>[2]) =>
    line([label, `${label}, ${l.name}`], u[key], kind, (e, v) =>
      on(e.loads, l.id, (x) => x.light && (x.light[key] = v)),
    );
  return (
    <>
      <Field label="Lights">
        <SelectField
          label={`What ${l.name} lights`}
          value={u.zone}
          options={lightZones}
          onCommit={(zone) =>
            edit(`Zone of ${l.name}`, (e) => on(e.loads, l.id, (x) => x.light && (x.light.zone = zone)))
          }
        />
      </Field>
      {number('Lumens of one', 'lumens', 'plain')}
      {number('Beam', 'beam', 'angle')}
      {number('Away from it', 'away', 'length')}
      {number('Colour, K', 'colour', 'plain')}
      {number('Switched from places', 'ends', 'plain')}
      {line(
        ['Dimmed to, %', `Dimmed to, %, ${l.name}`],
        u.dimmed * 100,
        'plain',
        (e, v) => on(e.loads, l.id, (x) => x.light && (x.light.dimmed = v / 100)),
        '0 is not dimmed',
        true,
      )}
      {tick(`A switch in reach from the bed: ${l.name}`, 'A switch in reach from the bed', u.atSleep, (e, v) =>
        on(e.loads, l.id, (x) => x.light && (x.light.atSleep = v)),
      )}
    </>
  );
}
