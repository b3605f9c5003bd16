interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onCommit: (value: T) => void;
  onEnter?: () => void;
  className?: string;
  title?: string;
  id?: string;
}

/** A choice between a few words. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  onCommit,
  onEnter,
  className,
  title,
  id,
}: Props<T>) {
  return (
    <select
      id={id}
      className={`form-select form-select-sm ${className ?? ''}`}
      aria-label={label}
      title={title}
      value={value}
      onChange={(event) => onCommit(event.target.value as T)}
      onKeyDown={(event) => event.key === 'Enter' && onEnter?.()}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </select>
  );
}
