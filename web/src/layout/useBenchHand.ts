import { useState, type KeyboardEvent, type PointerEvent, type RefObject, type WheelEvent } from 'react';

import type { Box, Job, Point } from '../api/types';
import { useSession } from '../document/SessionContext';
import { removeItem } from '../load/itemEdits';
import { axesOf, flat, type Stand } from '../scene/projection';
import type { Window } from '../scene/geometry';
import { around, bayAt, middle, partIn } from './parts';
import { shift } from './partEdits';
import { linesOf, moved, snap, type Axis } from './snap';
import type { Bench } from './useBench';
import { pan, zoom } from './window';

/** px within which faces meet. */
const REACH = 7;
/** Step of the rule, mm. */
const STEP = 5;
const TREMBLE = 3;

interface Grip {
  kind: 'move' | 'pan' | 'frame';
  ids: string[];
  from: { x: number; y: number };
  to: { x: number; y: number };
  /** Lines that still things offer, and the box of what moves, as they were. */
  box: Box | undefined;
  still: Box[];
  began: boolean;
  /** How far it was taken so far, mm. */
  by?: Point;
}

/** A compartment that a thing may be dropped into. */
interface Cell {
  module: string;
  cell: string;
  name: string;
  box: Box;
}

/** Lines along which faces meet while something is dragged, mm. */
export interface Guides {
  across: number | undefined;
  up: number | undefined;
}

const none: Guides = { across: undefined, up: undefined };

/** Choosing, dragging with snapping, nudging, pushing and zooming in one view. */
export function useBenchHand(
  svg: RefObject<SVGSVGElement | null>,
  view: Stand,
  w: Window | undefined,
  bench: Bench,
  onTouch: () => void,
  onPick?: (at: { u: number; v: number }) => void,
) {
  const session = useSession();
  const [grip, setGrip] = useState<Grip>();
  const [guides, setGuides] = useState<Guides>(none);
  const [cellBelow, setCellBelow] = useState<Cell>();
  const { across, up, sign } = axesOf[view];
  const { parts, selected, setSelected, sight, setSight } = bench;

  const idAt = (target: EventTarget) =>
    target instanceof Element ? target.closest<SVGGElement>('[data-part]')?.dataset.part : undefined;
  const place = (event: { clientX: number; clientY: number }) => {
    const r = svg.current?.getBoundingClientRect();
    const perPixel = r && w ? w.width / Math.max(1, r.width) : 1;
    return { x: (event.clientX - (r?.left ?? 0)) * perPixel, y: (event.clientY - (r?.top ?? 0)) * perPixel };
  };
  const focus = (id: string) => svg.current?.querySelector<SVGGElement>(`[data-part="${CSS.escape(id)}"]`)?.focus();

  const onPointerDown = (event: PointerEvent<SVGSVGElement>) => {
    if (!w || event.button > 1) return;
    const from = place(event);
    if (onPick) return onPick({ u: w.from + from.x * w.scale, v: (w.ground - from.y) * w.scale });
    const id = event.button === 0 ? idAt(event.target) : undefined;
    event.currentTarget.setPointerCapture(event.pointerId);
    if (id === undefined)
      return setGrip({
        kind: event.shiftKey ? 'frame' : 'pan',
        ids: [],
        from,
        to: from,
        box: undefined,
        still: [],
        began: false,
      });
    const ids = event.shiftKey
      ? selected.includes(id)
        ? selected.filter((s) => s !== id)
        : [...selected, id]
      : selected.includes(id)
        ? selected
        : [id];
    setSelected(ids);
    onTouch();
    focus(id);
    const moves = parts.filter((p) => ids.includes(p.item.id) && !p.item.locked && !p.item.in);
    const still = [
      ...parts.filter((p) => p.item.module && !p.item.in && !ids.includes(p.item.id)).map((p) => p.box),
      ...(bench.assessment?.bays ?? []).flatMap((b) => [b.room, ...b.obstacles.map((o) => o.solid)]),
    ];
    setGrip({ kind: 'move', ids, from, to: from, box: around(moves.map((p) => p.box)), still, began: false });
  };

  /** The compartment under the hand, for a single thing that has none of its own and is dragged with Ctrl. */
  const cellAt = (grip: Grip, at: { x: number; y: number }): Cell | undefined => {
    const own = parts.find((p) => p.item.id === grip.ids[0]);
    if (!w || grip.ids.length !== 1 || !own || (own.item.module?.cells.length ?? 0) > 0) return undefined;
    const [u, v] = [sign * (w.from + at.x * w.scale), (w.ground - at.y) * w.scale];
    for (const { item, figures } of bench.all) {
      const cell =
        item.id === own.item.id
          ? undefined
          : figures?.cells.find(
              (c) =>
                c.outer.from[across] <= u && u <= c.outer.to[across] && c.outer.from[up] <= v && v <= c.outer.to[up],
            );
      if (cell) return { module: item.id, cell: cell.id, name: cell.name, box: cell.outer };
    }
    return undefined;
  };

  const onPointerMove = (event: PointerEvent<SVGSVGElement>) => {
    if (!grip || !w || !sight) return;
    const to = place(event);
    const [dx, dy] = [to.x - grip.from.x, to.y - grip.from.y];
    if (!grip.began && Math.hypot(dx, dy) < TREMBLE) return;
    if (grip.kind === 'pan') {
      setSight(pan(sight, view, to.x - grip.to.x, to.y - grip.to.y));
      return setGrip({ ...grip, to, began: true });
    }
    if (grip.kind === 'frame') return setGrip({ ...grip, to, began: true });
    const { box } = grip;
    if (!box) return;
    setCellBelow(event.ctrlKey || event.metaKey ? cellAt(grip, to) : undefined);
    const wish = moved(moved(box, across, sign * dx * w.scale), up, -dy * w.scale);
    const free = event.altKey;
    const pull = (axis: Axis) =>
      free
        ? { by: Math.round(wish.from[axis]) - wish.from[axis], at: undefined }
        : snap(wish, axis, linesOf(grip.still, axis), REACH * w.scale, STEP);
    const [a, b] = [pull(across), pull(up)];
    setGuides({ across: a.at, up: b.at });
    const by: Point = { x: 0, y: 0, z: 0 };
    by[across] = wish.from[across] + a.by - box.from[across];
    by[up] = wish.from[up] + b.by - box.from[up];
    setGrip({ ...grip, began: true, by });
    session.drag((job) => shift(job, grip.ids, by, bench.stance));
  };

  /** What was put into another space belongs to it. */
  const settle = (job: Job, ids: readonly string[]) => {
    for (const id of ids) {
      const item = partIn(job, id);
      const part = bench.all.find((p) => p.item.id === id);
      // Rooms stand where a wheelbase extension puts them; so must the part that is held against them.
      const extended = part ? middle(part.box).x - part.item.at.x : 0;
      const bay = item && !item.in ? bayAt(bench.assessment?.bays ?? [], { ...item.at, x: item.at.x + extended }) : '';
      if (item && bay !== '') item.bay = bay;
    }
  };

  const finish = (keep: boolean) => {
    if (!grip) return;
    const first = parts.find((p) => p.item.id === grip.ids[0])?.item.name ?? 'part';
    if (grip.kind === 'move' && grip.began && keep && cellBelow && grip.ids.length === 1) {
      session.drop('', false);
      session.edit(`Put ${first} into ${cellBelow.name}`, (job) => {
        const item = partIn(job, grip.ids[0] ?? '');
        if (item) item.in = { module: cellBelow.module, cell: cellBelow.cell };
      });
    } else if (grip.kind === 'move' && grip.began) {
      const { by, ids } = grip;
      if (keep && by) {
        session.drag((job) => {
          shift(job, ids, by, bench.stance);
          settle(job, ids);
        });
      }
      session.drop(ids.length > 1 ? `Move ${ids.length} parts` : `Move ${first}`, keep);
    } else if (grip.kind === 'frame' && grip.began && w) {
      const [u1, u2] = [grip.from.x, grip.to.x].sort((p, q) => p - q).map((x) => w.from + x * w.scale) as [
        number,
        number,
      ];
      const [v2, v1] = [grip.from.y, grip.to.y].sort((p, q) => p - q).map((y) => (w.ground - y) * w.scale) as [
        number,
        number,
      ];
      setSelected(
        parts
          .filter(({ box, item }) => {
            const f = flat(view, box.from, box.to);
            return !item.in && f.u >= u1 && f.u + f.width <= u2 && f.v >= v1 && f.v + f.height <= v2;
          })
          .map((p) => p.item.id),
      );
    } else if (grip.kind === 'pan' && !grip.began) setSelected([]);
    setGrip(undefined);
    setGuides(none);
    setCellBelow(undefined);
  };

  const onKeyDown = (event: KeyboardEvent<SVGSVGElement>) => {
    const id = idAt(event.target);
    const key = event.key.toLowerCase();
    if (key === 'escape') return grip ? finish(false) : setSelected([]);
    if ((event.ctrlKey || event.metaKey) && key === 'a') {
      event.preventDefault();
      return setSelected(parts.filter((p) => !p.item.in).map((p) => p.item.id));
    }
    if (id === undefined) return;
    if (key === 'delete') {
      const ids = selected.includes(id) ? selected : [id];
      return session.edit(
        ids.length > 1
          ? `Remove ${ids.length} parts`
          : `Remove ${parts.find((p) => p.item.id === id)?.item.name ?? 'part'}`,
        (job) => ids.forEach((gone) => removeItem(job, gone)),
      );
    }
    if (key === ',' || key === '.') {
      const along = [...parts].sort((a, b) => middle(a.box)[across] - middle(b.box)[across]);
      const next =
        along[(along.findIndex((p) => p.item.id === id) + (key === '.' ? sign : -sign) + along.length) % along.length];
      if (!next) return;
      setSelected([next.item.id]);
      return focus(next.item.id);
    }
    if (key === 'enter' || key === ' ') {
      event.preventDefault();
      return setSelected(event.shiftKey ? [...selected.filter((s) => s !== id), id] : [id]);
    }
    const step = event.shiftKey ? 100 : event.altKey ? 1 : 10;
    const direction = { arrowleft: [-step, 0], arrowright: [step, 0], arrowup: [0, step], arrowdown: [0, -step] }[key];
    if (!direction) return;
    event.preventDefault();
    const ids = selected.includes(id) ? selected : [id];
    setSelected(ids);
    const by: Point = { x: 0, y: 0, z: 0 };
    by[across] = sign * (direction[0] ?? 0);
    by[up] = direction[1] ?? 0;
    session.edit(
      ids.length > 1 ? `Move ${ids.length} parts` : `Move ${parts.find((p) => p.item.id === id)?.item.name ?? 'part'}`,
      (job) => {
        shift(job, ids, by, bench.stance);
        settle(job, ids);
      },
      `nudge ${ids.join(' ')}`,
    );
  };

  const onWheel = (event: WheelEvent<SVGSVGElement>) => {
    if (sight) setSight(zoom(sight, event.deltaY < 0 ? 1.15 : 1 / 1.15));
  };

  const frame =
    grip?.kind === 'frame' && grip.began
      ? {
          x: Math.min(grip.from.x, grip.to.x),
          y: Math.min(grip.from.y, grip.to.y),
          width: Math.abs(grip.to.x - grip.from.x),
          height: Math.abs(grip.to.y - grip.from.y),
        }
      : undefined;
  return {
    guides,
    frame,
    cellBelow,
    handlers: {
      onPointerDown,
      onPointerMove,
      onPointerUp: () => finish(true),
      onPointerCancel: () => finish(false),
      onKeyDown,
      onWheel,
    },
  };
}
