import keys from '../api/listKeys.json';

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

const isFields = (value: Json | undefined): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

interface ListKey {
  fields: string[];
  /** The order of the list says something. */
  ordered: boolean;
}

/** By which fields the things of each list are told apart, by the list's path without ids: from the contract, as in the core's merge. */
const listKeys: Record<string, ListKey | undefined> = keys;

/** Tells the things of one list apart, or nothing of what is no list of things. */
const keyOf =
  (key: ListKey | undefined) =>
  (thing: Json | undefined): string | undefined => {
    if (!key || !isFields(thing)) return undefined;
    const parts = key.fields.map((field) => (typeof thing[field] === 'string' ? thing[field] : ''));
    return parts[0] === '' ? undefined : parts.join('/');
  };

const within = (pattern: string, key: string) => (pattern === '' ? key : `${pattern}.${key}`);

const isThings = (value: Json | undefined, idOf: (thing: Json | undefined) => string | undefined): value is Json[] =>
  Array.isArray(value) && value.every((v) => idOf(v) !== undefined);

/** Whether what both lists have stands in another order. */
function reordered(before: readonly string[], after: readonly string[]): boolean {
  const both = new Set(before.filter((id) => after.includes(id)));
  const rest = after.filter((id) => both.has(id));
  return before.filter((id) => both.has(id)).some((id, i) => id !== rest[i]);
}

export function equal(a: Json | undefined, b: Json | undefined): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((v, i) => equal(v, b[i]));
  if (isFields(a) && isFields(b)) {
    const keys = Object.keys(a).filter((k) => a[k] !== undefined);
    return (
      keys.length === Object.keys(b).filter((k) => b[k] !== undefined).length && keys.every((k) => equal(a[k], b[k]))
    );
  }
  return false;
}

/** What turns before into after, field by field. A mere reordering is no change, but in a list whose order says something. */
export function diff(before: Json | undefined, after: Json | undefined, path: string[] = [], pattern = ''): Change[] {
  if (equal(before, after)) return [];
  if (isFields(before) && isFields(after)) {
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
      diff(before[key], after[key], [...path, key], within(pattern, key)),
    );
  }
  const key = listKeys[pattern];
  const idOf = keyOf(key);
  if (isThings(before, idOf) && isThings(after, idOf)) {
    const [ids, newIds] = [before, after].map((things) => things.map((thing) => idOf(thing) ?? '')) as [
      string[],
      string[],
    ];
    if (key?.ordered && reordered(ids, newIds)) return [{ path, before, after }];
    const [places, newPlaces] = [ids, newIds].map((all) => new Map(all.map((id, i) => [id, i]))) as [
      Map<string, number>,
      Map<string, number>,
    ];
    return [...new Set([...places.keys(), ...newPlaces.keys()])].flatMap((id) => {
      const [i, k] = [places.get(id) ?? -1, newPlaces.get(id) ?? -1];
      if (before[i] === after[k]) return [];
      const changes = diff(before[i], after[k], [...path, id], pattern);
      return i < 0 || k < 0 ? changes.map((c) => ({ ...c, index: Math.max(i, k) })) : changes;
    });
  }
  return [{ path, before, after }];
}

/** The value at a path, or undefined. */
export function valueAt(document: Json | undefined, path: readonly string[]): Json | undefined {
  let value = document;
  let pattern = '';
  for (const step of path) {
    if (Array.isArray(value)) {
      const idOf = keyOf(listKeys[pattern]);
      value = value.find((v) => idOf(v) === step);
    } else if (isFields(value)) {
      value = value[step];
      pattern = within(pattern, step);
    } else return undefined;
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
  return changes.reduce((d, c) => set(d, c.path, c, ''), document);
}

function set(node: Json, path: readonly string[], change: Change, pattern: string): Json {
  const [step, ...rest] = path;
  if (step === undefined) return change.after ?? null;
  if (Array.isArray(node)) {
    const idOf = keyOf(listKeys[pattern]);
    const i = node.findIndex((v) => idOf(v) === step);
    if (rest.length > 0) return i < 0 ? node : node.with(i, set(node[i] as Json, rest, change, pattern));
    if (change.after === undefined) return node.filter((_, k) => k !== i);
    return i < 0 ? node.toSpliced(change.index ?? node.length, 0, change.after) : node.with(i, change.after);
  }
  if (!isFields(node)) return node;
  if (rest.length > 0) {
    const child = node[step];
    return child === undefined ? node : { ...node, [step]: set(child, rest, change, within(pattern, step)) };
  }
  if (change.after !== undefined) return { ...node, [step]: change.after };
  return Object.fromEntries(Object.entries(node).filter(([key]) => key !== step));
}

/** A later gesture on the same fields joined to an earlier one. */
export function join(earlier: readonly Change[], later: readonly Change[], document: Json): Change[] {
  const before = apply(document, inverse([...earlier, ...later]));
  return diff(before, document);
}
