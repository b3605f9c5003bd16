import { useMemo, useRef } from 'react';

import type { Box, DrawnGroup, Finding, Wire } from '../api/types';
import { useSnapshot } from '../document/SessionContext';
import { formatChange, formatQuantity } from '../quantity/format';
import { BayShape } from './BayShape';
import { DrawnThings, type Told } from './DrawnThings';
import { nameAndMass } from './nameAndMass';
import { box, drawX, drawY, fitWindow, shownItems, type Shown, type Window } from './geometry';
import { Rule } from './Rule';
import { useDrawing } from './useDrawing';
import { useHand } from './useHand';
import { look, wishOf } from './wish';
import { datums, labelOf } from '../words/words';

interface Props {
  width?: number;
  height: number;
  selected: string | undefined;
  /** What the chosen finding is about; an axle or the whole is marked. */
  subject?: Finding['subject']['kind'] | undefined;
  onSelect: (id: string | undefined) => void;
  /** A cable whose way is drawn. */
  run?: Wire;
}

/** The vehicle from its left side, front to the left, with every item at its station. */
export function Scene({ width = 860, height, selected, subject, onSelect, run }: Props) {
  const snapshot = useSnapshot();
  const { job, assessment } = snapshot;
  const svg = useRef<SVGSVGElement>(null);
  const shown = useMemo(() => shownItems(snapshot).filter((s) => !s.figures.onTrailer), [snapshot]);
  const fitted = useMemo(
    () => assessment && fitWindow(job, assessment, shown, width, height),
    [job, assessment, shown, width, height],
  );
  const hand = useHand(svg, shown, fitted, onSelect);
  // While something is dragged, the paper stays still under the hand.
  const w = hand.window;
  const boxes = useMemo(() => new Map(shown.map((t) => [t.item.id, standing(t)])), [shown]);
  const wish =
    fitted &&
    wishOf([look('left', fitted, FOOT)], {
      gear: true,
      people: true,
      hidden: shown.filter(({ item }) => item.in && item.id !== selected).map(({ item }) => item.id),
    });
  const drawn = useDrawing(wish, boxes);
  const things = new Map(shown.map((s) => [s.item.id, s]));
  const there = shown.map((s) => s.item.id).join();
  const groups = useMemo(
    () => {
      const seen = (drawn?.sheet.views[0]?.groups ?? []).filter((g) => g.id.startsWith('~') || things.has(g.id));
      const seenIds = new Set(seen.map((g) => g.id));
      // What lies in something is not seen, but can be reached and chosen like the rest.
      return [...seen, ...shown.filter((s) => !seenIds.has(s.item.id)).map((s) => inside(s, boxes.get(s.item.id)))];
    },
    // Which things there are, not where they stand: what moves is shown by its offset.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [drawn?.sheet, there],
  );
  if (!assessment || !w) return <div className="scene" aria-busy="true" style={{ height }} />;
  const moved = (id: string): [number, number] => {
    const [was, is] = [drawn?.boxes.get(id), boxes.get(id)];
    return was && is ? [is.from.x - was.from.x, is.from.z - was.from.z] : [0, 0];
  };
  const current = shown.find((s) => s.item.id === selected);
  const tabStop = current?.item.id ?? shown[0]?.item.id;
  const origin = assessment.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const told = (id: string): Told => {
    const thing = things.get(id);
    if (!thing) return { states: '', label: undefined };
    const { item, figures } = thing;
    const states = ['item', id === selected && 'selected', !figures.present && 'absent', item.seat !== '' && 'seated'];
    return {
      states: states.filter(Boolean).join(' '),
      label: `${nameAndMass(item, figures.mass, job.units, figures.x - origin)}${figures.present ? '' : ', not aboard'}`,
    };
  };
  const centre = `Centre of gravity ${formatQuantity(assessment.centre.x - origin, 'length', job.units)} from the datum, ${formatQuantity(assessment.centre.z, 'length', job.units)} high`;

  return (
    <div className="scene">
      {/* The items inside are the buttons; what happens on them is handled here, so that they need not be drawn again. */}
      <svg
        ref={svg}
        viewBox={`0 0 ${w.width} ${height}`}
        role="group"
        aria-label="Side elevation, front to the left"
        {...hand.handlers}
      >
        <path className="ground" d={`M0 ${w.ground}H${w.width}`} />
        <DrawnThings
          groups={groups}
          told={told}
          moved={moved}
          selected={selected === undefined ? [] : [selected]}
          tabStop={tabStop}
          w={w}
          as="item"
          numbers={false}
        >
          {job.trailer && <Drawbar w={w} />}
          {assessment.bays.map((bay) => (
            <BayShape key={bay.id} bay={bay} view="left" window={w} />
          ))}
        </DrawnThings>
        {run && run.path.length > 1 && (
          <path
            className="cable-run"
            d={run.path.map((p, i) => `${i === 0 ? 'M' : 'L'}${drawX(w, p.x)} ${drawY(w, p.z)}`).join('')}
          />
        )}
        <AxleArrows w={w} subject={subject} />
        <g
          className={`centre ${subject && !['item', 'front-axle', 'rear-axle'].includes(subject) ? 'pointed' : ''}`}
          transform={`translate(${drawX(w, assessment.centre.x)} ${drawY(w, assessment.centre.z)})`}
          role="img"
          aria-label={centre}
        >
          <circle r="8" />
          <path d="M0 0V-8A8 8 0 0 1 8 0ZM0 0V8A8 8 0 0 1 -8 0Z" className="centre-dark" />
        </g>
        {current && <Callout shown={current} w={w} origin={origin} />}
        <Rule window={w} origin={origin} units={job.units} zero={labelOf(datums, job.datum)} />
      </svg>
    </div>
  );
}

/** Ground, axle figures and rule at the foot of the drawing, which names keep off. */
const FOOT = 66;

/** Where a thing stands, by its figures. */
const standing = ({ item, figures }: Shown): Box => {
  const b = box(item, figures);
  return { from: { x: b.x, y: 0, z: b.z }, to: { x: b.x + b.length, y: 0, z: b.z + b.height } };
};

/** A thing that nothing is seen of. */
const inside = ({ item }: Shown, at: Box | undefined): DrawnGroup => ({
  id: item.id,
  name: item.name,
  kind: 'gear',
  work: item.work,
  inside: true,
  faded: false,
  opened: false,
  absent: false,
  covered: true,
  rect: { u0: at?.from.x ?? 0, v0: at?.from.z ?? 0, u1: at?.to.x ?? 0, v1: at?.to.z ?? 0 },
  paths: [],
  behind: '',
});

/** The drawbar of a trailer, where one is coupled. */
function Drawbar({ w }: { w: Window }) {
  const { job, assessment } = useSnapshot();
  if (!assessment || !job.trailer) return null;
  const { hitch } = job.vehicle;
  const x = assessment.wheelbase + hitch.overhang;
  return (
    <g className={job.trailer.coupled ? 'coupled' : 'uncoupled'}>
      <path
        className="drawbar"
        d={`M${drawX(w, x)} ${drawY(w, hitch.height)}L${drawX(w, x + 480)} ${drawY(w, hitch.height + 20)}`}
      />
    </g>
  );
}

/** What stands on each axle, as an arrow under its wheel. */
function AxleArrows({ w, subject }: { w: Window; subject: Props['subject'] }) {
  const { job, assessment } = useSnapshot();
  if (!assessment) return null;
  const most = Math.max(assessment.axles.front, assessment.axles.rear, 1);
  const axles = [
    { x: 0, kind: 'front-axle', kg: assessment.axles.front, pad: assessment.pads.find((p) => p.id === 'front') },
    {
      x: assessment.wheelbase,
      kind: 'rear-axle',
      kg: assessment.axles.rear,
      pad: assessment.pads.find((p) => p.id === 'rear'),
    },
  ];
  return (
    <g className="axles" aria-hidden>
      {axles.map(({ x, kind, kg, pad }) => (
        <g
          key={x}
          className={`axle state-${pad?.state ?? 'unknown'} ${subject === kind ? 'pointed' : ''}`}
          transform={`translate(${drawX(w, x)} ${w.ground})`}
        >
          <path className="axle-plate" d="M-34 0h68l4 7h-76z" />
          <path className="axle-arrow" strokeWidth={2 + (5 * kg) / most} d="M0 10v9" />
          <text x="10" y="24">
            {formatQuantity(kg, 'mass', job.units)}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Name, mass and effect of the selected item, and where it stands on the rule. */
function Callout({ shown: { item, figures }, w, origin }: { shown: Shown; w: Window; origin: number }) {
  const { job } = useSnapshot();
  const x = drawX(w, figures.x);
  return (
    <g className="callout" aria-hidden>
      <path className="plumb" d={`M${x} ${drawY(w, box(item, figures).z)}V${w.height - 26}`} />
      <text className="callout-name" x="10" y="20">
        {item.name}
      </text>
      <text x="10" y="36">
        {formatQuantity(figures.mass, 'mass', job.units)} at {formatQuantity(figures.x - origin, 'length', job.units)}
      </text>
      <text x="10" y="51">
        front {formatChange(figures.front, 'mass', job.units)}, rear {formatChange(figures.rear, 'mass', job.units)}
      </text>
    </g>
  );
}
