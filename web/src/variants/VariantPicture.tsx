import { useMemo } from 'react';

import type { Job, VariantFigures } from '../api/types';
import { useSnapshot } from '../document/SessionContext';
import { BayShape } from '../scene/BayShape';
import { DrawnThing, paper } from '../scene/DrawnThing';
import { project, standNames, type Stand } from '../scene/projection';
import { useDrawing } from '../scene/useDrawing';
import { look, wishOf } from '../scene/wish';

const stands: Stand[] = ['left', 'above'];
const WIDTH = 260;
const HEIGHT = 120;
const EDGE = 6;

/** The load space of a variant, from the left and from above; what differs is marked by its edge. */
export function VariantPicture({
  job,
  variant,
  parts,
  label,
}: {
  job: Job;
  /** Id of one of its variants. */
  variant: string;
  parts: VariantFigures['parts'];
  label: string;
}) {
  const { assessment } = useSnapshot();
  const of = useMemo(() => (job.chosen === variant ? job : { ...job, chosen: variant }), [job, variant]);
  // The rooms with walls that something stands in set the size; what stands out of them is cut off at the edge.
  const bays = assessment?.bays.filter((b) => b.box.length > 0 && b.box.height > 0 && b.load > 0) ?? [];
  const windowOf = (stand: Stand) => {
    const corners = bays.flatMap((b) => [project(stand, b.room.from), project(stand, b.room.to)]);
    const u = corners.map(([x]) => x);
    const v = corners.map(([, y]) => y);
    const [left, right, low, high] = [Math.min(...u), Math.max(...u), Math.min(...v), Math.max(...v)];
    const scale = Math.max((right - left) / (WIDTH - 2 * EDGE), (high - low) / (HEIGHT - 2 * EDGE));
    return {
      from: (left + right) / 2 - (WIDTH / 2) * scale,
      scale,
      width: WIDTH,
      height: HEIGHT,
      ground: HEIGHT / 2 + (low + high) / 2 / scale,
    };
  };
  const modules = new Set(parts.map((p) => p.id));
  // Names stand in the table; the picture has none.
  const wish = wishOf(stands.map((stand) => look(stand)));
  const drawn = useDrawing(wish, undefined, of);
  const differs = useMemo(() => new Set(parts.filter((p) => p.change !== '').map((p) => p.id)), [parts]);
  if (!assessment || bays.length === 0) return null;
  return (
    <div className="variant-pictures" data-picture={variant}>
      {stands.map((stand) => {
        const w = windowOf(stand);
        const groups = drawn?.sheet.views.find((v) => v.stand === stand)?.groups.filter((g) => modules.has(g.id)) ?? [];
        return (
          <svg
            key={stand}
            className="scene"
            viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
            role="img"
            aria-label={`${label}, ${standNames[stand].toLowerCase()}, to scale`}
          >
            {bays.map((bay) => (
              <BayShape key={bay.id} bay={bay} view={stand} window={w} />
            ))}
            <g transform={paper(w)}>
              {[...groups]
                .sort((a, b) => Number(differs.has(a.id)) - Number(differs.has(b.id)))
                .map((g) => (
                  <DrawnThing
                    key={g.id}
                    group={g}
                    across={0}
                    up={0}
                    states={`variant-part ${differs.has(g.id) ? 'variant-differs' : ''}`}
                  />
                ))}
            </g>
          </svg>
        );
      })}
    </div>
  );
}
