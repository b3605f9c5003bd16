import type { VariantFigures } from '../api/types';
import { useSnapshot } from '../document/SessionContext';
import { BayShape } from '../scene/BayShape';
import { drawX, drawY } from '../scene/geometry';
import { flat, project, type Stand } from '../scene/projection';

const views: Stand[] = ['left', 'above'];
const WIDTH = 260;
const HEIGHT = 120;
const EDGE = 6;

/** The load space of a variant, from the left and from above; what differs is marked by its edge. */
export function VariantPicture({ parts, label }: { parts: VariantFigures['parts']; label: string }) {
  const { assessment } = useSnapshot();
  if (!assessment) return null;
  // The rooms with walls that something stands in set the size; what stands out of them is cut off at the edge.
  const bays = assessment.bays.filter((b) => b.box.length > 0 && b.box.height > 0 && b.load > 0);
  const boxes = bays.map((b) => b.room);
  return (
    <div className="variant-pictures">
      {views.map((view) => {
        const corners = boxes.flatMap((b) => [project(view, b.from), project(view, b.to)]);
        const u = corners.map(([x]) => x);
        const v = corners.map(([, y]) => y);
        const [left, right, low, high] = [Math.min(...u), Math.max(...u), Math.min(...v), Math.max(...v)];
        const scale = Math.max((right - left) / (WIDTH - 2 * EDGE), (high - low) / (HEIGHT - 2 * EDGE));
        const w = {
          from: (left + right) / 2 - (WIDTH / 2) * scale,
          scale,
          width: WIDTH,
          height: HEIGHT,
          ground: HEIGHT / 2 + (low + high) / 2 / scale,
        };
        return (
          <svg
            key={view}
            className="scene"
            viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
            role="img"
            aria-label={`${label}, ${view === 'left' ? 'from the left' : 'from above'}, to scale`}
          >
            {bays.map((bay) => (
              <BayShape key={bay.id} bay={bay} view={view} window={w} />
            ))}
            {[...parts]
              .sort((a, b) => Number(a.change !== '') - Number(b.change !== ''))
              .map((p) => {
                const f = flat(view, p.box.from, p.box.to);
                return (
                  <rect
                    key={p.id}
                    className={`variant-part ${p.change === '' ? '' : 'variant-differs'}`}
                    x={drawX(w, f.u)}
                    y={drawY(w, f.v + f.height)}
                    width={Math.max(2, f.width / w.scale)}
                    height={Math.max(2, f.height / w.scale)}
                  >
                    <title>{p.name}</title>
                  </rect>
                );
              })}
          </svg>
        );
      })}
    </div>
  );
}
