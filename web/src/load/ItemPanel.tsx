import type { Item } from '../api/types';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatChange, formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';
import { forms } from '../words/words';
import { MarkButton } from '../training/MarkButton';
import { HandlingFields } from '../layout/HandlingFields';
import { substances } from '../words/layout';
import { itemIn, presenceOptions, presenceValue, setPresence } from './itemEdits';

/** Everything about the selected item that the ledger has no column for. */
export function ItemPanel({ selected }: { selected: string | undefined }) {
  const session = useSession();
  const { job, assessment } = useSnapshot();
  const item = selected === undefined ? undefined : itemIn(job, selected);
  if (!item) return <p className="empty">Choose an item in the scene or in the ledger to see it here.</p>;
  const figures = assessment?.items.find((f) => f.id === item.id);
  const variant = chosenVariant(job);
  const edit = (label: string, change: (item: Item) => void, key?: string) =>
    session.edit(
      `${label} of ${item.name}`,
      (j) => {
        const target = itemIn(j, item.id);
        if (target) change(target);
      },
      key,
    );
  const quantity = (
    label: string,
    value: number,
    kind: Kind,
    set: (item: Item, value: number) => void,
    hint?: string,
  ) => (
    <Field label={label} {...(hint ? { hint } : {})}>
      <QuantityField
        label={`${label} of ${item.name}`}
        value={value}
        kind={kind}
        system={job.units}
        onCommit={(v) => edit(label, (i) => set(i, v))}
      />
    </Field>
  );
  const level = item.presence.kind === 'level' ? item.presence.level : undefined;
  const groups = [...new Set(variant.items.map((i) => i.group))].filter(Boolean).sort();
  return (
    <div className="form" data-panel="item">
      <MarkButton item={item} />
      <Field label="Name">
        <TextField
          label="Name"
          value={item.name}
          maxLength={120}
          required
          onCommit={(text) => edit('Name', (i) => (i.name = text), `name ${item.id}`)}
        />
      </Field>
      <Field label="Group">
        <TextField
          label="Group"
          value={item.group}
          maxLength={200}
          list="groups"
          onCommit={(text) => edit('Group', (i) => (i.group = text), `group ${item.id}`)}
        />
        <datalist id="groups">
          {groups.map((group) => (
            <option key={group} value={group} />
          ))}
        </datalist>
      </Field>
      <Field label="Presence">
        <SelectField
          label="Presence"
          value={presenceValue(item.presence)}
          options={presenceOptions(variant)}
          onCommit={(value) =>
            session.edit(`Presence of ${item.name}`, (j) => {
              const target = itemIn(j, item.id);
              if (target) setPresence(j, target, value);
            })
          }
        />
      </Field>
      {quantity(level ? 'Empty vessel' : 'Mass', item.mass, 'mass', (i, v) => (i.mass = v))}
      {level && (
        <>
          {quantity('Content now', level.now, 'volume', (i, v) => i.presence.level && (i.presence.level.now = v))}
          {quantity('Least', level.min, 'volume', (i, v) => i.presence.level && (i.presence.level.min = v))}
          {quantity('Most', level.max, 'volume', (i, v) => i.presence.level && (i.presence.level.max = v))}
          {quantity(
            'Density kg/L',
            level.density,
            'plain',
            (i, v) => i.presence.level && (i.presence.level.density = v),
          )}
        </>
      )}
      <Field label="Seat">
        <SelectField
          label="Seat"
          value={item.seat}
          options={[
            { value: '', label: 'Not in a seat' },
            ...job.vehicle.seats.map((s) => ({ value: s.id, label: s.name })),
          ]}
          onCommit={(seat) =>
            edit('Seat', (i) => {
              const left = job.vehicle.seats.find((s) => s.id === i.seat);
              if (seat === '' && left) i.at = { ...left.at }; // who gets up stays where the seat is
              i.seat = seat;
            })
          }
        />
      </Field>
      {job.vehicle.bays.length > 0 && (
        <Field label="Stands in">
          <SelectField
            label="Bay"
            value={item.bay}
            options={[
              { value: '', label: 'No measured space' },
              ...job.vehicle.bays.map((b) => ({ value: b.id, label: b.name })),
            ]}
            onCommit={(bay) => edit('Bay', (i) => (i.bay = bay))}
          />
        </Field>
      )}
      {item.seat === '' && (
        <>
          {quantity('Right of centre', item.at.y, 'length', (i, v) => (i.at.y = v), 'Left is negative')}
          {quantity('Above the ground', item.at.z, 'length', (i, v) => (i.at.z = v), 'Its centre of mass')}
        </>
      )}
      {quantity('Own length', item.size.length, 'length', (i, v) => (i.size.length = v))}
      {quantity('Own width', item.size.width, 'length', (i, v) => (i.size.width = v))}
      {quantity('Own height', item.size.height, 'length', (i, v) => (i.size.height = v))}
      <Field label="Drawn as">
        <SelectField
          label="Drawn as"
          value={item.form}
          options={forms}
          onCommit={(form) => edit('Form', (i) => (i.form = form))}
        />
      </Field>
      <Field label="Holds">
        <SelectField
          label="Holds"
          value={item.substance}
          options={substances}
          onCommit={(substance) => edit('What it holds', (i) => (i.substance = substance))}
        />
      </Field>
      {job.trailer && item.seat === '' && (
        <Field label="On the trailer" hint="over its axle">
          <input
            type="checkbox"
            className="form-check-input"
            aria-label={`${item.name} rides on the trailer`}
            checked={item.onTrailer}
            onChange={(e) => edit('Trailer', (i) => (i.onTrailer = e.target.checked))}
          />
        </Field>
      )}
      {job.vehicle.extension && (
        <Field label="Behind the cut">
          <input
            type="checkbox"
            className="form-check-input"
            aria-label="Moves rearward with the wheelbase extension"
            checked={item.behind}
            onChange={(e) => edit('Cut', (i) => (i.behind = e.target.checked))}
          />
        </Field>
      )}
      <HandlingFields item={item} edit={edit} />
      <Field label="Note">
        <TextField
          label="Note"
          value={item.note}
          maxLength={4000}
          onCommit={(text) => edit('Note', (i) => (i.note = text), `note ${item.id}`)}
        />
      </Field>
      {figures?.onTrailer && (
        <p className="hint">
          {formatQuantity(figures.mass, 'mass', job.units)} on the trailer’s axle while it is coupled, and on no axle of
          the vehicle.
        </p>
      )}
      {figures && !figures.onTrailer && (
        <p className="hint">
          {formatQuantity(figures.mass, 'mass', job.units)}: front {formatChange(figures.front, 'mass', job.units)},
          rear {formatChange(figures.rear, 'mass', job.units)}. Moving it {formatQuantity(100, 'length', job.units)}{' '}
          rearward puts {formatQuantity(figures.per100, 'mass', job.units)} from the front axle on the rear.
        </p>
      )}
    </div>
  );
}
