import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

import { answer, api } from '../api/client';
import type { Box, Job } from '../api/types';
import { shownOnly } from '../document/liveAssessment';
import { Newest } from '../document/newest';
import { useSession } from '../document/SessionContext';
import { around } from '../layout/parts';
import { shift } from '../layout/partEdits';
import { linesOf, moved, snap } from '../layout/snap';
import type { Bench } from '../layout/useBench';
import type { Seeing } from '../layout/useSeeing';
import { formatQuantity } from '../quantity/format';
import { axesOf, standNames, type Stand } from '../scene/projection';
import { Round } from './model';

const stands: (Stand | undefined)[] = [undefined, 'left', 'right', 'behind', 'ahead', 'above'];
/** px that a press may tremble. */
const TREMBLE = 4;
/** mm within which faces meet. */
const REACH = 25;

interface Grip {
  id: string;
  height: number;
  from: { x: number; y: number };
  clientX: number;
  clientY: number;
  box: Box;
  still: Box[];
  began: boolean;
}

/** The same model to walk round: turned, pushed and come near to; parts are chosen and moved along the floor. */
export default function RoundView({ bench, seeing }: { bench: Bench; seeing: Seeing }) {
  const session = useSession();
  const { job, assessment, all, selected, setSelected, stance, posture, open, dragging } = bench;
  const canvas = useRef<HTMLCanvasElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const labels = useRef<(HTMLDivElement | null)[]>([]);
  const [round, setRound] = useState<Round>();
  const [trouble, setTrouble] = useState('');
  const [through, setThrough] = useState(true);
  const [cutFrom, setCutFrom] = useState<Stand>();
  const [depth, setDepth] = useState(30);
  const [loaded, setLoaded] = useState(0);
  const grip = useRef<Grip>(undefined);

  useEffect(() => {
    if (!canvas.current || !frame.current) return;
    const element = frame.current;
    const surface = canvas.current;
    let made: Round | undefined;
    let failed = false;
    // Its first call tells the size, and begins.
    const watch = new ResizeObserver(() => {
      if (!made && !failed) {
        try {
          made = new Round(surface);
          setRound(made);
        } catch {
          failed = true;
          setTrouble('This browser shows nothing in the round: it has no WebGL. The flat views show the same.');
        }
      }
      made?.size(
        element.clientWidth,
        element.clientHeight,
        getComputedStyle(element).getPropertyValue('--sheet').trim(),
      );
    });
    watch.observe(element);
    return () => {
      watch.disconnect();
      made?.dispose();
    };
  }, []);

  const newest = useMemo(
    () =>
      round &&
      new Newest<{ job: Job; stance: string; focus: string; person: string }, ArrayBuffer>(
        (q) =>
          answer(
            api.POST('/api/model', { body: { ...q, job: shownOnly(q.job) }, parseAs: 'arrayBuffer' }) as Promise<{
              data?: ArrayBuffer;
              response: Response;
            }>,
          ),
        (_, glb) => void round.take(glb).then(() => setLoaded((n) => n + 1)),
        () => undefined, // the assessment of the same job tells why
      ),
    [round],
  );
  const { focus, only, gear, person } = seeing;
  useEffect(() => {
    if (!dragging) newest?.ask({ job, stance, focus, person });
  }, [newest, job, stance, focus, person, dragging]);

  // What the stance opens, and what is open by hand.
  useEffect(() => {
    if (!round) return;
    const names = (posture?.open ?? []).map((o) => `${o.id}/${o.cell}`);
    for (const { item, figures } of all)
      if (open.includes(item.id)) names.push(...(figures?.leaves ?? []).map((l) => `${item.id}/${l.cell}`));
    for (const bay of posture?.doors ?? []) names.push(`~door-${bay}/${bay}`);
    round.open(names);
  }, [round, posture, all, open, loaded]);

  useEffect(() => {
    if (!round) return;
    const items = new Map(all.map((p) => [p.item.id, p.item]));
    const inFocus = (id: string) => {
      const item = items.get(id);
      const holder = item?.in ? items.get(item.in.module) : undefined;
      return focus === '' || id === focus || item?.bay === focus || holder?.id === focus || holder?.bay === focus;
    };
    round.show({
      selected,
      through,
      hidden: (id) =>
        bench.hidden.includes(id) ||
        (only && focus !== '' && id !== '~person' && !inFocus(id)) ||
        (items.get(id)?.in !== undefined && !gear && !open.includes(items.get(id)?.in?.module ?? '')),
    });
  }, [round, selected, through, bench.hidden, only, focus, all, gear, open, loaded]);

  const wheelbase = assessment?.wheelbase ?? 0;
  const half = Math.max(job.vehicle.trackFront, job.vehicle.trackRear) / 2000;
  useEffect(() => {
    round?.standOn([
      { x: 0, half },
      { x: wheelbase, half },
    ]);
  }, [round, wheelbase, half]);

  useEffect(() => {
    if (!round) return;
    if (!cutFrom || !assessment) return round.cut(undefined, 0);
    const { away, farther } = axesOf[cutFrom];
    const { outline } = job.vehicle;
    const wide = (outline.width > 0 ? outline.width : 2000) / 2;
    const ends = {
      x: [-outline.frontOverhang, wheelbase + outline.rearOverhang],
      y: [-wide, wide],
      z: [0, outline.height],
    }[away];
    const [low = 0, high = 0] = ends;
    const way = ((high - low) * depth) / 100;
    round.cut(cutFrom, farther > 0 ? low + way : high - way);
  }, [round, cutFrom, depth, assessment, job.vehicle, wheelbase]);

  // The figures of the axles stand under their wheels.
  useEffect(() => {
    if (!round) return;
    round.watch(() => {
      [0, wheelbase].forEach((x, i) => {
        const label = labels.current[i];
        const at = round.onCanvas(x, 0, 0);
        if (!label) return;
        label.hidden = !at;
        if (at) label.style.translate = `calc(${at.left * 100}cqw - 50%) calc(${at.top * 100}cqh + 8px)`;
      });
    });
    round.draw();
  }, [round, wheelbase, assessment]);

  const place = (event: PointerEvent) => {
    const r = canvas.current?.getBoundingClientRect();
    if (!r) return { x: 0, y: 0 };
    return { x: ((event.clientX - r.left) / r.width) * 2 - 1, y: 1 - ((event.clientY - r.top) / r.height) * 2 };
  };
  const onPointerDown = (event: PointerEvent<HTMLCanvasElement>) => {
    if (!round || event.button !== 0) return;
    const { x, y } = place(event);
    const hit = round.at(x, y);
    if (!hit) {
      grip.current = undefined;
      return;
    }
    const part = all.find((p) => p.item.id === hit.id);
    const from = round.onLevel(x, y, hit.point.y);
    if (!part || !from) return;
    setSelected(event.shiftKey ? [...selected.filter((s) => s !== hit.id), hit.id] : [hit.id]);
    if (part.item.locked || part.item.in) return;
    round.hold(true);
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = {
      id: hit.id,
      height: hit.point.y,
      from,
      clientX: event.clientX,
      clientY: event.clientY,
      box: around([part.box]) ?? part.box,
      still: [
        ...all.filter((p) => p.item.module && !p.item.in && p.item.id !== hit.id).map((p) => p.box),
        ...(assessment?.bays ?? []).flatMap((b) => [b.room, ...b.obstacles.map((o) => o.solid)]),
      ],
      began: false,
    };
  };
  const onPointerMove = (event: PointerEvent<HTMLCanvasElement>) => {
    const g = grip.current;
    if (!g || !round) return;
    if (!g.began && Math.hypot(event.clientX - g.clientX, event.clientY - g.clientY) < TREMBLE) return;
    const { x, y } = place(event);
    const to = round.onLevel(x, y, g.height);
    if (!to) return;
    g.began = true;
    const wish = moved(moved(g.box, 'x', to.x - g.from.x), 'y', to.y - g.from.y);
    const pull = (axis: 'x' | 'y') => (event.altKey ? 0 : snap(wish, axis, linesOf(g.still, axis), REACH, 5).by);
    const by = {
      x: wish.from.x + pull('x') - g.box.from.x,
      y: wish.from.y + pull('y') - g.box.from.y,
      z: 0,
    };
    round.shift(g.id, by.x, by.y);
    session.drag((j) => shift(j, [g.id], by, stance));
  };
  const release = (keep: boolean) => {
    const g = grip.current;
    grip.current = undefined;
    if (!round) return;
    round.hold(false);
    if (!g?.began) return;
    if (!keep) round.shift(g.id, 0, 0);
    session.drop(`Move ${all.find((p) => p.item.id === g.id)?.item.name ?? 'part'}`, keep);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (!round) return;
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (event.key === '+' || event.key === '=') round.nearer(1 / 1.15);
    else if (event.key === '-') round.nearer(1.15);
    else if (event.key === ',' || event.key === '.') {
      const ids = all.filter((p) => p.item.module).map((p) => p.item.id);
      const next = ids[(ids.indexOf(selected.at(-1) ?? '') + (event.key === '.' ? 1 : -1) + ids.length) % ids.length];
      if (next !== undefined) setSelected([next]);
    } else if (event.key === 'Escape') {
      if (grip.current) release(false);
      else setSelected([]);
    } else if (step) {
      const [right = 0, up = 0] = step;
      if (event.shiftKey) round.push(right * 0.1, up * 0.1);
      else round.turn((right * Math.PI) / 24, (up * Math.PI) / 24);
    } else return;
    event.preventDefault();
  };
  const save = () => {
    if (!round) return;
    const link = document.createElement('a');
    link.href = round.picture();
    link.download = `${job.name}.png`;
    link.click();
  };
  if (trouble !== '')
    return (
      <p className="notice" role="alert">
        {trouble}
      </p>
    );
  return (
    <figure className="scene view round" data-view="round" data-loaded={loaded}>
      <figcaption>
        <div className="segments" role="group" aria-label="Look from">
          {stands.map((s) => (
            <button key={s ?? 'corner'} type="button" onClick={() => round?.stand(s)}>
              {s
                ? standNames[s]
                    .replace('From the ', '')
                    .replace('From ', '')
                    .replace(/^./, (c) => c.toUpperCase())
                : 'Corner'}
            </button>
          ))}
        </div>
        <button type="button" className="chip" aria-pressed={through} onClick={() => setThrough(!through)}>
          Through the body
        </button>
        <select
          className="form-select form-select-sm"
          aria-label="Cut from"
          value={cutFrom ?? ''}
          onChange={(event) => setCutFrom((event.target.value || undefined) as Stand | undefined)}
        >
          <option value="">Not cut</option>
          {stands.map(
            (s) =>
              s && (
                <option key={s} value={s}>
                  Cut {standNames[s].toLowerCase()}
                </option>
              ),
          )}
        </select>
        {cutFrom && (
          <input
            type="range"
            className="round-depth"
            aria-label="Depth of the cut"
            aria-valuetext={`${depth} % in`}
            min={0}
            max={100}
            value={depth}
            onChange={(event) => setDepth(Number(event.target.value))}
          />
        )}
        <button type="button" className="chip" onClick={save}>
          Picture
        </button>
      </figcaption>
      {/* What can be chosen here can be chosen in the lists beside it too. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        ref={frame}
        className="round-frame"
        role="application"
        aria-label="In the round: arrows turn, with Shift they push, plus and minus come nearer, full stop and comma choose a part"
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        onKeyDown={onKeyDown}
      >
        <canvas
          ref={canvas}
          onPointerDown={onPointerDown}
          onPointerMove={onPointerMove}
          onPointerUp={() => release(true)}
          onPointerCancel={() => release(false)}
        />
        {loaded === 0 && <p className="round-wait">The model is on its way.</p>}
        {(['front', 'rear'] as const).map((axle, i) => {
          const pad = assessment?.pads.find((p) => p.id === axle);
          return (
            <div
              key={axle}
              className={`round-pad state-${pad?.state ?? 'unknown'}`}
              ref={(e) => void (labels.current[i] = e)}
            >
              {axle === 'front' ? 'Front' : 'Rear'} {formatQuantity(assessment?.axles[axle] ?? 0, 'mass', job.units)}
            </div>
          );
        })}
      </div>
    </figure>
  );
}
