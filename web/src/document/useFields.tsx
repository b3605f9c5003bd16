import type { ReactNode } from 'react';

import type { Job } from '../api/types';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { TextField } from '../components/TextField';
import { unitName, type Kind } from '../quantity/units';
import { useSession, useSnapshot } from './SessionContext';

/** What a field is called: on the screen, and to a screen reader where that has to say of what. */
type Label = string | readonly [shown: string, spoken: string];

/** A part of the job, and short ways to show and edit its fields. */
export function useFields<T>(pick: (job: Job) => T) {
  const session = useSession();
  const { job, assessment } = useSnapshot();
  const edit = (label: string, change: (part: T, job: Job) => void, key?: string) =>
    session.edit(label, (j) => change(pick(j), j), key);
  const field = (
    bare: boolean,
    label: string,
    value: number,
    kind: Kind,
    set: (part: T, value: number, job: Job) => void,
    emptyForZero: boolean,
  ) => (
    <QuantityField
      bare={bare}
      label={label}
      value={value}
      kind={kind}
      system={job.units}
      emptyForZero={emptyForZero}
      onCommit={(v) => edit(label, (part, j) => set(part, v, j))}
    />
  );
  /** A field for tables whose heads name the unit. */
  const input = (
    label: string,
    value: number,
    kind: Kind,
    set: (part: T, value: number, job: Job) => void,
    emptyForZero = false,
  ) => field(true, label, value, kind, set, emptyForZero);
  /** A labelled field for forms; with emptyForZero, 0 means that nobody knows yet. */
  const line = (
    label: Label,
    value: number,
    kind: Kind,
    set: (part: T, value: number, job: Job) => void,
    hint?: string,
    emptyForZero = false,
  ): ReactNode => {
    const [shown, spoken] = typeof label === 'string' ? [label, label] : label;
    return (
      <Field label={shown} {...(hint ? { hint } : {})}>
        {field(false, spoken, value, kind, set, emptyForZero)}
      </Field>
    );
  };
  /** A box to tick, with its words beside it. */
  const tick = (
    label: string,
    words: string,
    checked: boolean,
    set: (part: T, checked: boolean, job: Job) => void,
  ): ReactNode => (
    <label className="switch-line">
      <input
        type="checkbox"
        className="form-check-input"
        aria-label={label}
        checked={checked}
        onChange={(event) => edit(label, (part, j) => set(part, event.target.checked, j))}
      />
      {words}
    </label>
  );
  /** A box to tick in a table. */
  const box = (label: string, checked: boolean, set: (part: T, checked: boolean, job: Job) => void): ReactNode => (
    <input
      type="checkbox"
      className="form-check-input"
      aria-label={label}
      checked={checked}
      onChange={(event) => edit(label, (part, j) => set(part, event.target.checked, j))}
    />
  );
  /** A text in one line. */
  const text = (
    label: string,
    value: string,
    set: (part: T, text: string) => void,
    maxLength = 200,
    required = false,
  ): ReactNode => (
    <TextField
      label={label}
      value={value}
      maxLength={maxLength}
      required={required}
      onCommit={(t) => edit(label, (part) => set(part, t), label)}
    />
  );
  const unit = (kind: Kind) => unitName(kind, job.units);
  return { session, job, assessment, edit, input, line, tick, box, text, unit };
}
