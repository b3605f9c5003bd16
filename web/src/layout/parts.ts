import type { Box, Item, Job, PartFigures, Point } from '../api/types';
import { chosenVariant } from '../document/SessionContext';
import type { Snapshot } from '../document/session';

/** An item as it stands on the bench. */
export interface Part {
  item: Item;
  figures: PartFigures | undefined;
  box: Box;
}

export const middle = (b: Box): Point => ({
  x: (b.from.x + b.to.x) / 2,
  y: (b.from.y + b.to.y) / 2,
  z: (b.from.z + b.to.z) / 2,
});

/** A box of a size about a place. */
export function boxAbout(at: Point, size: Item['size']): Box {
  const [x, y, z] = [size.length / 2, size.width / 2, size.height / 2];
  return { from: { x: at.x - x, y: at.y - y, z: at.z - z }, to: { x: at.x + x, y: at.y + y, z: at.z + z } };
}

/** Boxes of items that have not changed stay the same, so that they need not be drawn again. */
const known = new WeakMap<Item, { shift: number; box: Box }>();

function boxOf(item: Item, shift: number): Box {
  const before = known.get(item);
  if (before?.shift === shift) return before.box;
  const box = boxAbout({ ...item.at, x: item.at.x + shift }, item.size);
  known.set(item, { shift, box });
  return box;
}

/**
 * Everything that stands on the bench. Boxes are where the hand has them now;
 * figures are of the job that was assessed a moment ago.
 */
export function partsOf({ job, assessment, assessed }: Pick<Snapshot, 'job' | 'assessment' | 'assessed'>): Part[] {
  const figuresOf = new Map(assessment?.bench.map((f) => [f.id, f]));
  const stands = new Map(assessment?.items.map((f) => [f.id, f.x]));
  const before = new Map((assessed ? chosenVariant(assessed) : undefined)?.items.map((i) => [i.id, i]));
  return chosenVariant(job)
    .items.filter((item) => item.seat === '')
    .map((item) => {
      const figures = figuresOf.get(item.id);
      const old = before.get(item.id);
      if (item.in && figures) return { item, figures, box: figures.box };
      // What a wheelbase extension adds to its place.
      const now = figures ? middle(figures.box).x : stands.get(item.id);
      const shift = now !== undefined && old && item.behind ? now - old.at.x : 0;
      return { item, figures, box: boxOf(item, shift) };
    });
}

/** The least box around several; undefined for none. */
export function around(boxes: readonly Box[]): Box | undefined {
  const [first, ...rest] = boxes;
  if (!first) return undefined;
  return rest.reduce<Box>(
    (all, b) => ({
      from: { x: Math.min(all.from.x, b.from.x), y: Math.min(all.from.y, b.from.y), z: Math.min(all.from.z, b.from.z) },
      to: { x: Math.max(all.to.x, b.to.x), y: Math.max(all.to.y, b.to.y), z: Math.max(all.to.z, b.to.z) },
    }),
    first,
  );
}

/** The bay whose room holds the middle of a box, if any. */
export function bayAt(bays: readonly { id: string; room: Box; box: { height: number } }[], at: Point): string {
  const inside = (low: number, value: number, high: number) => low <= value && value <= high;
  const bay = bays.find(
    ({ room, box }) =>
      inside(room.from.x, at.x, room.to.x) &&
      inside(room.from.y, at.y, room.to.y) &&
      (box.height === 0 ? at.z >= room.from.z : inside(room.from.z, at.z, room.to.z)),
  );
  return bay?.id ?? '';
}

export const partIn = (job: Job, id: string): Item | undefined => chosenVariant(job).items.find((i) => i.id === id);
