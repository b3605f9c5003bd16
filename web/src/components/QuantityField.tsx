import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';

import { NotAQuantity, parseQuantity } from '../quantity/parse';
import { editable } from '../quantity/format';
import { unitName, type Kind, type System } from '../quantity/units';

interface Props {
  /** What a screen reader says. */
  label: string;
  /** mm, kg, L or a plain number. */
  value: number;
  kind: Kind;
  system: System;
  onCommit: (value: number) => void;
  /** Shows nothing for 0, which then means "not stated". */
  emptyForZero?: boolean;
  /** What nothing means, in the empty field. */
  whenEmpty?: string;
  disabled?: boolean;
  /** Why it is disabled, or what it means. */
  title?: string;
  /** Without the unit behind it, for columns whose head names it. */
  bare?: boolean;
  id?: string;
  /** After Enter, when what was typed could be read. */
  onDone?: () => void;
}

/**
 * Brings a refusal into sight that hangs beyond an edge of what scrolls; not while the mouse is down on something
 * else, which would move away from under it.
 */
const intoSight = (refusal: HTMLElement | null) => {
  if (!document.querySelector(':active')) refusal?.scrollIntoView({ block: 'nearest' });
};

/**
 * A number that is edited where it stands. It takes units and sums, is made on
 * Enter or on leaving, and put back with Escape; what cannot be read stays in
 * the field with the reason.
 */
export function QuantityField({
  label,
  value,
  kind,
  system,
  onCommit,
  emptyForZero,
  whenEmpty,
  disabled,
  title,
  bare,
  id,
  onDone,
}: Props) {
  const unit = bare ? '' : unitName(kind, system);
  const start = emptyForZero && value === 0 ? '' : editable(value, kind, system);
  const [typed, setTyped] = useState<string>();
  const [refusal, setRefusal] = useState('');
  const errorId = useId();

  const leave = () => {
    setTyped(undefined);
    setRefusal('');
  };
  const last = useRef<() => boolean>(() => true);
  /** Makes what was typed; false when it cannot be read. */
  const commit = (): boolean => {
    if (typed === undefined || typed.trim() === start) {
      leave();
      return true;
    }
    try {
      const read = emptyForZero && typed.trim() === '' ? 0 : parseQuantity(typed, kind, system);
      leave();
      last.current = () => true; // made once, also where making it takes the field away
      onCommit(read);
      return true;
    } catch (error) {
      if (!(error instanceof NotAQuantity)) throw error;
      setRefusal(`${label}: ${error.message}`);
      return false;
    }
  };
  // A field that goes away while something is typed into it makes it, as on leaving.
  useEffect(() => {
    last.current = commit;
  });
  useEffect(() => () => void last.current(), []);
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter' && commit()) onDone?.();
    if (event.key === 'Escape') {
      event.stopPropagation();
      leave();
      // Ready to be typed over again, as on coming in.
      const input = event.currentTarget;
      requestAnimationFrame(() => input.select());
    }
  };
  return (
    <span className="quantity">
      <input
        id={id}
        className={`form-control form-control-sm figure ${refusal ? 'is-invalid' : ''}`}
        aria-label={label}
        aria-invalid={refusal !== ''}
        aria-describedby={refusal ? errorId : undefined}
        title={title}
        placeholder={whenEmpty}
        value={typed ?? start}
        // The figure keeps clear of the unit behind it, however long that is.
        style={unit === '' ? undefined : { paddingRight: `${1.5 + 0.6 * unit.length}em` }}
        disabled={disabled}
        autoComplete="off"
        data-typing={typed !== undefined && typed !== start}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={onKeyDown}
      />
      {unit !== '' && (
        <span className="unit" aria-hidden>
          {unit}
        </span>
      )}
      {refusal && (
        <span ref={intoSight} className="refusal" id={errorId} role="alert">
          {refusal}
        </span>
      )}
    </span>
  );
}
