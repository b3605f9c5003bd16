import { useMemo, useRef } from 'react';

import type { Box, DrawnView } from '../api/types';
import { BayShape } from '../scene/BayShape';
import { DrawnThings, type Told } from '../scene/DrawnThings';
import { drawX, drawY, type Window } from '../scene/geometry';
import { axesOf, flat, project, standNames, type Stand } from '../scene/projection';
import { nameAndMass } from '../scene/nameAndMass';
import { Rule } from '../scene/Rule';
import { datums, labelOf } from '../words/words';
import { DepthHandle, PlaneLines } from './DepthHandle';
import { GapLines } from './GapLines';
import { MeasureLines } from './MeasureLines';
import { TapeLine, type Tape } from './tape';
import type { Bench } from './useBench';
import { useBenchHand } from './useBenchHand';
import type { Seeing } from './useSeeing';
import { windowOf } from './window';

interface Props {
  view: Stand;
  width: number;
  height: number;
  bench: Bench;
  seeing: Seeing;
  drawn: DrawnView | undefined;
  /** Another drawing is on its way. */
  busy: boolean;
  /** Where things stood when they were drawn, and where they stand now. */
  before: ReadonlyMap<string, Box>;
  now: ReadonlyMap<string, Box>;
  /** A part was pressed. */
  onTouch: () => void;
  /** The tape is in the hand: a press picks a face. */
  onPick: ((view: Stand, at: { u: number; v: number }, reach: number) => void) | undefined;
  tape: Tape;
}

/** One view of the bench: to scale, with the same parts chosen in all. */
export function BenchView({
  view,
  width,
  height,
  bench,
  seeing,
  drawn,
  busy,
  before,
  now,
  onTouch,
  onPick,
  tape,
}: Props) {
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
  const things = useMemo(() => new Map(parts.map((p) => [p.item.id, p])), [parts]);
  const aboard = useMemo(() => new Map(assessment?.items.map((f) => [f.id, f.present && !f.onTrailer])), [assessment]);
  const wrong = useMemo(
    () =>
      new Set(
        assessment?.findings
          .filter(
            (f) =>
              f.subject.kind === 'module' &&
              f.severity === 'stop' &&
              f.accepted === '' &&
              (f.stance === '' || f.stance === bench.stance),
          )
          .map((f) => f.subject.id),
      ),
    [assessment, bench.stance],
  );
  const groups = useMemo(
    () => (drawn?.groups ?? []).filter((g) => g.id.startsWith('~') || things.has(g.id)),
    // Which things there are changes with the drawing; where they stand does not matter here.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [drawn, things.size],
  );
  if (!assessment || !w) return <div className="scene" aria-busy="true" style={{ height }} />;
  const told = (id: string): Told => {
    const part = things.get(id);
    if (!part) return { states: '', label: undefined };
    const { item, figures } = part;
    const absent = item.work === '' && aboard.get(id) === false;
    const states = [
      'part',
      selected.includes(id) && 'selected',
      wrong.has(id) && 'part-wrong',
      absent && 'part-absent',
      item.locked && 'part-locked',
    ];
    return {
      states: states.filter(Boolean).join(' '),
      label: `${nameAndMass(item, figures?.mass ?? item.mass, job.units)}${wrong.has(id) ? ', in the way of something' : ''}${absent ? ', not aboard in this state' : ''}`,
    };
  };
  const moved = (id: string): [number, number] => {
    const [was, is] = [before.get(id), now.get(id)];
    if (!was || !is || was === is) return [0, 0];
    const [a, b] = [project(view, was.from), project(view, is.from)];
    const [c, d] = [project(view, was.to), project(view, is.to)];
    // A thing of another size is drawn anew in a moment; meanwhile its middle is where it is.
    return [(b[0] + d[0] - a[0] - c[0]) / 2, (b[1] + d[1] - a[1] - c[1]) / 2];
  };
  const tabStop = selected.at(-1) ?? groups.find((g) => things.has(g.id))?.id;
  const { across, sign } = axesOf[view];
  const along = across === 'x';
  const origin = along ? (assessment.datums.find((d) => d.datum === job.datum)?.x ?? 0) : 0;
  const zero = along ? labelOf(datums, job.datum) : 'centre line';
  return (
    <figure className={`scene view bench-view ${onPick ? 'bench-tape' : ''}`} data-view={view} aria-busy={busy}>
      <figcaption>
        <span>{standNames[view]}</span>
        {drawn && <DepthHandle view={view} drawn={drawn} seeing={seeing} units={job.units} />}
      </figcaption>
      {/* The parts inside are the buttons; what happens on them is handled here, so that they need not be drawn again. */}
      <svg
        ref={svg}
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={`${standNames[view]}, to scale`}
        {...hand.handlers}
      >
        {view !== 'above' && <path className="ground" d={`M0 ${w.ground}H${w.width}`} />}
        <DrawnThings groups={groups} told={told} moved={moved} selected={selected} tabStop={tabStop} w={w}>
          {assessment.bays.map((bay) => (
            <BayShape key={bay.id} bay={bay} view={view} window={w} picked={bay.id === seeing.focus} />
          ))}
        </DrawnThings>
        <Opened bench={bench} view={view} w={w} />
        <PlaneLines view={view} seeing={seeing} w={w} units={job.units} />
        <GapLines bench={bench} view={view} w={w} />
        {bench.pointed && <MeasureLines finding={bench.pointed} view={view} w={w} />}
        {hand.guides.across !== undefined && (
          <path className="guide" d={`M${drawX(w, sign * hand.guides.across)} 0V${height}`} />
        )}
        {hand.guides.up !== undefined && <path className="guide" d={`M0 ${drawY(w, hand.guides.up)}H${width}`} />}
        {hand.cellBelow && <Target box={hand.cellBelow.box} view={view} w={w} />}
        {hand.frame && <rect className="frame-select" {...hand.frame} />}
        <TapeLine tape={tape} view={view} w={w} units={job.units} />
        <Rule window={w} origin={origin} units={job.units} zero={zero} sign={sign} />
      </svg>
    </figure>
  );
}

/** The compartment that takes what is let go now. */
function Target({ box, view, w }: { box: Box; view: Stand; w: Window }) {
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
function Opened({ bench, view, w }: { bench: Bench; view: Stand; w: Window }) {
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
              className={`leaf ${sweep < 1 ? 'leaf-moving' : ''}`}
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
