import type { Item } from '../api/types';
import { Field } from '../components/Field';
import type { Kind } from '../quantity/units';
import { useSnapshot } from '../document/SessionContext';
import { FigureOf } from './FigureOf';

interface Props {
  item: Item;
  edit: (label: string, change: (item: Item) => void) => void;
}

/** What is heard of a thing at night, and how it comes in where it is not carried. */
export function HandlingFields({ item, edit }: Props) {
  const { job } = useSnapshot();
  const l = item.loading;
  const quantity = (label: string, value: number, kind: Kind, set: (i: Item, v: number) => void, hint?: string) => (
    <FigureOf
      label={label}
      of={item.name}
      value={value}
      kind={kind}
      system={job.units}
      hint={hint}
      onCommit={(v) => edit(label, (i) => set(i, v))}
    />
  );
  const box = (label: string, spoken: string, on: boolean, set: (i: Item, on: boolean) => void) => (
    <Field label={label}>
      <input
        type="checkbox"
        className="form-check-input"
        aria-label={spoken}
        checked={on}
        onChange={(event) => edit(label, (i) => set(i, event.target.checked))}
      />
    </Field>
  );
  return (
    <fieldset>
      <legend>Cables, noise, and the way in</legend>
      {box('Stands for cables of the board', `${item.name} stands for cables`, item.cables, (i, v) => (i.cables = v))}
      {quantity('Noise at 1 m, dB', item.noise, 'plain', (i, v) => (i.noise = v), 'By its data sheet')}
      {box('Runs at night', `${item.name} runs at night`, item.nights, (i, v) => (i.nights = v))}
      {box('Hung on rubber', `${item.name} is hung`, item.hung, (i, v) => (i.hung = v))}
      {box('Comes in by a ramp', `${item.name} comes in by a ramp`, l !== undefined, (i, v) => {
        if (v) i.loading = { ramp: 2400, rise: job.vehicle.outline.floorHeight, winch: 0, line: 0, belly: 0, wheel: 0 };
        else delete i.loading;
      })}
      {l && (
        <>
          {quantity('Ramp', l.ramp, 'length', (i, v) => i.loading && (i.loading.ramp = v))}
          {quantity('Comes up by', l.rise, 'length', (i, v) => i.loading && (i.loading.rise = v))}
          {quantity('Winch pulls, N', l.winch, 'plain', (i, v) => i.loading && (i.loading.winch = v), 'Empty: by hand')}
          {quantity('Its line holds, N', l.line, 'plain', (i, v) => i.loading && (i.loading.line = v))}
          {quantity('Between its wheels', l.wheel, 'length', (i, v) => i.loading && (i.loading.wheel = v))}
          {quantity('Free below its middle', l.belly, 'length', (i, v) => i.loading && (i.loading.belly = v))}
        </>
      )}
    </fieldset>
  );
}
