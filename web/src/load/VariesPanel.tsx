import { AddButton, RemoveButton } from '../components/ListButtons';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import type { Variant } from '../api/types';
import { newId } from '../document/things';
import { alwaysAboard } from './itemEdits';

/** Switches and choices of the variant: what may stay behind, what excludes what, what needs what. */
export function VariesPanel() {
  const session = useSession();
  const { job } = useSnapshot();
  const variant = chosenVariant(job);
  const edit = (label: string, change: (variant: Variant) => void, key?: string) =>
    session.edit(label, (j) => change(chosenVariant(j)), key);
  const addSwitch = () =>
    edit('Add switch', (v) => v.switches.push({ id: newId(v.switches, 'switch'), name: 'New switch', on: true }));
  const addChoice = () =>
    edit('Add choice', (v) => {
      v.choices.push({
        id: newId(v.choices, 'choice'),
        name: 'New choice',
        members: [
          { id: 'a', name: 'First' },
          { id: 'b', name: 'Second' },
        ],
        none: true,
        chosen: '',
      });
    });
  return (
    <div data-panel="varies">
      <h3>Switches</h3>
      {variant.switches.map((sw) => (
        <div key={sw.id} className="varies-line">
          <TextField
            label={`Name of switch ${sw.name}`}
            value={sw.name}
            maxLength={120}
            required
            onCommit={(name) =>
              edit(
                'Name of switch',
                (v) => v.switches.filter((s) => s.id === sw.id).forEach((s) => (s.name = name)),
                `switch ${sw.id}`,
              )
            }
          />
          <SelectField
            label={`What ${sw.name} needs`}
            value={requirementValue(sw)}
            options={requirementOptions(variant, sw.id)}
            onCommit={(value) => edit(`What ${sw.name} needs`, (v) => require(v, sw.id, value))}
          />
          <RemoveButton
            label={`Remove switch ${sw.name}`}
            onClick={() => edit(`Remove switch ${sw.name}`, (v) => removeSwitch(v, sw.id))}
          />
        </div>
      ))}
      <AddButton label="Add switch" onClick={addSwitch} />
      <h3>Choices</h3>
      {variant.choices.map((choice) => {
        const change = (label: string, set: (c: Choice) => void, key?: string) =>
          edit(label, (v) => v.choices.filter((c) => c.id === choice.id).forEach(set), key);
        return (
          <fieldset key={choice.id}>
            <div className="varies-line">
              <TextField
                label={`Name of choice ${choice.name}`}
                value={choice.name}
                maxLength={120}
                required
                onCommit={(name) => change('Name of choice', (c) => (c.name = name), `choice ${choice.id}`)}
              />
              <label className="switch-line">
                <input
                  type="checkbox"
                  className="form-check-input"
                  checked={choice.none}
                  onChange={(event) => change('None possible', (c) => allowNone(c, event.target.checked))}
                />
                or none
              </label>
              <RemoveButton
                label={`Remove choice ${choice.name}`}
                onClick={() => edit(`Remove choice ${choice.name}`, (v) => removeChoice(v, choice.id))}
              />
            </div>
            {choice.members.map((member) => (
              <div key={member.id} className="varies-line varies-member">
                <TextField
                  label={`Name of ${member.name} in ${choice.name}`}
                  value={member.name}
                  maxLength={120}
                  required
                  onCommit={(name) =>
                    change(
                      'Name of member',
                      (c) => c.members.filter((m) => m.id === member.id).forEach((m) => (m.name = name)),
                      `member ${choice.id} ${member.id}`,
                    )
                  }
                />
                <RemoveButton
                  label={`Remove ${member.name} from ${choice.name}`}
                  onClick={() => edit(`Remove ${member.name}`, (v) => removeMember(v, choice.id, member.id))}
                />
              </div>
            ))}
            <AddButton
              label={`Add to ${choice.name}`}
              onClick={() =>
                change('Add member', (c) => c.members.push({ id: newId(c.members, 'member'), name: 'New member' }))
              }
            />
          </fieldset>
        );
      })}
      <AddButton label="Add choice" onClick={addChoice} />
      <p className="hint">An item hangs on a switch or belongs to a choice by its Presence in the ledger.</p>
    </div>
  );
}

type Switch = Variant['switches'][number];
type Choice = Variant['choices'][number];

function requirementValue(sw: Switch): string {
  const r = sw.requires;
  if (!r) return '';
  return r.switch ? `switch:${r.switch}` : `choice:${r.choice ?? ''}:${r.member ?? ''}`;
}

function requirementOptions(variant: Variant, self: string) {
  return [
    { value: '', label: 'needs nothing' },
    ...variant.switches
      .filter((s) => s.id !== self)
      .map((s) => ({ value: `switch:${s.id}`, label: `needs ${s.name}` })),
    ...variant.choices.flatMap((c) =>
      c.members.map((m) => ({ value: `choice:${c.id}:${m.id}`, label: `needs ${m.name}` })),
    ),
  ];
}

function require(variant: Variant, id: string, value: string): void {
  const [kind, first = '', second = ''] = value.split(':');
  for (const sw of variant.switches) {
    if (sw.id !== id) continue;
    if (kind === 'switch') sw.requires = { switch: first };
    else if (kind === 'choice') sw.requires = { choice: first, member: second };
    else delete sw.requires;
  }
}

function allowNone(choice: Choice, none: boolean): void {
  choice.none = none;
  if (!none && choice.chosen === '') choice.chosen = choice.members[0]?.id ?? '';
}

/** Items that hung on the switch are always aboard then; what needed it needs nothing. */
function removeSwitch(variant: Variant, id: string): void {
  variant.switches = variant.switches.filter((s) => s.id !== id);
  for (const sw of variant.switches) if (sw.requires?.switch === id) delete sw.requires;
  for (const item of variant.items) if (item.presence.switch === id) item.presence = alwaysAboard();
}

function removeChoice(variant: Variant, id: string): void {
  variant.choices = variant.choices.filter((c) => c.id !== id);
  for (const sw of variant.switches) if (sw.requires?.choice === id) delete sw.requires;
  for (const item of variant.items) if (item.presence.choice === id) item.presence = alwaysAboard();
}

function removeMember(variant: Variant, choiceId: string, id: string): void {
  for (const choice of variant.choices) {
    if (choice.id !== choiceId) continue;
    choice.members = choice.members.filter((m) => m.id !== id);
    if (choice.chosen === id) choice.chosen = '';
    allowNone(choice, choice.none || choice.members.length === 0);
  }
  for (const sw of variant.switches)
    if (sw.requires?.choice === choiceId && sw.requires.member === id) delete sw.requires;
  for (const item of variant.items)
    if (item.presence.choice === choiceId && item.presence.member === id) item.presence = alwaysAboard();
}
