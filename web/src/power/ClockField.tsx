import { clock, hourOf } from './usePower';

/** An hour of the day, as the clock writes it. */
export function ClockField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: number;
  onCommit: (hour: number) => void;
}) {
  return (
    <input
      type="time"
      className="form-control form-control-sm figure clock-field"
      aria-label={label}
      value={clock(value)}
      onChange={(event) => {
        const hour = hourOf(event.target.value);
        if (hour !== undefined) onCommit(hour);
      }}
    />
  );
}
