import type { Item } from '../api/types';
import { useSession, useSnapshot } from '../document/SessionContext';

/** In an exercise: marks a thing as wrong, or takes the mark off it. */
export function MarkButton({ item }: { item: Item }) {
  const session = useSession();
  const { job } = useSnapshot();
  const training = job.training;
  if (!training || training.compared) return null;
  const marked = training.marked.some((m) => m.of === item.id);
  const toggle = () =>
    session.edit(marked ? `Take the mark off ${item.name}` : `Mark ${item.name}`, (j) => {
      if (!j.training) return;
      j.training.marked = marked
        ? j.training.marked.filter((m) => m.of !== item.id)
        : [...j.training.marked, { of: item.id, what: '' }];
    });
  return (
    <button
      type="button"
      className={`btn btn-sm ${marked ? 'btn-outline-secondary' : 'btn-primary'}`}
      aria-pressed={marked}
      onClick={toggle}
    >
      <i className="bi bi-flag" aria-hidden /> {marked ? 'Take the mark off' : 'Mark it as wrong'}
    </button>
  );
}
