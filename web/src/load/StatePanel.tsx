import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { VariesPanel } from './VariesPanel';

/** What is aboard in the state shown: switches, choices, tanks and the trailer. */
export function StatePanel() {
  const session = useSession();
  const { job } = useSnapshot();
  const variant = chosenVariant(job);
  return (
    <div className="form" data-panel="state">
      {job.vehicle.tanks.map((tank) => (
        <Field key={tank.id} label={tank.name} hint={`of ${formatQuantity(tank.capacity, 'volume', job.units)}`}>
          <QuantityField
            label={tank.name}
            value={tank.now}
            kind="volume"
            system={job.units}
            onCommit={(now) =>
              session.edit(`${tank.name} filled`, (j) =>
                j.vehicle.tanks.filter((t) => t.id === tank.id).forEach((t) => (t.now = now)),
              )
            }
          />
        </Field>
      ))}
      {variant.items.flatMap((item) => {
        const level = item.presence.kind === 'level' ? item.presence.level : undefined;
        return level
          ? [
              <Field key={item.id} label={item.name} hint={`of ${formatQuantity(level.max, 'volume', job.units)}`}>
                <QuantityField
                  label={item.name}
                  value={level.now}
                  kind="volume"
                  system={job.units}
                  onCommit={(now) =>
                    session.edit(`${item.name} filled`, (j) => {
                      for (const i of chosenVariant(j).items)
                        if (i.id === item.id && i.presence.level) i.presence.level.now = now;
                    })
                  }
                />
              </Field>,
            ]
          : [];
      })}
      {variant.choices.map((choice) => (
        <Field key={choice.id} label={choice.name}>
          <SelectField
            label={choice.name}
            value={choice.chosen}
            options={[
              ...(choice.none ? [{ value: '', label: 'None' }] : []),
              ...choice.members.map((m) => ({ value: m.id, label: m.name })),
            ]}
            onCommit={(chosen) =>
              session.edit(`${choice.name} chosen`, (j) =>
                chosenVariant(j)
                  .choices.filter((c) => c.id === choice.id)
                  .forEach((c) => (c.chosen = chosen)),
              )
            }
          />
        </Field>
      ))}
      {variant.switches.map((sw) => {
        const needs = requirement(variant, sw.requires);
        return (
          <label key={sw.id} className="switch-line">
            <input
              type="checkbox"
              role="switch"
              className="form-check-input"
              checked={sw.on}
              onChange={(event) =>
                session.edit(`${sw.name} ${event.target.checked ? 'on' : 'off'}`, (j) =>
                  chosenVariant(j)
                    .switches.filter((s) => s.id === sw.id)
                    .forEach((s) => (s.on = event.target.checked)),
                )
              }
            />
            {sw.name}
            {needs && <small className="hint">only with {needs}</small>}
          </label>
        );
      })}
      {variant.stances.length > 0 && (
        <Field label="Stance" hint="what lies elsewhere, or outside, in it">
          <SelectField
            label="Stance"
            value={variant.stance}
            options={[
              { value: '', label: 'On the road' },
              ...variant.stances.map((s) => ({ value: s.id, label: s.name })),
            ]}
            onCommit={(stance) => session.edit('Stance', (j) => (chosenVariant(j).stance = stance))}
          />
        </Field>
      )}
      {job.trailer && (
        <label className="switch-line">
          <input
            type="checkbox"
            role="switch"
            className="form-check-input"
            checked={job.trailer.coupled}
            onChange={(event) =>
              session.edit('Trailer', (j) => j.trailer && (j.trailer.coupled = event.target.checked))
            }
          />
          Trailer coupled
        </label>
      )}
      <details className="varies">
        <summary>Change what can vary</summary>
        <VariesPanel />
      </details>
    </div>
  );
}

type Variant = ReturnType<typeof chosenVariant>;

function requirement(variant: Variant, requires: Variant['switches'][number]['requires']): string | undefined {
  if (!requires) return undefined;
  if (requires.switch) return variant.switches.find((s) => s.id === requires.switch)?.name;
  return variant.choices.find((c) => c.id === requires.choice)?.members.find((m) => m.id === requires.member)?.name;
}
