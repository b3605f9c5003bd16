import type { Condition, Output } from '../api/types';
import { RemoveButton } from '../components/ListButtons';
import { SelectField } from '../components/SelectField';
import { chosenVariant } from '../document/SessionContext';
import { drop, on } from '../document/things';
import { conditionKinds } from '../words/power';
import { ClockField } from './ClockField';
import { usePower } from './usePower';

/** One condition of a line: what it looks at, and how it has to be. */
export function ConditionFields({
  output: o,
  line: l,
  condition: c,
  first,
}: {
  output: Output;
  line: Output['lines'][number];
  condition: Condition;
  first: boolean;
}) {
  const { job, electrics, edit, input, unit } = usePower();
  const set = (change: (x: Condition) => void) => (e: typeof electrics) =>
    on(e.outputs, o.id, (x) => on(x.lines, l.id, (y) => on(y.conditions, c.id, change)));
  const make = (change: (x: Condition) => void) => edit('Condition', set(change));
  const pick = (label: string, options: { value: string; label: string }[]) => (
    <SelectField
      label={label}
      value={options.some((x) => x.value === c.of) ? c.of : ''}
      options={[{ value: '', label: 'which …' }, ...options]}
      onCommit={(of) => make((x) => (x.of = of))}
    />
  );
  const compared = ['charge', 'voltage', 'temperature'].includes(c.what);
  const control = electrics.controls.find((x) => x.id === c.of);
  return (
    <span className="condition">
      {!first && <span className="hint">and</span>}
      <SelectField
        label="What it looks at"
        value={c.what}
        options={conditionKinds}
        onCommit={(what) =>
          make((x) => {
            x.what = what;
            x.of = '';
            if (what === 'charge') x.value = 0.5;
            if (what === 'voltage') x.value = 12.2;
            if (what === 'temperature') x.value = 25;
            if (what === 'hours') [x.from, x.to] = [18, 22];
          })
        }
      />
      {(c.what === 'charge' || c.what === 'voltage') &&
        pick(
          'Of which battery',
          electrics.systems.map((s) => ({ value: s.id, label: s.name })),
        )}
      {c.what === 'control' &&
        pick(
          'Which switch',
          electrics.controls.map((s) => ({ value: s.id, label: s.name })),
        )}
      {c.what === 'control' && control && control.positions.length > 0 && (
        <SelectField
          label="At which position"
          value={c.place}
          options={[{ value: '', label: 'on' }, ...control.positions.map((p) => ({ value: p.id, label: p.name }))]}
          onCommit={(place) => make((x) => (x.place = place))}
        />
      )}
      {c.what === 'door' &&
        pick(
          'Which door',
          job.vehicle.bays.map((b) => ({ value: b.id, label: b.name })),
        )}
      {c.what === 'output' &&
        pick(
          'Which other one',
          chosenVariant(job)
            .electrics.outputs.filter((x) => x.id !== o.id)
            .map((x) => ({
              value: x.id,
              label:
                [...electrics.chargers, ...electrics.loads, ...electrics.inverters, ...electrics.sources].find(
                  (t) => t.id === x.of,
                )?.name ?? x.id,
            })),
        )}
      <SelectField
        label="How it has to be"
        value={c.not ? 'not' : 'is'}
        options={
          compared
            ? [
                { value: 'is', label: 'at least' },
                { value: 'not', label: 'below' },
              ]
            : [
                { value: 'is', label: 'so' },
                { value: 'not', label: 'not so' },
              ]
        }
        onCommit={(v) => make((x) => (x.not = v === 'not'))}
      />
      {c.what === 'charge' && (
        <span className="condition-value">
          {input('State of charge, %', c.value * 100, 'plain', (e, v) => set((x) => (x.value = v / 100))(e))}%
        </span>
      )}
      {c.what === 'voltage' && (
        <span className="condition-value">
          {input('Voltage', c.value, 'voltage', (e, v) => set((x) => (x.value = v))(e))}V
        </span>
      )}
      {c.what === 'temperature' && (
        <span className="condition-value">
          {input('Temperature', c.value, 'temperature', (e, v) => set((x) => (x.value = v))(e))}
          {unit('temperature')}
        </span>
      )}
      {c.what === 'hours' && (
        <>
          <ClockField label="From" value={c.from} onCommit={(h) => make((x) => (x.from = h))} />
          <ClockField label="To" value={c.to} onCommit={(h) => make((x) => (x.to = h))} />
        </>
      )}
      <RemoveButton
        label="Remove this condition"
        onClick={() =>
          edit('Condition', (e) => on(e.outputs, o.id, (x) => on(x.lines, l.id, (y) => drop(y.conditions, c.id))))
        }
      />
    </span>
  );
}
