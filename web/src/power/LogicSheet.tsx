import { AddButton, RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { PutIn } from '../components/PutIn';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { drop, newId, on } from '../document/things';
import { ConditionFields } from './ConditionFields';
import { TryPanel } from './TryPanel';
import { usePower } from './usePower';

/** When what is on by itself, and a panel to try it on. */
export function LogicSheet() {
  const { electrics, edit, line } = usePower();
  const things = [
    ...electrics.chargers,
    ...electrics.loads,
    ...electrics.sources,
    ...electrics.inverters,
    ...electrics.links,
  ];
  const free = things.filter((t) => !electrics.outputs.some((o) => o.of === t.id));
  const add = (id: string) =>
    edit(`Rule for ${things.find((t) => t.id === id)?.name ?? id}`, (e) => {
      e.outputs.push({
        id: newId(e.outputs, 'rule'),
        of: id,
        lines: [{ id: 'line-1', conditions: [] }],
        lockedOn: '',
        lockedOff: '',
        offAfter: 0,
      });
    });
  const addControl = () =>
    edit('Add switch', (e) => {
      e.controls.push({
        id: newId(e.controls, 'switch'),
        name: `Switch ${e.controls.length + 1}`,
        positions: [],
        at: 'off',
      });
    });
  const locks = [{ value: '', label: 'No switch' }, ...electrics.controls.map((c) => ({ value: c.id, label: c.name }))];
  return (
    <>
      <Panel
        title="When it is on"
        className="wide"
        note="On while any line holds entirely; locked on and locked off win. Without a rule it is on when its hours say so"
        actions={
          free.length > 0 && (
            <PutIn label="Add a rule for" options={free.map((t) => ({ value: t.id, label: t.name }))} onPut={add} />
          )
        }
      >
        {electrics.outputs.length === 0 ? (
          <p className="empty">No rule yet. A second charger that works only with the engine and a switch is one.</p>
        ) : (
          electrics.outputs.map((o) => {
            const name = things.find((t) => t.id === o.of)?.name ?? 'What is gone';
            return (
              <section key={o.id} className="rule" aria-label={`Rule of ${name}`} id={o.of}>
                <h3>
                  {name}
                  <RemoveButton
                    label={`Remove the rule of ${name}`}
                    onClick={() => edit(`Remove the rule of ${name}`, (e) => drop(e.outputs, o.id))}
                  />
                </h3>
                {o.lines.map((l, i) => (
                  <div key={l.id} className="rule-line">
                    <span className="hint">{i === 0 ? 'on while' : 'or while'}</span>
                    {l.conditions.map((c, k) => (
                      <ConditionFields key={c.id} output={o} line={l} condition={c} first={k === 0} />
                    ))}
                    <AddButton
                      label={l.conditions.length === 0 ? 'Add a condition' : 'and'}
                      onClick={() =>
                        edit(`Condition of ${name}`, (e) =>
                          on(e.outputs, o.id, (x) =>
                            on(x.lines, l.id, (y) =>
                              y.conditions.push({
                                id: newId(y.conditions, 'condition'),
                                what: 'engine',
                                not: false,
                                of: '',
                                place: '',
                                value: 0,
                                from: 0,
                                to: 0,
                              }),
                            ),
                          ),
                        )
                      }
                    />
                    {o.lines.length > 1 && (
                      <RemoveButton
                        label={`Remove line ${i + 1} of ${name}`}
                        onClick={() => edit(`Line of ${name}`, (e) => on(e.outputs, o.id, (x) => drop(x.lines, l.id)))}
                      />
                    )}
                  </div>
                ))}
                <div className="rule-foot">
                  <AddButton
                    label="or another line"
                    onClick={() =>
                      edit(`Line of ${name}`, (e) =>
                        on(e.outputs, o.id, (x) => x.lines.push({ id: newId(x.lines, 'line'), conditions: [] })),
                      )
                    }
                  />
                  <span className="inline-field">
                    locked on by
                    <SelectField
                      label={`Switch that locks ${name} on`}
                      value={o.lockedOn}
                      options={locks}
                      onCommit={(v) => edit(`Lock of ${name}`, (e) => on(e.outputs, o.id, (x) => (x.lockedOn = v)))}
                    />
                  </span>
                  <span className="inline-field">
                    locked off by
                    <SelectField
                      label={`Switch that locks ${name} off`}
                      value={o.lockedOff}
                      options={locks}
                      onCommit={(v) => edit(`Lock of ${name}`, (e) => on(e.outputs, o.id, (x) => (x.lockedOff = v)))}
                    />
                  </span>
                  {line(
                    [`off after, min`, `${name} goes off after, min`],
                    o.offAfter,
                    'plain',
                    (e, v) => on(e.outputs, o.id, (x) => (x.offAfter = v)),
                    undefined,
                    true,
                  )}
                </div>
              </section>
            );
          })
        )}
      </Panel>
      <Panel
        title="Switches"
        className="wide"
        note="That people turn; how they stand on the usual day"
        actions={<AddButton label="Add switch" onClick={addControl} />}
      >
        {electrics.controls.length === 0 ? (
          <p className="empty">No switch yet. A changeover is a switch with positions.</p>
        ) : (
          <ul className="controls" aria-label="Switches">
            {electrics.controls.map((c) => (
              <li key={c.id}>
                <TextField
                  label={`Name of ${c.name}`}
                  value={c.name}
                  maxLength={120}
                  required
                  onCommit={(name) => edit(`Name of ${c.name}`, (e) => on(e.controls, c.id, (x) => (x.name = name)))}
                />
                {c.positions.map((p) => (
                  <span key={p.id} className="position">
                    <TextField
                      label={`Position ${p.name} of ${c.name}`}
                      value={p.name}
                      maxLength={120}
                      required
                      onCommit={(name) =>
                        edit(`Position of ${c.name}`, (e) =>
                          on(e.controls, c.id, (x) => on(x.positions, p.id, (y) => (y.name = name))),
                        )
                      }
                    />
                    <RemoveButton
                      label={`Remove position ${p.name} of ${c.name}`}
                      onClick={() =>
                        edit(`Position of ${c.name}`, (e) => on(e.controls, c.id, (x) => drop(x.positions, p.id)))
                      }
                    />
                  </span>
                ))}
                <AddButton
                  label="Add position"
                  onClick={() =>
                    edit(`Position of ${c.name}`, (e) =>
                      on(e.controls, c.id, (x) =>
                        x.positions.push({ id: newId(x.positions, 'at'), name: `Position ${x.positions.length + 1}` }),
                      ),
                    )
                  }
                />
                <SelectField
                  label={`How ${c.name} stands`}
                  value={c.at}
                  options={
                    c.positions.length > 0
                      ? [
                          { value: '', label: 'First position' },
                          ...c.positions.map((p) => ({ value: p.id, label: p.name })),
                        ]
                      : [
                          { value: 'off', label: 'Off' },
                          { value: 'on', label: 'On' },
                        ]
                  }
                  onCommit={(at) => edit(`How ${c.name} stands`, (e) => on(e.controls, c.id, (x) => (x.at = at)))}
                />
                <RemoveButton
                  label={`Remove ${c.name}`}
                  onClick={() => edit(`Remove ${c.name}`, (e) => drop(e.controls, c.id))}
                />
              </li>
            ))}
          </ul>
        )}
      </Panel>
      {electrics.outputs.length > 0 && <TryPanel />}
    </>
  );
}
