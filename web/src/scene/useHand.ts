import { useState, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';

import type { Item, Job } from '../api/types';
import { chosenVariant, useSession } from '../document/SessionContext';
import type { Shown, Window } from './geometry';

/** mm to which a dragged station is rounded; 1 with Alt. */
const SNAP = 5;
/** px that the pointer may tremble before it drags. */
const TREMBLE = 2;

interface Grip {
  id: string;
  /** Where the pointer took hold on the screen, px. */
  clientX: number;
  /** mm of the vehicle per px of the screen. */
  perPixel: number;
  /** Stored x of the item then, mm. */
  itemX: number;
  moved: boolean;
  window: Window;
}

const tenth = (mm: number) => Math.round(mm * 10) / 10;

/** Changes the stored place of an item of the chosen variant. */
function place(job: Job, id: string, change: (at: Item['at']) => void): void {
  const item = chosenVariant(job).items.find((i) => i.id === id);
  if (!item) return;
  change(item.at);
  item.at.x = tenth(item.at.x);
  item.at.z = tenth(item.at.z);
}

/** Choosing, dragging and nudging the items of the scene, by pointer and by key. */
export function useHand(
  svg: RefObject<SVGSVGElement | null>,
  shown: Shown[],
  fitted: Window | undefined,
  onSelect: (id: string | undefined) => void,
) {
  const session = useSession();
  const [grip, setGrip] = useState<Grip>();
  const w = grip?.window ?? fitted;

  const itemAt = (target: EventTarget) => {
    const id = target instanceof Element ? target.closest<SVGGElement>('[data-item]')?.dataset.item : undefined;
    return shown.find((s) => s.item.id === id)?.item;
  };
  const element = (id: string) => svg.current?.querySelector<SVGGElement>(`[data-item="${id}"]`);

  const onPointerDown = (event: PointerEvent<SVGSVGElement>) => {
    const item = itemAt(event.target);
    if (!item || !w || event.button !== 0) return;
    onSelect(item.id);
    element(item.id)?.focus();
    if (item.seat !== '' || item.in || item.locked) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const perPixel = (w.width * w.scale) / Math.max(1, event.currentTarget.getBoundingClientRect().width);
    setGrip({ id: item.id, clientX: event.clientX, perPixel, itemX: item.at.x, moved: false, window: w });
  };
  const onPointerMove = (event: PointerEvent<SVGSVGElement>) => {
    if (!grip) return;
    const by = (event.clientX - grip.clientX) * grip.perPixel;
    if (!grip.moved && Math.abs(event.clientX - grip.clientX) < TREMBLE) return;
    const step = event.altKey ? 1 : SNAP;
    const x = Math.round((grip.itemX + by) / step) * step;
    if (!grip.moved) setGrip({ ...grip, moved: true });
    session.drag((job) => place(job, grip.id, (at) => (at.x = x)));
  };
  const onPointerUp = () => {
    if (grip?.moved) session.drop(`Move ${shown.find((s) => s.item.id === grip.id)?.item.name ?? 'item'}`);
    setGrip(undefined);
  };
  const onPointerCancel = () => {
    if (grip) session.drop('', false);
    setGrip(undefined);
  };

  const selectNext = (id: string, direction: number) => {
    const along = [...shown].sort((a, b) => a.figures.x - b.figures.x);
    const next = along[(along.findIndex((s) => s.item.id === id) + direction + along.length) % along.length];
    if (!next) return;
    onSelect(next.item.id);
    element(next.item.id)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent<SVGSVGElement>) => {
    const item = itemAt(event.target);
    if (!item) return;
    const step = event.shiftKey ? 100 : event.altKey ? 1 : 10;
    const move = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (event.key === 'Escape' && grip) onPointerCancel();
    else if (event.key === 'Escape') onSelect(undefined);
    else if (event.key === ',' || event.key === '.') selectNext(item.id, event.key === '.' ? 1 : -1);
    else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onSelect(item.id);
    } else if (move && item.seat === '' && !item.in && !item.locked) {
      event.preventDefault();
      onSelect(item.id);
      const [dx = 0, dz = 0] = move;
      const shift = (at: Item['at']) => {
        at.x += dx;
        at.z += dz;
      };
      session.edit(`Move ${item.name}`, (job) => place(job, item.id, shift), `nudge ${item.id}`);
    }
  };
  return { window: w, handlers: { onPointerDown, onPointerMove, onPointerUp, onPointerCancel, onKeyDown } };
}
