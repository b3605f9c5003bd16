import type { BoardDrawing } from '../api/types';

/** The single-line drawing, as the core lays it out; a line or its end is chosen by pointer or key. */
export function BoardPicture({
  drawing,
  chosen,
  onChoose,
}: {
  drawing: BoardDrawing;
  chosen: string;
  onChoose: (of: string) => void;
}) {
  const points = (list: number[]) => {
    const pairs: string[] = [];
    for (let i = 0; i + 1 < list.length; i += 2) pairs.push(`${list[i]} ${list[i + 1]}`);
    return `M${pairs.join('L')}`;
  };
  return (
    <div className="board-picture">
      <svg
        className="scene board"
        viewBox={`0 0 ${drawing.width} ${drawing.height}`}
        style={{ maxWidth: drawing.width * 1.25 }}
        role="group"
        aria-label="Single-line drawing of the board"
      >
        {drawing.wires.map((w, i) => (
          <path
            key={i}
            className={`board-wire ${w.of === chosen ? 'chosen' : ''} ${w.dashed ? 'dashed' : ''}`}
            d={points(w.points)}
            strokeWidth={w.thick}
            onClick={() => onChoose(w.of)}
          />
        ))}
        {drawing.boxes.map((b, i) => {
          const name = drawing.texts.find(
            (t) => t.of === b.of && t.x >= b.x && t.x < b.x + b.width && t.y > b.y && t.y <= b.y + b.height,
          )?.text;
          return (
            <rect
              key={i}
              className={`board-box board-${b.kind} ${b.of === chosen ? 'chosen' : ''}`}
              x={b.x}
              y={b.y}
              width={b.width}
              height={b.height}
              role="button"
              tabIndex={b.kind === 'fuse' ? -1 : 0}
              aria-label={name ?? b.of}
              aria-pressed={b.of === chosen}
              data-board={b.of}
              onClick={() => onChoose(b.of)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                onChoose(b.of);
              }}
            />
          );
        })}
        {drawing.texts.map((t, i) => (
          <text key={i} x={t.x} y={t.y} className={t.strong ? 'strong' : undefined} aria-hidden>
            {t.text}
          </text>
        ))}
      </svg>
    </div>
  );
}
