import type { BoardDrawing, Finding } from '../api/types';
import { SeverityShape } from '../findings/SeverityMark';

/** The single-line drawing, as the core lays it out; a line or its end is chosen by pointer or key. */
export function BoardPicture({
  drawing,
  chosen,
  told,
  onChoose,
}: {
  drawing: BoardDrawing;
  chosen: string;
  /** The worst that is found about each thing, by its id. */
  told: Map<string, Finding['severity']>;
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
              aria-label={[name ?? b.of, told.get(b.of)].filter(Boolean).join(', ')}
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
        {drawing.boxes.map((b, i) => {
          const severity = b.kind === 'fuse' ? undefined : told.get(b.of);
          return (
            severity && (
              <svg
                key={i}
                className={`board-told severity-${severity}`}
                viewBox="0 0 16 16"
                x={b.x + b.width - 20}
                y={b.y + b.height / 2 - 7}
                width={14}
                height={14}
                aria-hidden
              >
                <SeverityShape severity={severity} />
              </svg>
            )
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
