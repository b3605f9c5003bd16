import type { HandFigures, Item, Job, Module } from '../api/types';
import { Field } from '../components/Field';
import { RemoveButton } from '../components/ListButtons';
import { SelectField } from '../components/SelectField';
import { followings, latches } from '../words/layout';
import { FigureOf } from './FigureOf';
import { StrutFields } from './StrutFields';
import { Tick } from './Tick';

/** Kinds that have a lid to hold up, whichever way it opens. */
const lidded: readonly Module['kind'][] = ['lidded-box', 'platform', 'wing-panels', 'battery-box'];

interface Props {
  item: Item;
  module: Module;
  job: Job;
  /** It opens: a latch has something to hold. */
  opens: boolean;
  /** Force at the hand over the swing of its lid, where it is known where its struts turn. */
  hand: readonly HandFigures[];
  onEdit: (label: string, change: (m: Module) => void) => void;
}

/** What holds a part: its latch, its struts, its fixings; and what follows it out. */
export function HoldFields({ item, module: m, job, opens, hand, onEdit }: Props) {
  const number = (
    label: string,
    value: number,
    set: (m: Module, v: number) => void,
    hint?: string,
    kind: 'plain' | 'mass' | 'length' = 'plain',
  ) => (
    <FigureOf
      label={label}
      of={item.name}
      value={value}
      kind={kind}
      system={job.units}
      hint={hint}
      onCommit={(v) => onEdit(label, (x) => set(x, v))}
    />
  );
  const mounts = job.vehicle.mounts;
  const free = mounts.filter((p) => !m.fixings.some((f) => f.mount === p.id));
  return (
    <fieldset>
      <legend>How it is held</legend>
      {opens && (
        <>
          <Field label="Shut by">
            <SelectField
              label="Shut by"
              value={m.latch}
              options={latches}
              onCommit={(latch) => onEdit('Latch', (x) => (x.latch = latch))}
            />
          </Field>
          {m.latch === 'rated' && number('Latch holds', m.holds, (x, v) => (x.holds = v), 'N; empty is not stated')}
        </>
      )}
      {m.faces === 'top' || lidded.includes(m.kind) ? (
        <>
          {number('Gas struts', m.struts, (x, v) => (x.struts = Math.round(v)))}
          {m.struts > 0 && number('Force of each', m.force, (x, v) => (x.force = v), 'N')}
          {m.struts > 0 &&
            number(
              'From the hinge',
              m.strutAt,
              (x, v) => (x.strutAt = v),
              'where a strut takes the lid; empty: its middle',
              'length',
            )}
          {m.struts > 0 && opens && <StrutFields item={item} module={m} job={job} hand={hand} onEdit={onEdit} />}
        </>
      ) : null}
      {number(
        'Rated',
        m.rated,
        (x, v) => (x.rated = v),
        'runners, hinges or top, by data sheet; empty is not stated',
        'mass',
      )}
      {opens && (
        <Field label="Cable or hose">
          <SelectField
            label="Cable or hose"
            value={m.follows}
            options={followings}
            onCommit={(follows) => onEdit('What follows', (x) => (x.follows = follows))}
          />
        </Field>
      )}
      <Tick
        label="It has a lock of its own"
        name={`${item.name} has a lock of its own`}
        on={m.keyed}
        set={(on) => onEdit('Lock', (x) => (x.keyed = on))}
      />
      {m.fixings.map((f) => {
        const name = mounts.find((p) => p.id === f.mount)?.name ?? f.mount;
        return (
          <div key={f.mount} className="loose-line">
            <span>{name}</span>
            <span />
            <RemoveButton
              label={`Not fixed to ${name}`}
              onClick={() =>
                onEdit(`Fixing to ${name}`, (x) => (x.fixings = x.fixings.filter((o) => o.mount !== f.mount)))
              }
            />
          </div>
        );
      })}
      <select
        className="form-select form-select-sm"
        aria-label="Fix it to"
        value=""
        disabled={free.length === 0}
        onChange={(event) => {
          const mount = event.target.value;
          onEdit('Fixing', (x) => x.fixings.push({ mount }));
        }}
      >
        <option value="">
          {mounts.length === 0 ? 'No mounting points are listed (Vehicle, On it)' : 'Fix it to a mounting point'}
        </option>
        {free.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </select>
    </fieldset>
  );
}
