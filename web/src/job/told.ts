import type { Conflict, Units } from '../api/types';
import { formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';

/** The kind of measure that a field of the document holds, by its name. */
const kinds: Record<string, Kind> = {
  mass: 'mass',
  kg: 'mass',
  front: 'mass',
  rear: 'mass',
  total: 'mass',
  ball: 'mass',
  section: 'mass',
  behindCut: 'mass',
  x: 'length',
  y: 'length',
  z: 'length',
  length: 'length',
  width: 'length',
  height: 'length',
  wheelbase: 'length',
  trackFront: 'length',
  trackRear: 'length',
  tyreRadius: 'length',
  overhang: 'length',
  cgHeight: 'length',
  cgSide: 'length',
  by: 'length',
  cut: 'length',
  ballToAxle: 'length',
  now: 'volume',
  min: 'volume',
  max: 'volume',
  capacity: 'volume',
  litres: 'volume',
};

/** Fields whose name in the document is not what the screen calls them. */
const names: Record<string, string> = {
  x: 'station',
  y: 'side',
  z: 'height',
  at: 'place',
  kg: 'mass',
  now: 'content',
  on: 'aboard',
  min: 'least',
  max: 'most',
};

/** What a conflict is about: the thing, and the field as the screen calls it. */
export function toldField({ name, path, mine, theirs }: Conflict): string {
  if (mine === null || theirs === null) return name; // the thing itself is gone on one side
  const key = path.at(-1) ?? '';
  const field = (names[key] ?? key).replace(/([A-Z])/g, ' $1').toLowerCase();
  return name === '' ? field : `${name}: ${field}`;
}

/** One side's value, in the job's units. */
export function toldValue({ path }: Conflict, value: unknown, units: Units): string {
  if (value === null || value === undefined) return 'removed';
  const kind = kinds[path.at(-1) ?? ''];
  if (typeof value === 'number') return kind ? formatQuantity(value, kind, units) : String(value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value === '' ? 'empty' : value;
  return typeof value === 'object' && 'name' in value ? 'kept, and changed' : JSON.stringify(value);
}
