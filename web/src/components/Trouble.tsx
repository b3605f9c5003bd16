import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A screen that cannot be shown, and the ways on. */
export function Trouble({ message, ways }: { message: string; ways?: ReactNode }) {
  return (
    <main className="trouble-page">
      <h1>This cannot be shown</h1>
      <p role="alert">{message}</p>
      <Link className="btn btn-primary" to="/">
        To the list of jobs
      </Link>{' '}
      {ways}
    </main>
  );
}
