/** Measures as people write them. The core's package quantity is the model; both are held to its testdata/vectors.json. */
export type Kind = 'length' | 'mass' | 'volume' | 'plain';
export type System = 'metric' | 'us';

export const MM_PER_INCH = 25.4;
export const KG_PER_POUND = 0.45359237;
export const LITRES_PER_GAL = 3.785411784;

export const units: Readonly<Record<string, { kind: Kind; factor: number }>> = {
  mm: { kind: 'length', factor: 1 },
  cm: { kind: 'length', factor: 10 },
  m: { kind: 'length', factor: 1000 },
  in: { kind: 'length', factor: MM_PER_INCH },
  inch: { kind: 'length', factor: MM_PER_INCH },
  inches: { kind: 'length', factor: MM_PER_INCH },
  '"': { kind: 'length', factor: MM_PER_INCH },
  ft: { kind: 'length', factor: 12 * MM_PER_INCH },
  foot: { kind: 'length', factor: 12 * MM_PER_INCH },
  feet: { kind: 'length', factor: 12 * MM_PER_INCH },
  "'": { kind: 'length', factor: 12 * MM_PER_INCH },
  g: { kind: 'mass', factor: 0.001 },
  kg: { kind: 'mass', factor: 1 },
  t: { kind: 'mass', factor: 1000 },
  lb: { kind: 'mass', factor: KG_PER_POUND },
  lbs: { kind: 'mass', factor: KG_PER_POUND },
  oz: { kind: 'mass', factor: KG_PER_POUND / 16 },
  ml: { kind: 'volume', factor: 0.001 },
  l: { kind: 'volume', factor: 1 },
  litre: { kind: 'volume', factor: 1 },
  litres: { kind: 'volume', factor: 1 },
  liter: { kind: 'volume', factor: 1 },
  liters: { kind: 'volume', factor: 1 },
  gal: { kind: 'volume', factor: LITRES_PER_GAL },
  qt: { kind: 'volume', factor: LITRES_PER_GAL / 4 },
  impgal: { kind: 'volume', factor: 4.54609 },
};

/** Base units (mm, kg, L) that a bare number of a kind means. */
export function bareFactor(kind: Kind, system: System): number {
  if (system === 'metric' || kind === 'plain') return 1;
  return { length: MM_PER_INCH, mass: KG_PER_POUND, volume: LITRES_PER_GAL }[kind];
}

/** The unit that a system shows a kind in. */
export function unitName(kind: Kind, system: System): string {
  if (kind === 'plain') return '';
  return { metric: { length: 'mm', mass: 'kg', volume: 'L' }, us: { length: 'in', mass: 'lb', volume: 'gal' } }[system][kind];
}
