import { useId, useState, type KeyboardEvent } from 'react';

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
  disabled?: boolean;
  /** Why it is disabled, or what it means. */
  title?: string;
  /** Without the unit behind it, for columns whose head names it. */
  bare?: boolean;
  id?: string;
}

/**
 * A number that is edited where it stands. It takes units and sums, is made on
 * Enter or on leaving, and put back with Escape; what cannot be read stays in
 * the field with the reason.
 */
export function QuantityField({ label, value, kind, system, onCommit, emptyForZero, disabled, title, bare, id }: Props) {
  const start = emptyForZero && value === 0 ? '' : editable(value, kind, system);
  const [typed, setTyped] = useState<string>();
  const [refusal, setRefusal] = useState('');
  const errorId = useId();

  const commit = () => {
    if (typed === undefined || typed.trim() === start) return leave();
    if (emptyForZero && typed.trim() === '') {
      leave();
      return onCommit(0);
    }
    try {
      const read = parseQuantity(typed, kind, system);
      leave();
      onCommit(read);
    } catch (error) {
      if (!(error instanceof NotAQuantity)) throw error;
      setRefusal(`${label}: ${error.message}`);
    }
  };
  const leave = () => {
    setTyped(undefined);
    setRefusal('');
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') commit();
    if (event.key === 'Escape') {
      event.stopPropagation();
      leave();
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
        value={typed ?? start}
        disabled={disabled}
        autoComplete="off"
        data-typing={typed !== undefined && typed !== start}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={onKeyDown}
      />
      {!bare && unitName(kind, system) !== '' && (
        <span className="unit" aria-hidden>
          {unitName(kind, system)}
        </span>
      )}
      {refusal && (
        <span className="refusal" id={errorId} role="alert">
          {refusal}
        </span>
      )}
    </span>
  );
}
