import { useEffect, useRef } from 'react';

import type { Case } from '../api/types';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';

const AT_HOME = ' home';

/** One entry of a list by its id, put in where there is none yet. */
function put<T extends object>(list: T[], is: (entry: T) => boolean, entry: T): T[] {
  return list.some(is) ? list.map((e) => (is(e) ? entry : e)) : [...list, entry];
}

/** What a case sets, each setting edited where it stands. What it does not set is as in the state shown. */
export function CaseSheet({ id, onClose }: { id: string; onClose: () => void }) {
  const session = useSession();
  const { job } = useSnapshot();
  const variant = chosenVariant(job);
  const sheet = useRef<HTMLDivElement>(null);
  useEffect(() => {
    sheet.current?.scrollIntoView({ block: 'center' });
    sheet.current?.querySelector<HTMLElement>('select, input')?.focus({ preventScroll: true });
  }, [id]);
  const shown = variant.cases.find((c) => c.id === id);
  if (!shown) return null;
  const edit = (label: string, change: (c: Case) => void) =>
    session.edit(`${label} in ${shown.name}`, (j) =>
      chosenVariant(j)
        .cases.filter((c) => c.id === id)
        .forEach(change),
    );
  const level = (of: string, name: string, now: number, most: number) => (
    <Field key={of} label={name} hint={`of ${formatQuantity(most, 'volume', job.units)}`}>
      <QuantityField
        label={`${name} in this case`}
        value={shown.levels.find((l) => l.of === of)?.litres ?? now}
        kind="volume"
        system={job.units}
        onCommit={(litres) => edit(name, (c) => (c.levels = put(c.levels, (l) => l.of === of, { of, litres })))}
      />
    </Field>
  );
  const people = variant.items.filter((i) => i.seat !== '' && (i.form === 'person' || i.form === 'animal'));
  return (
    <Panel
      title={shown.name}
      className="case-sheet"
      note="What this case sets; each limit follows above"
      actions={
        <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onClose}>
          Done
        </button>
      }
    >
      <div className="case-settings" ref={sheet}>
        <fieldset>
          <legend>People</legend>
          {people.length === 0 && (
            <p className="hint">Nobody sits in a seat yet; put the travellers of the brief aboard.</p>
          )}
          {people.map((person) => {
            const set = shown.people.find((p) => p.item === person.id);
            return (
              <Field key={person.id} label={person.name}>
                <SelectField
                  label={`${person.name} in this case`}
                  value={set && !set.aboard ? AT_HOME : (set?.seat ?? '')}
                  options={[
                    { value: '', label: 'As planned' },
                    ...job.vehicle.seats.map((s) => ({ value: s.id, label: s.name })),
                    { value: AT_HOME, label: 'At home' },
                  ]}
                  onCommit={(value) =>
                    edit(
                      person.name,
                      (c) =>
                        (c.people = put(c.people, (p) => p.item === person.id, {
                          item: person.id,
                          aboard: value !== AT_HOME,
                          seat: value === AT_HOME ? '' : value,
                        })),
                    )
                  }
                />
              </Field>
            );
          })}
        </fieldset>
        <fieldset>
          <legend>Tanks and vessels</legend>
          {job.vehicle.tanks.map((t) => level(t.id, t.name, t.now, t.capacity))}
          {variant.items.map((i) =>
            i.presence.kind === 'level' && i.presence.level
              ? level(i.id, i.name, i.presence.level.now, i.presence.level.max)
              : null,
          )}
        </fieldset>
        {variant.electrics.systems.length > 0 && (
          <fieldset>
            <legend>Batteries when it begins</legend>
            {variant.electrics.systems.map((s) => (
              <Field key={s.id} label={s.name} hint="%">
                <QuantityField
                  label={`Charge of ${s.name} in this case, %`}
                  value={100 * (shown.charges.find((c) => c.system === s.id)?.charge ?? s.full)}
                  kind="plain"
                  system={job.units}
                  onCommit={(v) =>
                    edit(
                      s.name,
                      (c) =>
                        (c.charges = put(c.charges, (x) => x.system === s.id, {
                          system: s.id,
                          charge: Math.min(1, Math.max(0, v / 100)),
                        })),
                    )
                  }
                />
              </Field>
            ))}
          </fieldset>
        )}
        <fieldset>
          <legend>Along or not</legend>
          {variant.choices.map((choice) => (
            <Field key={choice.id} label={choice.name}>
              <SelectField
                label={`${choice.name} in this case`}
                value={shown.choices.find((c) => c.choice === choice.id)?.member ?? choice.chosen}
                options={[
                  ...(choice.none ? [{ value: '', label: 'None' }] : []),
                  ...choice.members.map((m) => ({ value: m.id, label: m.name })),
                ]}
                onCommit={(member) =>
                  edit(
                    choice.name,
                    (c) => (c.choices = put(c.choices, (x) => x.choice === choice.id, { choice: choice.id, member })),
                  )
                }
              />
            </Field>
          ))}
          {variant.switches.map((sw) => (
            <label key={sw.id} className="switch-line">
              <input
                type="checkbox"
                role="switch"
                className="form-check-input"
                aria-label={`${sw.name} in this case`}
                checked={shown.switches.find((s) => s.switch === sw.id)?.on ?? sw.on}
                onChange={(e) =>
                  edit(
                    sw.name,
                    (c) =>
                      (c.switches = put(c.switches, (s) => s.switch === sw.id, {
                        switch: sw.id,
                        on: e.target.checked,
                      })),
                  )
                }
              />
              {sw.name}
            </label>
          ))}
          {job.trailer && (
            <label className="switch-line">
              <input
                type="checkbox"
                role="switch"
                className="form-check-input"
                aria-label="Trailer in this case"
                checked={shown.coupled}
                onChange={(e) => edit('Trailer', (c) => (c.coupled = e.target.checked))}
              />
              Trailer coupled
            </label>
          )}
          <Field label="Stance" hint="where each loose thing lies">
            <SelectField
              label="Stance of this case"
              value={shown.stance}
              options={[
                { value: '', label: 'On the road' },
                ...variant.stances.map((s) => ({ value: s.id, label: s.name })),
              ]}
              onCommit={(stance) => edit('Stance', (c) => (c.stance = stance))}
            />
          </Field>
        </fieldset>
      </div>
    </Panel>
  );
}
