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
  const [typed, setTyped] = useState<string>();
  const change = (text: string) => {
    setTyped(text);
    if (text.trim() !== '' || !required) onCommit(text);
  };
  return (
    <input
      id={id}
      className={`form-control form-control-sm ${className ?? ''}`}
      aria-label={label}
      value={typed ?? value}
      maxLength={maxLength}
      list={list}
      placeholder={placeholder}
      autoComplete="off"
      onFocus={(event) => event.target.select()}
      onChange={(event) => change(event.target.value)}
      onBlur={() => setTyped(undefined)}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
      }}
    />
  );
}
