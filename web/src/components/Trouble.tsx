import { Link } from 'react-router';

/** A screen that cannot be shown, and the way on. */
export function Trouble({ message }: { message: string }) {
  return (
    <main className="trouble-page">
      <h1>This cannot be shown</h1>
      <p role="alert">{message}</p>
      <Link className="btn btn-primary" to="/">
        To the list of jobs
      </Link>
    </main>
  );
}
