import type { Item, MakeWay } from '../api/types';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { QuantityField } from '../components/QuantityField';
import { TextField } from '../components/TextField';
import { RemoveButton } from '../components/ListButtons';
import { chosenVariant } from '../document/SessionContext';
import { on } from '../document/things';
import { derived } from '../document/useDerive';
import { hows } from '../words/build';
import { formatNumber } from '../quantity/format';
import { useBuild } from './useBuild';

/** Make, buy, have made or reuse: each way that was thought of, side by side. */
export function WaysCard() {
  const { view, job, session, money, say, derive } = useBuild();
  if (!view) return null;
  const items = new Map(chosenVariant(job).items.map((i) => [i.id, i]));
  const edit = (item: Item, label: string, change: (m: NonNullable<Item['making']>) => void) =>
    session.edit(`${label} of ${item.name}`, (j) =>
      on(chosenVariant(j).items, item.id, (i) => {
        i.making ??= { how: '', ways: [] };
        change(i.making);
      }),
    );
  return (
    <Panel title="Make, buy or reuse" className="wide" note="Costs with the workshop's hours, without mark-up">
      {view.parts.length === 0 && <p className="empty">Nothing is built yet. Place parts on the bench first.</p>}
      <ul className="ways-list">
        {view.parts.map((part) => {
          const item = items.get(part.id);
          if (!item) return null;
          const known = view.ways.find((w) => w.module === part.id)?.ways ?? [];
          const ways = item.making?.ways ?? [];
          const open = hows.filter((h) => !ways.some((w) => w.how === h.value));
          const way = (w: MakeWay, label: string, change: (x: MakeWay) => void) =>
            edit(item, label, (m) => {
              for (const x of m.ways) if (x.how === w.how) change(x);
            });
          return (
            <li key={part.id} data-ways={part.id}>
              <div className="ways-head">
                <b>{part.name}</b>
                <SelectField
                  label={`How ${part.name} comes about`}
                  value={part.how}
                  options={hows}
                  onCommit={(v) =>
                    void derive(`How ${part.name} comes about`, derived('make-way', { id: part.id, with: v }))
                  }
                />
                <span className="hint">
                  {known
                    .map(
                      (w) =>
                        `${hows.find((h) => h.value === w.how)?.label ?? ''}: ${w.cost > 0 ? money(w.cost) : 'no price'}, ${say(w.kg, 'mass')}, ${formatNumber(w.hours, 'plain', job.units)} h${w.days > 0 ? `, ${w.days} days` : ''}`,
                    )
                    .join(' · ')}
                </span>
                {open.length > 0 && (
                  <select
                    className="form-select form-select-sm"
                    aria-label={`Add a way for ${part.name}`}
                    value=""
                    onChange={(event) =>
                      edit(item, 'Add a way', (m) =>
                        m.ways.push({
                          how: event.target.value as MakeWay['how'],
                          cost: 0,
                          kg: 0,
                          hours: 0,
                          proof: '',
                          supply: { from: '', number: '', days: 0 },
                        }),
                      )
                    }
                  >
                    <option value="">Add a way</option>
                    {open.map((h) => (
                      <option key={h.value} value={h.value}>
                        {h.label}
                      </option>
                    ))}
                  </select>
                )}
              </div>
              {ways.map((w) => {
                const label = hows.find((h) => h.value === w.how)?.label ?? w.how;
                const of = `${label}, ${part.name}`;
                const number = (
                  value: number,
                  kind: 'plain' | 'mass' | 'time',
                  name: string,
                  set: (x: MakeWay, v: number) => void,
                ) => (
                  <QuantityField
                    label={`${name}: ${of}`}
                    value={value}
                    kind={kind}
                    system={job.units}
                    emptyForZero
                    onCommit={(v) => way(w, name, (x) => set(x, v))}
                  />
                );
                return (
                  <div key={w.how} className="way-line">
                    <span>{label}</span>
                    <label>
                      cost {number(w.cost / 100, 'plain', 'Cost', (x, v) => (x.cost = Math.round(v * 100)))}
                    </label>
                    <label>mass {number(w.kg, 'mass', 'Mass', (x, v) => (x.kg = v))}</label>
                    <label>hours {number(w.hours, 'time', 'Hours', (x, v) => (x.hours = v))}</label>
                    <label>days {number(w.supply.days, 'plain', 'Days', (x, v) => (x.supply.days = v))}</label>
                    <TextField
                      label={`Supplier: ${of}`}
                      placeholder="supplier"
                      value={w.supply.from}
                      maxLength={120}
                      onCommit={(v) => way(w, 'Supplier', (x) => (x.supply.from = v))}
                    />
                    <TextField
                      label={`Number: ${of}`}
                      placeholder="number"
                      value={w.supply.number}
                      maxLength={120}
                      onCommit={(v) => way(w, 'Number', (x) => (x.supply.number = v))}
                    />
                    <TextField
                      label={`Why it fits: ${of}`}
                      placeholder="why it fits"
                      value={w.proof}
                      maxLength={400}
                      onCommit={(v) => way(w, 'Proof', (x) => (x.proof = v))}
                    />
                    <RemoveButton
                      label={`Remove way ${of}`}
                      onClick={() =>
                        edit(item, 'Remove a way', (m) => (m.ways = m.ways.filter((x) => x.how !== w.how)))
                      }
                    />
                  </div>
                );
              })}
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}
