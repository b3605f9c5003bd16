import type { Assessment, Item, ItemFigures, Job } from '../api/types';
import { chosenVariant } from '../document/SessionContext';
import type { Snapshot } from '../document/session';

/** The window of a side elevation: mm of the vehicle's frame to units of the drawing. */
export interface Window {
  /** x at the left edge, mm. */
  from: number;
  /** mm per unit of the drawing. */
  scale: number;
  width: number;
  height: number;
  /** Drawing y of the ground. */
  ground: number;
}

const RULE = 26;
const MARGIN = 260;

/** Fits the vehicle with all its items into a drawing of the given size. */
export function fitWindow(job: Job, assessment: Assessment, shown: Shown[], width: number, height: number): Window {
  const { outline, hitch, tyreRadius } = job.vehicle;
  const boxes = shown.map(({ item, figures }) => box(item, figures));
  const left = Math.min(-outline.frontOverhang, -tyreRadius, ...boxes.map((b) => b.x)) - MARGIN;
  const right =
    Math.max(
      assessment.wheelbase + outline.rearOverhang,
      assessment.wheelbase + hitch.overhang + (job.trailer ? 500 : 0),
      ...boxes.map((b) => b.x + b.length),
    ) + MARGIN;
  const top = Math.max(outline.height, ...boxes.map((b) => b.z + b.height)) + 150;
  const ground = height - RULE - 34;
  const scale = Math.max((right - left) / width, top / ground, 1);
  const slack = width * scale - (right - left);
  return { from: left - slack / 2, scale, width, height, ground };
}

/** Fits a rectangle in mm, bottom upward, into a drawing with a small margin all round. */
export function fitBox(
  left: number,
  right: number,
  bottom: number,
  top: number,
  width: number,
  height: number,
): Window {
  const margin = 26;
  const scale = Math.max((right - left) / (width - 2 * margin), (top - bottom) / (height - 2 * margin), 1);
  const spare = height - (top - bottom) / scale;
  return {
    from: (left + right) / 2 - (width * scale) / 2,
    scale,
    width,
    height,
    ground: height - spare / 2 + bottom / scale,
  };
}

export const drawX = (w: Window, x: number) => (x - w.from) / w.scale;
export const drawY = (w: Window, z: number) => w.ground - z / w.scale;

export interface Shown {
  item: Item;
  figures: ItemFigures;
}

/**
 * Items with their figures, in the order of the variant. Figures are of the job
 * that was assessed; what has been moved since stands where it is now, so that
 * the drawing keeps up with the hand and an edit that is refused still shows.
 */
export function shownItems({ job, assessment, assessed }: Pick<Snapshot, 'job' | 'assessment' | 'assessed'>): Shown[] {
  const figuresOf = new Map(assessment?.items.map((f) => [f.id, f]));
  const before = new Map(assessed?.variants.find((v) => v.id === assessment?.variant)?.items.map((i) => [i.id, i]));
  return chosenVariant(job).items.map((item) => {
    const figures = figuresOf.get(item.id) ?? {
      id: item.id,
      mass: item.mass,
      present: true,
      onTrailer: item.onTrailer,
      ...item.at,
      front: 0,
      rear: 0,
      per100: 0,
    };
    const old = before.get(item.id);
    const stands = !old || item.seat !== '' || old.seat !== '' || (item.at.x === old.at.x && item.at.z === old.at.z);
    if (stands) return { item, figures };
    return { item, figures: { ...figures, x: figures.x + item.at.x - old.at.x, z: figures.z + item.at.z - old.at.z } };
  });
}

export interface Box {
  x: number;
  z: number;
  length: number;
  height: number;
}

const LEAST = 90;

/** The outer box of an item about its centre, with a least size that can be seen and grabbed. */
export function box(item: Item, figures: ItemFigures): Box {
  const length = Math.max(item.size.length, LEAST);
  const height = Math.max(item.size.height, LEAST);
  return { x: figures.x - length / 2, z: figures.z - height / 2, length, height };
}

export interface Tick {
  x: number;
  label: string | undefined;
  major: boolean;
}

/** px that a figure on the rule takes with the gap to the next. */
const FIGURE = 40;

/** Ticks of the rule in the datum: every 100 mm with a figure each 500, or every 4 in with a figure each 20; fewer figures where they would run into each other. */
export function ruleTicks(w: Window, origin: number, units: Job['units'], sign: 1 | -1 = 1): Tick[] {
  const step = units === 'us' ? 4 * 25.4 : 100;
  const major = 5;
  const figures = major * ([1, 2, 4, 10].find((n) => (n * major * step) / w.scale >= FIGURE) ?? 20);
  const first = Math.ceil((w.from - origin) / step);
  const last = Math.floor((w.from + w.width * w.scale - origin) / step);
  const ticks: Tick[] = [];
  for (let n = first; n <= last; n++) {
    const isMajor = n % major === 0;
    const value = sign * n * (units === 'us' ? 4 : 100);
    ticks.push({
      x: origin + n * step,
      major: isMajor,
      label: n % figures === 0 ? String(value).replace('-', '−') : undefined,
    });
  }
  return ticks;
}
