import type { Assessment, Job } from '../api/types';
import { useDrawing } from './useDrawing';
import { look, wishOf } from './wish';
import { useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { BayShape } from './BayShape';
import { DrawnThing, paper } from './DrawnThing';
import { drawX, drawY, type Window } from './geometry';
import { bayOutline, bayWindow, viewWindow, type Stand, standNames } from './projection';

interface Props {
  view: Stand;
  width: number;
  height: number;
  /** The space whose measures are written in. */
  picked: string | undefined;
  /** That space by itself, as large as the drawing takes it. */
  alone?: boolean;
}

/** One view of the vehicle with its measured spaces, to scale. */
export function ViewDrawing({ view, width, height, picked, alone = false }: Props) {
  const { job, assessment } = useSnapshot();
  // The vehicle by itself: what stands in it is in the way of its measures.
  const wish = wishOf([look(view)], {
    hidden: job.variants.find((v) => v.id === job.chosen)?.items.map((i) => i.id) ?? [],
  });
  const drawn = useDrawing(alone ? undefined : wish);
  if (!assessment) return <div className="scene" aria-busy="true" style={{ height }} />;
  const bay = assessment.bays.find((b) => b.id === picked);
  const w = alone && bay ? bayWindow(view, bay, width, height) : viewWindow(view, job, assessment, width, height);
  return (
    <figure className="scene view" data-view={view}>
      <figcaption>{standNames[view]}</figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${standNames[view]}, to scale${bay ? `, ${job.vehicle.bays.find((b) => b.id === bay.id)?.name ?? ''} marked` : ''}`}
      >
        {view !== 'above' && !alone && <path className="ground" d={`M0 ${w.ground}H${w.width}`} />}
        {!alone && (
          <g transform={paper(w)}>
            {drawn?.sheet.views[0]?.groups.map((g) => (
              <DrawnThing key={g.id} group={g} across={0} up={0} states="" />
            ))}
          </g>
        )}
        {assessment.bays
          .filter((b) => !alone || b.id === picked)
          .map((b) => (
            <BayShape key={b.id} bay={b} view={view} window={w} picked={b.id === picked} />
          ))}
        {bay && <Measures view={view} bay={bay} w={w} job={job} />}
      </svg>
    </figure>
  );
}

/** Length, width and height of the picked space, written along it. */
function Measures({ view, bay, w, job }: { view: Stand; bay: Assessment['bays'][number]; w: Window; job: Job }) {
  const mm = (value: number) => formatQuantity(value, 'length', job.units);
  const outline = bayOutline(view, bay);
  const [left, right] = [Math.min(...outline.map(([u]) => u)), Math.max(...outline.map(([u]) => u))];
  const [bottom, top] = [Math.min(...outline.map(([, v]) => v)), Math.max(...outline.map(([, v]) => v))];
  const y = drawY(w, bottom) + 9;
  const x = drawX(w, right) + 9;
  // Where there is no room for the figure outside, it stands inside.
  const inside = x + 62 > w.width;
  return (
    <g className="measures" aria-hidden>
      {right > left && (
        <>
          <path d={`M${drawX(w, left)} ${y - 3}v6m0 -3H${drawX(w, right)}m0 -3v6`} />
          <text x={(drawX(w, left) + drawX(w, right)) / 2} y={y + 13} textAnchor="middle">
            {mm(right - left)}
          </text>
        </>
      )}
      {top > bottom && (
        <>
          <path d={`M${x - 3} ${drawY(w, bottom)}h6m-3 0V${drawY(w, top)}m-3 0h6`} />
          <text
            x={inside ? x - 5 : x + 6}
            y={(drawY(w, bottom) + drawY(w, top)) / 2 + 4}
            textAnchor={inside ? 'end' : 'start'}
          >
            {mm(top - bottom)}
          </text>
        </>
      )}
    </g>
  );
}
