import type { DrawnSheet } from '../api/types';

/** What the numbers in a drawing stand for; each line chooses its thing, and shows which is chosen. */
export function KeyList({
  sheet,
  selected,
  onSelect,
}: {
  sheet: DrawnSheet | undefined;
  selected: readonly string[];
  onSelect: (id: string) => void;
}) {
  if (!sheet || sheet.key.length === 0) return null;
  return (
    <section className="key-list" aria-label="Key to the drawing">
      {sheet.key.map((k) => (
        <button
          key={k.id}
          type="button"
          data-key={k.id}
          aria-pressed={selected.includes(k.id)}
          onClick={() => onSelect(k.id)}
        >
          <span className="key-number">{k.number}</span>
          {k.name}
        </button>
      ))}
    </section>
  );
}
