import { fromBase, unitName, writeGauge, type Kind, type System } from './units';

/** Between thousands. */
const NARROW = '\u202f';
/** Between a figure and its unit. */
const BEFORE_UNIT = '\u00a0';

/** Writes base units as the system shows them, with the unit; the core's quantity.Format does the same. */
export function formatQuantity(value: number, kind: Kind, system: System): string {
  const unit = unitName(kind, system);
  return formatNumber(value, kind, system) + (unit === '' || kind === 'angle' ? unit : BEFORE_UNIT + unit);
}

/** The same without the unit, for columns whose head names it. */
export function formatNumber(value: number, kind: Kind, system: System): string {
  const shown = fromBase(value, kind, system);
  if (kind === 'plain') return group(shown, 2);
  if (kind === 'copper' && system === 'us') return writeGauge(shown);
  if (kind === 'voltage' || kind === 'copper') return group(shown, 2);
  if (kind === 'power') return group(shown, Math.abs(shown) < 10 ? 1 : 0);
  if (kind === 'charge' || kind === 'current') return group(shown, Math.abs(shown) < 100 ? 1 : 0);
  if (kind === 'length') return system === 'us' ? sixteenths(shown) : group(shown, 0);
  if (kind === 'mass') return group(shown, Math.abs(shown) < (system === 'us' ? 10 : 100) ? 1 : 0);
  if (kind === 'volume') return group(shown, system === 'us' || Math.abs(shown) < 10 ? 1 : 0);
  return group(shown, ['distance', 'temperature', 'energy', 'pressure'].includes(kind) ? 0 : 1);
}

/** A mass for a column of masses: always one decimal, so that the points stand under each other. */
export function formatMassColumn(kg: number, system: System): string {
  const shown = fromBase(kg, 'mass', system);
  const text = group(shown, 1);
  return text.includes('.') ? text : `${text}.0`;
}

/** A value as a field starts with: plain enough to be typed over, exact enough not to change by itself. */
export function editable(value: number, kind: Kind, system: System): string {
  const shown = fromBase(value, kind, system);
  if (kind === 'length' && system === 'us') return sixteenths(shown).replace('−', '-').replaceAll(NARROW, '');
  if (kind === 'copper' && system === 'us') return writeGauge(shown);
  const decimals = kind === 'plain' ? 3 : kind === 'length' ? 1 : 2;
  return String(round(shown, decimals));
}

/** A signed difference, for effects: "+12.4", "−3". */
export function formatChange(value: number, kind: Kind, system: System): string {
  const text = formatNumber(value, kind, system);
  return value > 0 && text !== '0' ? `+${text}` : text;
}

/** Half away from zero; what a computer's sum puts a hair below a half counts as one. */
function round(value: number, decimals: number): number {
  const scale = 10 ** decimals;
  const rounded = (Math.sign(value) * Math.round(Math.abs(value) * scale + 1e-9)) / scale;
  return rounded === 0 ? 0 : rounded;
}

function group(value: number, decimals: number): string {
  const rounded = round(value, decimals);
  const [whole = '0', fraction] = String(Math.abs(rounded)).split('.');
  const apart = whole.replace(/\B(?=(\d{3})+$)/g, NARROW);
  return (rounded < 0 ? '−' : '') + apart + (fraction ? `.${fraction}` : '');
}

function sixteenths(inches: number): string {
  let rest = Math.round(Math.abs(inches) * 16);
  const sign = inches < 0 && rest > 0 ? '−' : '';
  const whole = Math.floor(rest / 16);
  rest %= 16;
  if (rest === 0) return sign + group(whole, 0);
  let below = 16;
  while (rest % 2 === 0) {
    rest /= 2;
    below /= 2;
  }
  return sign + (whole === 0 ? '' : `${group(whole, 0)} `) + `${rest}/${below}`;
}
