import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A page beside the jobs: the way back, what it is, and what can be done with all of it. */
export function BesidePage({
  to,
  back,
  title,
  hint,
  actions,
  children,
}: {
  to: string;
  /** What the way back leads to. */
  back: string;
  title: string;
  hint?: string | undefined;
  actions?: ReactNode;
  children: ReactNode;
}) {
  return (
    <main className="jobs-page beside-page">
      <header className="jobs-head">
        <Link to={to} className="btn btn-outline-secondary">
          {back}
        </Link>
        <h1>{title}</h1>
        {hint !== undefined && <p className="hint">{hint}</p>}
        {actions}
      </header>
      {children}
    </main>
  );
}
