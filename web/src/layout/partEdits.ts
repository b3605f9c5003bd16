import type { Item, Job, Point } from '../api/types';
import { chosenVariant } from '../document/SessionContext';
import { newId } from '../document/things';
import type { Axis } from './snap';

/** Plain edits of parts on the bench. What derives other values is asked of the core. */

const chosen = (job: Job, ids: readonly string[]) => chosenVariant(job).items.filter((i) => ids.includes(i.id));
const movable = (job: Job, ids: readonly string[]) =>
  chosen(job, ids).filter((i) => !i.locked && !i.in && i.seat === '');

/** To the tenth of a mm, so that no rounding of a screen gets into the file. */
const tenth = (mm: number) => Math.round(mm * 10) / 10;

/** Moves parts; what a stance has lying elsewhere is moved in that stance only. */
export function shift(job: Job, ids: readonly string[], by: Point, stance = ''): void {
  const elsewhere =
    chosenVariant(job)
      .stances.find((s) => s.id === stance)
      ?.loose.filter((l) => !l.outside && ids.includes(l.item)) ?? [];
  for (const place of elsewhere)
    place.at = { x: tenth(place.at.x + by.x), y: tenth(place.at.y + by.y), z: tenth(place.at.z + by.z) };
  ids = ids.filter((id) => !elsewhere.some((l) => l.item === id));
  for (const item of movable(job, ids))
    item.at = { x: tenth(item.at.x + by.x), y: tenth(item.at.y + by.y), z: tenth(item.at.z + by.z) };
}

export function duplicate(job: Job, ids: readonly string[]): string[] {
  const variant = chosenVariant(job);
  return chosen(job, ids).map((item) => {
    const copy: Item = JSON.parse(JSON.stringify(item)) as Item; // a draft cannot be cloned otherwise
    copy.id = newId(variant.items, item.name);
    copy.at.x = tenth(copy.at.x + 50);
    copy.locked = false;
    variant.items.push(copy);
    return copy.id;
  });
}

const mirrorFace = { left: 'right', right: 'left' } as const;
const turnFace = { rear: 'left', left: 'front', front: 'right', right: 'rear', top: 'top', none: 'none' } as const;

/** To the other side of the vehicle, opening the other way. */
export function mirror(job: Job, ids: readonly string[]): void {
  for (const item of movable(job, ids)) {
    item.at.y = item.at.y === 0 ? 0 : -item.at.y;
    if (!item.module) continue;
    const { faces } = item.module;
    if (faces === 'left' || faces === 'right') item.module.faces = mirrorFace[faces];
    item.module.mirrored = !item.module.mirrored;
  }
}

/** A quarter turn on its place. */
export function turn(job: Job, ids: readonly string[]): void {
  for (const item of movable(job, ids)) {
    item.size = { ...item.size, length: item.size.width, width: item.size.length };
    if (item.module) item.module.faces = turnFace[item.module.faces];
  }
}

const sides: Record<Axis, keyof Item['size']> = { x: 'length', y: 'width', z: 'height' };

/** Brings faces or middles of all to those of the one chosen last. */
export function align(job: Job, ids: readonly string[], axis: Axis, to: 'low' | 'middle' | 'high'): void {
  const model = chosen(job, ids.slice(-1))[0];
  if (!model) return;
  const offset = (item: Item) => (to === 'middle' ? 0 : ((to === 'low' ? -1 : 1) * item.size[sides[axis]]) / 2);
  for (const item of movable(job, ids.slice(0, -1)))
    item.at[axis] = tenth(model.at[axis] + offset(model) - offset(item));
}

/** Leaves the same gap between neighbours; the outermost stay. */
export function distribute(job: Job, ids: readonly string[], axis: Axis): void {
  const all = movable(job, ids).sort((a, b) => a.at[axis] - b.at[axis]);
  const first = all[0];
  const last = all.at(-1);
  if (!first || !last || all.length < 3) return;
  const size = (item: Item) => item.size[sides[axis]];
  const room = last.at[axis] - size(last) / 2 - (first.at[axis] + size(first) / 2);
  const between = all.slice(1, -1);
  const gap = (room - between.reduce((sum, item) => sum + size(item), 0)) / (all.length - 1);
  let at = first.at[axis] + size(first) / 2 + gap;
  for (const item of between) {
    item.at[axis] = tenth(at + size(item) / 2);
    at += size(item) + gap;
  }
}
