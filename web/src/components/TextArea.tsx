/** Several lines of text, saved while they are typed. */
export function TextArea({
  label,
  value,
  maxLength,
  rows = 3,
  onCommit,
}: {
  label: string;
  value: string;
  maxLength: number;
  rows?: number;
  onCommit: (text: string) => void;
}) {
  return (
    <textarea
      className="form-control form-control-sm"
      aria-label={label}
      value={value}
      maxLength={maxLength}
      rows={rows}
      onChange={(event) => onCommit(event.target.value)}
    />
  );
}
