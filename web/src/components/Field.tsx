import type { ReactNode } from 'react';

/** A labelled line of a form; the label says what, a hint says why. */
export function Field({
  label,
  hint,
  title,
  children,
}: {
  label: ReactNode;
  hint?: string;
  title?: string;
  children: ReactNode;
}) {
  return (
    <div className="field">
      <span className="field-label" title={title}>
        {label}
      </span>
      <div className="field-control">
        {children}
        {hint && <small className="hint">{hint}</small>}
      </div>
    </div>
  );
}
