import type { Assessment, Job } from '../api/types';
import { useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { BayShape } from './BayShape';
import { Body } from './Body';
import { drawX, drawY, type Window } from './geometry';
import { bayOutline, bayWindow, bodyWidth, viewWindow, type View, viewNames } from './projection';

interface Props {
  view: View;
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
  if (!assessment) return <div className="scene" aria-busy="true" style={{ height }} />;
  const bay = assessment.bays.find((b) => b.id === picked);
  const w = alone && bay ? bayWindow(view, bay, width, height) : viewWindow(view, job, assessment, width, height);
  return (
    <figure className="scene view" data-view={view}>
      <figcaption>{viewNames[view]}</figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${viewNames[view]}, to scale${bay ? `, ${job.vehicle.bays.find((b) => b.id === bay.id)?.name ?? ''} marked` : ''}`}
      >
        {!alone && <Surroundings view={view} w={w} />}
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

/** The vehicle around the spaces. */
export function Surroundings({ view, w }: { view: View; w: Window }) {
  const { job, assessment } = useSnapshot();
  if (!assessment) return null;
  return (
    <>
      {view === 'side' && <Body job={job} assessment={assessment} window={w} />}
      {view === 'plan' && <PlanBody job={job} assessment={assessment} w={w} />}
      {view === 'rear' && <RearBody job={job} w={w} />}
      {view !== 'plan' && <path className="ground" d={`M0 ${w.ground}H${w.width}`} />}
    </>
  );
}

/** Length, width and height of the picked space, written along it. */
function Measures({ view, bay, w, job }: { view: View; bay: Assessment['bays'][number]; w: Window; job: Job }) {
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

/** The vehicle from above: body, bonnet line, cab, and the wheels under it. */
function PlanBody({ job, assessment, w }: { job: Job; assessment: Assessment; w: Window }) {
  const { outline: o, trackFront, trackRear, tyreRadius } = job.vehicle;
  const half = bodyWidth(job) / 2;
  const rearEnd = assessment.wheelbase + o.rearOverhang;
  const rect = (x1: number, x2: number, y: number, name: string) => (
    <rect
      x={drawX(w, x1)}
      y={drawY(w, y)}
      width={(x2 - x1) / w.scale}
      height={(2 * y) / w.scale}
      rx={6}
      className={name}
    />
  );
  return (
    <g className="vehicle" aria-hidden>
      {[
        [0, trackFront],
        [assessment.wheelbase, trackRear],
      ].flatMap(([x = 0, track = 0]) =>
        [-1, 1].map((side) => (
          <rect
            key={`${x} ${side}`}
            x={drawX(w, x - tyreRadius)}
            y={drawY(w, (side * track) / 2 + 125)}
            width={(2 * tyreRadius) / w.scale}
            height={250 / w.scale}
            rx={4}
            className="tyre"
          />
        )),
      )}
      {rect(-o.frontOverhang, o.body === 'wagon' ? rearEnd : o.cabRear, half - 30, 'shell')}
      {rect(o.cabFront + 250, o.body === 'wagon' ? rearEnd - 250 : o.cabRear - 150, half - 170, 'glass')}
      {o.body !== 'wagon' && rect(o.headboard, rearEnd, half, 'shell')}
    </g>
  );
}

/** The vehicle from behind: body, floor and both rear wheels. */
function RearBody({ job, w }: { job: Job; w: Window }) {
  const { outline: o, trackRear, tyreRadius } = job.vehicle;
  const half = bodyWidth(job) / 2;
  const top = o.height;
  return (
    <g className="vehicle" aria-hidden>
      <path
        d={`M${drawX(w, -half)} ${drawY(w, o.sillHeight)}V${drawY(w, o.bonnetHeight)}L${drawX(w, -half + 150)} ${drawY(w, top)}H${drawX(w, half - 150)}L${drawX(w, half)} ${drawY(w, o.bonnetHeight)}V${drawY(w, o.sillHeight)}Z`}
        className="shell"
      />
      {[-1, 1].map((side) => (
        <rect
          key={side}
          x={drawX(w, (side * trackRear) / 2 - 125)}
          y={drawY(w, 2 * tyreRadius)}
          width={250 / w.scale}
          height={(2 * tyreRadius) / w.scale}
          rx={5}
          className="tyre"
        />
      ))}
      <path d={`M${drawX(w, -half + 60)} ${drawY(w, o.floorHeight)}H${drawX(w, half - 60)}`} className="floor" />
    </g>
  );
}
