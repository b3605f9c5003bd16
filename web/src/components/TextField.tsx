import { useState } from 'react';

interface Props {
  label: string;
  value: string;
  onCommit: (value: string) => void;
  maxLength: number;
  /** May not be empty: an emptied field goes back to what it was. */
  required?: boolean;
  list?: string;
  placeholder?: string;
  className?: string;
  id?: string;
}

/** A line of text that is edited where it stands; saved while it is typed. */
export function TextField({ label, value, onCommit, maxLength, required, list, placeholder, className, id }: Props) {
  // A required text that has been emptied on the way to another one; the document keeps the last.
  const [emptied, setEmptied] = useState<string>();
  const change = (text: string) => {
    const kept = required && text.trim() === '';
    setEmptied(kept ? text : undefined);
    if (!kept) onCommit(text);
  };
  return (
    <input
      id={id}
      className={`form-control form-control-sm ${className ?? ''}`}
      aria-label={label}
      value={emptied ?? value}
      maxLength={maxLength}
      list={list}
      placeholder={placeholder}
      autoComplete="off"
      onFocus={(event) => event.target.select()}
      onChange={(event) => change(event.target.value)}
      onBlur={() => setEmptied(undefined)}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
      }}
    />
  );
}
