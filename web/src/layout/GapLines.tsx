import { formatNumber } from '../quantity/format';
import { drawX, drawY, type Window } from '../scene/geometry';
import { axesOf, project, type Axis, type Stand } from '../scene/projection';
import { middle } from './parts';
import type { Bench } from './useBench';

const along: Record<Axis, readonly string[]> = {
  x: ['front', 'rear'],
  y: ['left', 'right'],
  z: ['below', 'above'],
};

/** Live distances from the part chosen last to its neighbours and the walls. */
export function GapLines({ bench, view, w }: { bench: Bench; view: Stand; w: Window }) {
  const part = bench.all.find((p) => p.item.id === bench.selected.at(-1));
  if (!part?.figures) return null;
  const { box, figures } = part;
  const m = middle(box);
  const { away } = axesOf[view];
  return (
    <g className="gaps" aria-hidden>
      {figures.gaps
        .filter((g) => !along[away].includes(g.side) && g.mm > 0.5)
        .map((gap) => {
          const ends = {
            front: [
              { ...m, x: box.from.x },
              { ...m, x: box.from.x - gap.mm },
            ],
            rear: [
              { ...m, x: box.to.x },
              { ...m, x: box.to.x + gap.mm },
            ],
            left: [
              { ...m, y: box.from.y },
              { ...m, y: box.from.y - gap.mm },
            ],
            right: [
              { ...m, y: box.to.y },
              { ...m, y: box.to.y + gap.mm },
            ],
            below: [
              { ...m, z: box.from.z },
              { ...m, z: box.from.z - gap.mm },
            ],
            above: [
              { ...m, z: box.to.z },
              { ...m, z: box.to.z + gap.mm },
            ],
          }[gap.side];
          const [a, b] = ends.map((p) => project(view, p));
          if (!a || !b) return null;
          const [x1, y1, x2, y2] = [drawX(w, a[0]), drawY(w, a[1]), drawX(w, b[0]), drawY(w, b[1])];
          return (
            <g key={gap.side} data-gap={gap.side}>
              <path d={`M${x1} ${y1}L${x2} ${y2}`} />
              <text x={(x1 + x2) / 2} y={(y1 + y2) / 2 - 3} textAnchor="middle">
                {formatNumber(gap.mm, 'length', bench.job.units)}
              </text>
            </g>
          );
        })}
    </g>
  );
}
