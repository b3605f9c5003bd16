import type { Item, Units } from '../api/types';
import { formatQuantity } from '../quantity/format';

/** What was written of items that have not changed: figures take their time to be written. */
const written = new WeakMap<Item, { key: string; text: string }>();

/** The name of an item with its mass, and with its station where that is given, mm. */
export function nameAndMass(item: Item, mass: number, units: Units, station?: number): string {
  const key = `${mass} ${station ?? ''} ${units}`;
  const before = written.get(item);
  if (before?.key === key) return before.text;
  const where = station === undefined ? '' : `, station ${formatQuantity(station, 'length', units)}`;
  const text = `${item.name}, ${formatQuantity(mass, 'mass', units)}${where}`;
  written.set(item, { key, text });
  return text;
}
