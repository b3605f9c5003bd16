import type { MouseEvent } from 'react';
import Button from 'react-bootstrap/Button';

/** Adds a line to a list. */
export function AddButton({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <Button size="sm" variant="outline-primary" onClick={onClick}>
      <i className="bi bi-plus-lg" aria-hidden /> {label}
    </Button>
  );
}

/** The head of the column of RemoveButtons. */
export function RemoveHead() {
  return (
    <th scope="col" className="col-remove">
      <span className="visually-hidden">Remove</span>
    </th>
  );
}

/** Takes a line off a list; undo brings it back. */
export function RemoveButton({ label, onClick }: { label: string; onClick: (event: MouseEvent) => void }) {
  return (
    <button
      type="button"
      className="icon-button"
      aria-label={label}
      title="Remove; undo brings it back"
      onClick={onClick}
    >
      <i className="bi bi-x-lg" aria-hidden />
    </button>
  );
}
