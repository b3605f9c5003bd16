/** Measures as people write them. The core's package quantity is the model; both are held to its testdata/vectors.json. */
export type Kind =
  'length' | 'mass' | 'volume' | 'distance' | 'rate' | 'temperature' | 'consumption' | 'angle' | 'plain';
export type System = 'metric' | 'us';

export const MM_PER_INCH = 25.4;
export const KG_PER_POUND = 0.45359237;
export const LITRES_PER_GAL = 3.785411784;
export const KM_PER_MILE = 1.609344;
/** N/mm per lb/in. */
export const RATE_PER_LB_IN = (KG_PER_POUND * 9.80665) / MM_PER_INCH;

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
  km: { kind: 'distance', factor: 1 },
  mi: { kind: 'distance', factor: KM_PER_MILE },
  mile: { kind: 'distance', factor: KM_PER_MILE },
  miles: { kind: 'distance', factor: KM_PER_MILE },
  '°': { kind: 'angle', factor: 1 },
  deg: { kind: 'angle', factor: 1 },
  impgal: { kind: 'volume', factor: 4.54609 },
};

/** Units that hold for a whole value and stand at its end: of scales, and those with a slash. */
export const written: Partial<Record<Kind, Record<System, readonly string[]>>> = {
  temperature: { metric: ['°c', 'c'], us: ['°f', 'f'] },
  consumption: { metric: ['l/100km', 'l/100 km'], us: ['mpg'] },
  rate: { metric: ['n/mm'], us: ['lb/in', 'lbs/in'] },
};

/** Miles per gallon times litres per 100 km. */
const MPG = (100 * LITRES_PER_GAL) / KM_PER_MILE;

const usFactors: Partial<Record<Kind, number>> = {
  length: MM_PER_INCH,
  mass: KG_PER_POUND,
  volume: LITRES_PER_GAL,
  distance: KM_PER_MILE,
  rate: RATE_PER_LB_IN,
};

/** Turns a number in the system's own unit into the base unit of its kind: mm, kg, L, km, N/mm, °C, L/100 km, degrees. */
export function toBase(value: number, kind: Kind, system: System): number {
  if (system === 'us' && kind === 'temperature') return (value - 32) / 1.8;
  if (system === 'us' && kind === 'consumption') return value === 0 ? 0 : MPG / value;
  return value * (system === 'us' ? (usFactors[kind] ?? 1) : 1);
}

/** The way back from toBase. */
export function fromBase(value: number, kind: Kind, system: System): number {
  if (system === 'us' && kind === 'temperature') return value * 1.8 + 32;
  if (system === 'us' && kind === 'consumption') return toBase(value, kind, system);
  return value / (system === 'us' ? (usFactors[kind] ?? 1) : 1);
}

const names: Record<Kind, readonly [metric: string, us: string]> = {
  length: ['mm', 'in'],
  mass: ['kg', 'lb'],
  volume: ['L', 'gal'],
  distance: ['km', 'mi'],
  rate: ['N/mm', 'lb/in'],
  temperature: ['°C', '°F'],
  consumption: ['L/100 km', 'mpg'],
  angle: ['°', '°'],
  plain: ['', ''],
};

/** The unit that a system shows a kind in. */
export function unitName(kind: Kind, system: System): string {
  return names[kind][system === 'us' ? 1 : 0];
}
