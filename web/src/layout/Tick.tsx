/** A box to tick with its words beside it. */
export function Tick({
  label,
  name,
  on,
  set,
  disabled,
}: {
  label: string;
  name: string;
  on: boolean;
  set: (on: boolean) => void;
  disabled?: boolean;
}) {
  return (
    <label className="switch-line">
      <input
        type="checkbox"
        className="form-check-input"
        aria-label={name}
        checked={on}
        disabled={disabled}
        onChange={(event) => set(event.target.checked)}
      />
      {label}
    </label>
  );
}
