import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import type { Kind, System } from '../quantity/units';

interface Props {
  /** What is measured, and of what: together its name for a screen reader. */
  label: string;
  of: string;
  value: number;
  kind: Kind;
  system: System;
  hint?: string | undefined;
  onCommit: (value: number) => void;
}

/** A figure of a thing that is empty while nobody has said it. */
export function FigureOf({ label, of, value, kind, system, hint, onCommit }: Props) {
  return (
    <Field label={label} {...(hint ? { hint } : {})}>
      <QuantityField
        label={`${label} of ${of}`}
        value={value}
        kind={kind}
        system={system}
        emptyForZero
        onCommit={onCommit}
      />
    </Field>
  );
}
