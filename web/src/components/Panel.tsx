import type { ReactNode } from 'react';

/** A titled sheet of the desk. */
export function Panel({
  title,
  note,
  actions,
  children,
  className,
}: {
  title: string;
  note?: string;
  actions?: ReactNode;
  children: ReactNode;
  className?: string;
}) {
  return (
    <section className={`sheet ${className ?? ''}`} aria-label={title}>
      <header className="sheet-head">
        <h2>{title}</h2>
        {note && <span className="hint">{note}</span>}
        {actions && <div className="sheet-actions">{actions}</div>}
      </header>
      {children}
    </section>
  );
}
