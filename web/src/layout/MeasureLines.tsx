import type { Finding } from '../api/types';
import { drawX, drawY, type Window } from '../scene/geometry';
import { project, type Stand } from '../scene/projection';

/** The measure of a finding, drawn where it is. */
export function MeasureLines({ finding, view, w }: { finding: Finding; view: Stand; w: Window }) {
  return (
    <g className="measures" aria-hidden>
      {finding.lines.map((l, i) => {
        const [a, b] = [project(view, l.from), project(view, l.to)];
        const [x1, y1, x2, y2] = [drawX(w, a[0]), drawY(w, a[1]), drawX(w, b[0]), drawY(w, b[1])];
        const long = Math.hypot(x2 - x1, y2 - y1);
        // Seen end on it is a point, which tells nothing in this view.
        if (long < 2) return <circle key={i} data-line={l.label} cx={x1} cy={y1} r={6} />;
        const [nx, ny] = [(-(y2 - y1) / long) * 5, ((x2 - x1) / long) * 5];
        return (
          <g key={i} data-line={l.label}>
            <path
              d={`M${x1} ${y1}L${x2} ${y2}M${x1 - nx} ${y1 - ny}l${2 * nx} ${2 * ny}M${x2 - nx} ${y2 - ny}l${2 * nx} ${2 * ny}`}
            />
            <text x={(x1 + x2) / 2 + 4} y={(y1 + y2) / 2 - 5}>
              {l.label}
            </text>
          </g>
        );
      })}
    </g>
  );
}
