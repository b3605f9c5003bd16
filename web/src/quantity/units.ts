/** Measures as people write them. The core's package quantity is the model; both are held to its testdata/vectors.json. */
export type Kind =
  | 'length'
  | 'mass'
  | 'volume'
  | 'distance'
  | 'rate'
  | 'temperature'
  | 'consumption'
  | 'angle'
  | 'power'
  | 'energy'
  | 'charge'
  | 'current'
  | 'voltage'
  | 'time'
  | 'copper'
  | 'pressure'
  | 'flow'
  | 'airflow'
  | 'plain';
export type System = 'metric' | 'us';

export const MM_PER_INCH = 25.4;
export const KG_PER_POUND = 0.45359237;
export const LITRES_PER_GAL = 3.785411784;
export const KM_PER_MILE = 1.609344;
/** N/mm per lb/in. */
export const RATE_PER_LB_IN = (KG_PER_POUND * 9.80665) / MM_PER_INCH;

export const L_PER_CUBIC_FT = 28.316846592;
/** kPa per lb/in². */
export const KPA_PER_PSI = ((KG_PER_POUND * 9.80665) / (MM_PER_INCH * MM_PER_INCH)) * 1000;

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
  w: { kind: 'power', factor: 1 },
  kw: { kind: 'power', factor: 1000 },
  wh: { kind: 'energy', factor: 1 },
  kwh: { kind: 'energy', factor: 1000 },
  ah: { kind: 'charge', factor: 1 },
  mah: { kind: 'charge', factor: 0.001 },
  a: { kind: 'current', factor: 1 },
  ma: { kind: 'current', factor: 0.001 },
  v: { kind: 'voltage', factor: 1 },
  mv: { kind: 'voltage', factor: 0.001 },
  kpa: { kind: 'pressure', factor: 1 },
  bar: { kind: 'pressure', factor: 100 },
  psi: { kind: 'pressure', factor: KPA_PER_PSI },
  lpm: { kind: 'flow', factor: 1 },
  gpm: { kind: 'flow', factor: LITRES_PER_GAL },
  cfm: { kind: 'airflow', factor: L_PER_CUBIC_FT },
  h: { kind: 'time', factor: 1 },
  hour: { kind: 'time', factor: 1 },
  hours: { kind: 'time', factor: 1 },
  min: { kind: 'time', factor: 1 / 60 },
  impgal: { kind: 'volume', factor: 4.54609 },
};

/** Units that hold for a whole value and stand at its end: of scales, and those with a slash. */
export const written: Partial<Record<Kind, Record<System, readonly string[]>>> = {
  temperature: { metric: ['°c', 'c'], us: ['°f', 'f'] },
  consumption: { metric: ['l/100km', 'l/100 km'], us: ['mpg'] },
  rate: { metric: ['n/mm'], us: ['lb/in', 'lbs/in'] },
  copper: { metric: ['mm²', 'mm2'], us: ['awg'] },
  flow: { metric: ['l/min'], us: ['gal/min'] },
  airflow: { metric: ['l/min'], us: [] },
};

/** Miles per gallon times litres per 100 km. */
const MPG = (100 * LITRES_PER_GAL) / KM_PER_MILE;

const usFactors: Partial<Record<Kind, number>> = {
  length: MM_PER_INCH,
  mass: KG_PER_POUND,
  volume: LITRES_PER_GAL,
  distance: KM_PER_MILE,
  rate: RATE_PER_LB_IN,
  pressure: KPA_PER_PSI,
  flow: LITRES_PER_GAL,
  airflow: L_PER_CUBIC_FT,
};

/** The gauge that stands for no conductor at all. */
const NO_COPPER = 99;

/** Area of a conductor of an American gauge, mm² (ASTM B258); 0 is 1/0, −1 is 2/0. */
export const gauge = (n: number) => 0.012668 * 92 ** ((36 - n) / 19.5);
const gaugeOf = (area: number) => 36 - (19.5 * Math.log(area / 0.012668)) / Math.log(92);

/** Writes the nearest whole gauge, the thick ones as 1/0 to 4/0. */
export function writeGauge(n: number): string {
  if (n >= NO_COPPER) return '0';
  const whole = Math.round(n);
  return whole > 0 ? String(whole) : `${1 - whole}/0`;
}

/** Reads a gauge from 0 to 0000, written so or 1/0 to 4/0. */
export function readThickGauge(text: string): number | undefined {
  const found = /^(0{1,4}|[1-4]\/0) *(?:awg)?$/.exec(text)?.[1];
  if (found === undefined) return undefined;
  return 1 - (found.includes('/') ? Number(found[0]) : found.length);
}

/** Turns a number in the system's own unit into the base unit of its kind: mm, kg, L, km, N/mm, °C, L/100 km, degrees … */
export function toBase(value: number, kind: Kind, system: System): number {
  if (system === 'us' && kind === 'temperature') return (value - 32) / 1.8;
  if (system === 'us' && kind === 'consumption') return value === 0 ? 0 : MPG / value;
  if (system === 'us' && kind === 'copper') return value === NO_COPPER ? 0 : gauge(value);
  return value * (system === 'us' ? (usFactors[kind] ?? 1) : 1);
}

/** The way back from toBase. */
export function fromBase(value: number, kind: Kind, system: System): number {
  if (system === 'us' && kind === 'temperature') return value * 1.8 + 32;
  if (system === 'us' && kind === 'consumption') return toBase(value, kind, system);
  if (system === 'us' && kind === 'copper') return value <= 0 ? NO_COPPER : gaugeOf(value);
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
  power: ['W', 'W'],
  energy: ['Wh', 'Wh'],
  charge: ['Ah', 'Ah'],
  current: ['A', 'A'],
  voltage: ['V', 'V'],
  time: ['h', 'h'],
  copper: ['mm²', 'AWG'],
  pressure: ['kPa', 'psi'],
  flow: ['L/min', 'gal/min'],
  airflow: ['L/min', 'cfm'],
  plain: ['', ''],
};

/** The unit that a system shows a kind in. */
export function unitName(kind: Kind, system: System): string {
  return names[kind][system === 'us' ? 1 : 0];
}
