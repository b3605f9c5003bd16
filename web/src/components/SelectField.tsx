interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onCommit: (value: T) => void;
  className?: string;
  title?: string;
  id?: string;
}

/** A choice between a few words. */
export function SelectField<T extends string>({ label, value, options, onCommit, className, title, id }: Props<T>) {
  return (
    <select
      id={id}
      className={`form-select form-select-sm ${className ?? ''}`}
      aria-label={label}
      title={title}
      value={value}
      onChange={(event) => onCommit(event.target.value as T)}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </select>
  );
}
