import type { Bay, Step } from '../api/types';

type Node = Record<string, unknown> | { id: string }[];

/** The thing that holds the last key of a path of keys and ids. */
function holder(bay: Bay, path: Step['path']): Record<string, unknown> | undefined {
  let node: unknown = bay;
  for (const key of path.slice(0, -1)) {
    const inside = node as Node;
    node = Array.isArray(inside) ? inside.find((thing) => thing.id === key) : inside[key];
    if (typeof node !== 'object' || node === null) return undefined;
  }
  return node as Record<string, unknown>;
}

/** What a bay has at the path of a measure: mm or degrees, 1 for yes. */
export function measureAt(bay: Bay, path: Step['path']): number {
  const value = holder(bay, path)?.[path.at(-1) ?? ''];
  return typeof value === 'number' ? value : value === true ? 1 : 0;
}

/** Writes a measure into a bay that is being edited. */
export function setMeasure(bay: Bay, step: Step, value: number): void {
  const inside = holder(bay, step.path);
  const key = step.path.at(-1);
  if (inside && key !== undefined) inside[key] = step.kind === 'yes' ? value !== 0 : value;
}
