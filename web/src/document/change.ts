/**
 * Changes of a JSON document, addressed by keys and, in lists of things, by
 * their ids: what a gesture did, what undo takes back, and what is carried over
 * onto a document that somebody else has changed meanwhile.
 */
export type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

export interface Change {
  path: string[];
  /** undefined: was not there. */
  before: Json | undefined;
  /** undefined: is gone. */
  after: Json | undefined;
  /** Where in its list a thing stood, to put it back there. */
  index?: number;
}

type Fields = { [key: string]: Json };

const isFields = (value: Json | undefined): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);

/** The fields by which things in lists are told apart, as in the core's merge. */
const idKeys = ['id', 'tank', 'seat', 'part', 'limit', 'school'];

function idOf(value: Json | undefined): string | undefined {
  if (!isFields(value)) return undefined;
  for (const key of idKeys) {
    const id = value[key];
    if (typeof id === 'string' && id !== '') return id;
  }
  return undefined;
}

const isThings = (value: Json | undefined): value is Json[] => Array.isArray(value) && value.every((v) => idOf(v) !== undefined);

const placesById = (things: readonly Json[]) => new Map(things.map((thing, i) => [idOf(thing) ?? '', i]));

export function equal(a: Json | undefined, b: Json | undefined): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((v, i) => equal(v, b[i]));
  if (isFields(a) && isFields(b)) {
    const keys = Object.keys(a).filter((k) => a[k] !== undefined);
    return keys.length === Object.keys(b).filter((k) => b[k] !== undefined).length && keys.every((k) => equal(a[k], b[k]));
  }
  return false;
}

/** What turns before into after, field by field. A mere reordering is no change. */
export function diff(before: Json | undefined, after: Json | undefined, path: string[] = []): Change[] {
  if (equal(before, after)) return [];
  if (isFields(before) && isFields(after)) {
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) => diff(before[key], after[key], [...path, key]));
  }
  if (isThings(before) && isThings(after)) {
    const [places, newPlaces] = [placesById(before), placesById(after)];
    return [...new Set([...places.keys(), ...newPlaces.keys()])].flatMap((id) => {
      const [i, k] = [places.get(id) ?? -1, newPlaces.get(id) ?? -1];
      if (before[i] === after[k]) return [];
      const changes = diff(before[i], after[k], [...path, id]);
      return i < 0 || k < 0 ? changes.map((c) => ({ ...c, index: Math.max(i, k) })) : changes;
    });
  }
  return [{ path, before, after }];
}

/** The value at a path, or undefined. */
export function valueAt(document: Json | undefined, path: readonly string[]): Json | undefined {
  let value = document;
  for (const step of path) {
    if (Array.isArray(value)) value = value.find((v) => idOf(v) === step);
    else if (isFields(value)) value = value[step];
    else return undefined;
  }
  return value;
}

/** Whether a document still has what a change started from. */
export function fits(document: Json, change: Change): boolean {
  return equal(valueAt(document, change.path), change.before);
}

export function inverse(changes: readonly Change[]): Change[] {
  return changes.map((c) => ({ ...c, before: c.after, after: c.before })).reverse();
}

/** The document with changes made; a change inside of a thing that is gone does nothing. */
export function apply(document: Json, changes: readonly Change[]): Json {
  return changes.reduce((d, c) => set(d, c.path, c), document);
}

function set(node: Json, path: readonly string[], change: Change): Json {
  const [step, ...rest] = path;
  if (step === undefined) return change.after ?? null;
  if (Array.isArray(node)) {
    const i = node.findIndex((v) => idOf(v) === step);
    if (rest.length > 0) return i < 0 ? node : node.with(i, set(node[i] as Json, rest, change));
    if (change.after === undefined) return node.filter((_, k) => k !== i);
    return i < 0 ? node.toSpliced(change.index ?? node.length, 0, change.after) : node.with(i, change.after);
  }
  if (!isFields(node)) return node;
  if (rest.length > 0) {
    const child = node[step];
    return child === undefined ? node : { ...node, [step]: set(child, rest, change) };
  }
  if (change.after !== undefined) return { ...node, [step]: change.after };
  return Object.fromEntries(Object.entries(node).filter(([key]) => key !== step));
}

/** A later gesture on the same fields joined to an earlier one. */
export function join(earlier: readonly Change[], later: readonly Change[], document: Json): Change[] {
  const before = apply(document, inverse([...earlier, ...later]));
  return diff(before, document);
}
