import { useMemo, useRef } from 'react';

import type { Box, Item } from '../api/types';
import { formatQuantity } from '../quantity/format';
import { BayShape } from '../scene/BayShape';
import { drawX, drawY, type Window } from '../scene/geometry';
import { flat, type View, viewNames } from '../scene/projection';
import { Rule } from '../scene/Rule';
import { Surroundings } from '../scene/ViewDrawing';
import { datums, labelOf } from '../words/words';
import { BenchPart } from './BenchPart';
import { GapLines } from './GapLines';
import { MeasureLines } from './MeasureLines';
import type { Bench } from './useBench';
import { axesOf, useBenchHand } from './useBenchHand';
import { TapeLine, type Tape } from './tape';
import { windowOf } from './window';

interface Props {
  view: View;
  width: number;
  height: number;
  bench: Bench;
  /** A part was pressed. */
  onTouch: () => void;
  /** The tape is in the hand: a press picks a face. */
  onPick: ((view: View, at: { u: number; v: number }, reach: number) => void) | undefined;
  tape: Tape;
}

/** One of the three views of the bench: to scale, with the same parts chosen in all. */
export function BenchView({ view, width, height, bench, onTouch, onPick, tape }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const { job, assessment, sight, parts, selected } = bench;
  const w = useMemo(() => sight && windowOf(view, sight, { width, height }), [view, sight, width, height]);
  const hand = useBenchHand(
    svg,
    view,
    w,
    bench,
    onTouch,
    onPick && w ? (at) => onPick(view, at, 9 * w.scale) : undefined,
  );
  if (!assessment || !w) return <div className="scene" aria-busy="true" style={{ height }} />;
  const [across, up] = axesOf[view];
  const wrong = new Set(
    assessment.findings
      .filter(
        (f) =>
          f.subject.kind === 'module' &&
          f.severity === 'stop' &&
          f.accepted === '' &&
          (f.stance === '' || f.stance === bench.stance),
      )
      .map((f) => f.subject.id),
  );
  const aboard = new Map(assessment.items.map((f) => [f.id, f.present && !f.onTrailer]));
  const absent = ({ id, work }: Item) => work === '' && aboard.get(id) === false;
  const area = (b: Box) => (b.to[across] - b.from[across]) * (b.to[up] - b.from[up]);
  // Modules over gear, small things over large ones, what lies in something over that, what is chosen over all.
  const order = [...parts].sort(
    (a, b) =>
      Number(selected.includes(a.item.id)) - Number(selected.includes(b.item.id)) ||
      Number(!!a.item.in) - Number(!!b.item.in) ||
      Number(!!a.item.module) - Number(!!b.item.module) ||
      area(b.box) - area(a.box),
  );
  const tabStop = selected.at(-1) ?? order[0]?.item.id;
  const origin = view === 'rear' ? 0 : (assessment.datums.find((d) => d.datum === job.datum)?.x ?? 0);
  const zero = view === 'rear' ? 'centre line' : labelOf(datums, job.datum);
  return (
    <figure className={`scene view bench-view ${onPick ? 'bench-tape' : ''}`} data-view={view}>
      <figcaption>{viewNames[view]}</figcaption>
      {/* The parts inside are the buttons; what happens on them is handled here, so that they need not be drawn again. */}
      <svg
        ref={svg}
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={`${viewNames[view]}, to scale`}
        {...hand.handlers}
      >
        <Surroundings view={view} w={w} />
        {assessment.bays.map((bay) => (
          <BayShape key={bay.id} bay={bay} view={view} window={w} />
        ))}
        {order.map(({ item, box, figures }) => (
          <BenchPart
            key={item.id}
            item={item}
            box={box}
            view={view}
            window={w}
            selected={selected.includes(item.id)}
            wrong={wrong.has(item.id)}
            absent={absent(item)}
            tabStop={item.id === tabStop}
            label={`${item.name}, ${formatQuantity(figures?.mass ?? item.mass, 'mass', job.units)}${wrong.has(item.id) ? ', in the way of something' : ''}${absent(item) ? ', not aboard in this state' : ''}`}
          />
        ))}
        <Opened bench={bench} view={view} w={w} />
        <GapLines bench={bench} view={view} w={w} />
        {bench.pointed && <MeasureLines finding={bench.pointed} view={view} w={w} />}
        {hand.guides.across !== undefined && (
          <path className="guide" d={`M${drawX(w, hand.guides.across)} 0V${height}`} />
        )}
        {hand.guides.up !== undefined && <path className="guide" d={`M0 ${drawY(w, hand.guides.up)}H${width}`} />}
        {hand.cellBelow && <Target box={hand.cellBelow.box} view={view} w={w} />}
        {hand.frame && <rect className="frame-select" {...hand.frame} />}
        <TapeLine tape={tape} view={view} w={w} units={job.units} />
        <Rule window={w} origin={origin} units={job.units} zero={zero} />
      </svg>
    </figure>
  );
}

/** The compartment that takes what is let go now. */
function Target({ box, view, w }: { box: Box; view: View; w: Window }) {
  const f = flat(view, box.from, box.to);
  return (
    <rect
      className="drop-target"
      x={drawX(w, f.u)}
      y={drawY(w, f.v + f.height)}
      width={f.width / w.scale}
      height={f.height / w.scale}
    />
  );
}

/** What is open: where it is now on its way out, and all the room that it takes. */
function Opened({ bench, view, w }: { bench: Bench; view: View; w: Window }) {
  const { all, open, sweep, posture } = bench;
  // What the stance opens, and what the hand has opened beside that.
  const byHand = all
    .filter(({ item }) => open.includes(item.id))
    .flatMap(({ item, figures }) => (figures?.leaves ?? []).map((leaf) => ({ id: item.id, leaf })));
  const byStance = (posture?.open ?? []).filter((o) => !open.includes(o.id)).map((o) => ({ id: o.id, leaf: o }));
  return (
    <g className="opened" aria-hidden>
      {[...byHand, ...byStance].map(({ id, leaf }) => {
        const swept = flat(view, leaf.swept.from, leaf.swept.to);
        const start = leaf.closed;
        const at = (a: number, b: number) => a + (b - a) * sweep;
        const now: Box = {
          from: {
            x: at(start.from.x, leaf.open.from.x),
            y: at(start.from.y, leaf.open.from.y),
            z: at(start.from.z, leaf.open.from.z),
          },
          to: {
            x: at(start.to.x, leaf.open.to.x),
            y: at(start.to.y, leaf.open.to.y),
            z: at(start.to.z, leaf.open.to.z),
          },
        };
        const f = flat(view, now.from, now.to);
        return (
          <g key={`${id} ${leaf.cell}`} data-open={id}>
            <rect
              className="swept"
              x={drawX(w, swept.u)}
              y={drawY(w, swept.v + swept.height)}
              width={swept.width / w.scale}
              height={swept.height / w.scale}
            />
            <rect
              className="leaf"
              x={drawX(w, f.u)}
              y={drawY(w, f.v + f.height)}
              width={f.width / w.scale}
              height={f.height / w.scale}
            />
          </g>
        );
      })}
    </g>
  );
}
