import { gauge, readThickGauge, toBase, units, written, type Kind, type System } from './units';

const LONGEST = 80;

/** Why a text is not a quantity, as a sentence that says what is accepted. */
export class NotAQuantity extends Error {}

interface Amount {
  value: number;
  /** Already in base units; otherwise a plain number. */
  measured: boolean;
}

/**
 * Reads a value with unit and arithmetic ("42in", "30 gal", "640-2*12") into
 * mm, kg or litres. Throws NotAQuantity. The rules are those of the core's
 * quantity.Parse, and one file of test vectors holds both.
 */
export function parseQuantity(text: string, kind: Kind, system: System): number {
  if (text.length > LONGEST)
    throw new NotAQuantity(`${text.length} characters were given; accepted are up to ${LONGEST}`);
  const thick = kind === 'copper' ? readThickGauge(clean(text)) : undefined;
  if (thick !== undefined && (system === 'us' || clean(text).endsWith('awg'))) return gauge(thick);
  const [bare, own] = withoutUnit(clean(text), kind, system);
  return new Parser(bare, kind, own).read();
}

/** Cuts a unit that holds for the whole value, with the system that it belongs to. */
function withoutUnit(text: string, kind: Kind, system: System): [text: string, system: System] {
  // "gal/min" ends as "l/min" does.
  for (const named of ['us', 'metric'] as const) {
    const spelling = written[kind]?.[named].find((s) => text.endsWith(s));
    if (spelling !== undefined) return [text.slice(0, -spelling.length), named];
  }
  return [text, system];
}

const folded: Record<string, string> = {
  '−': '-',
  '–': '-',
  '×': '*',
  '·': '*',
  '÷': '/',
  '″': '"',
  '”': '"',
  '′': "'",
  '’': "'",
  º: '°',
  '\u00a0': ' ',
  '\u202f': ' ',
  '\u2009': ' ',
  '\t': ' ',
};

function clean(text: string): string {
  return [...text.trim().toLowerCase()].map((c) => folded[c] ?? c).join('');
}

export function example(kind: Kind): string {
  return {
    length: '1200, 42in or 640-2*12',
    mass: '12.5, 30 lb or 4*9.5',
    volume: '55, 30 gal or 2*20',
    distance: '450, 280 mi or 2*220',
    rate: '38 or 220 lb/in',
    temperature: '35 or 95 °F',
    consumption: '12.5 or 19 mpg',
    angle: '12 or 3*4',
    power: '45, 1.2 kW or 2*8',
    energy: '500 or 1.2 kWh',
    charge: '105 or 2*105',
    current: '30 or 500 mA',
    voltage: '12.8',
    time: '1.5 or 10 min',
    copper: '6, 2.5 mm² or 10 AWG',
    pressure: '240, 2.4 bar or 35 psi',
    airflow: '75, 75 L/min or 2.6 cfm',
    flow: '8, 2 gal/min or 2*4',
    plain: '12 or 3*4',
  }[kind];
}

function accepted(kind: Kind): string {
  return Object.entries(units)
    .filter(([, u]) => u.kind === kind)
    .map(([name]) => name)
    .sort()
    .join(', ');
}

const isDigit = (c: string) => c >= '0' && c <= '9' && c.length === 1;
const isLetter = (c: string) => c >= 'a' && c <= 'z' && c.length === 1;

class Parser {
  private at = 0;
  private depth = 0;

  constructor(
    private readonly text: string,
    private readonly kind: Kind,
    private readonly system: System,
  ) {}

  read(): number {
    this.space();
    if (this.done()) throw new NotAQuantity(`nothing was given; accepted is a value such as ${example(this.kind)}`);
    const result = this.base(this.sum());
    if (!this.done())
      throw new NotAQuantity(
        `"${this.text.slice(this.at)}" is not understood; accepted is a value such as ${example(this.kind)}`,
      );
    if (!Number.isFinite(result)) throw new NotAQuantity(`"${this.text}" is not a finite number`);
    return result;
  }

  private done(): boolean {
    return this.at >= this.text.length;
  }

  private peek(): string {
    return this.text.charAt(this.at);
  }

  private space(): void {
    while (this.peek() === ' ') this.at++;
  }

  private base(a: Amount): number {
    return a.measured ? a.value : toBase(a.value, this.kind, this.system);
  }

  private sum(): Amount {
    let left = this.product();
    for (;;) {
      const sign = this.peek();
      if (sign !== '+' && sign !== '-') return left;
      this.at++;
      let right = this.product();
      if (left.measured !== right.measured) {
        left = { value: this.base(left), measured: true };
        right = { value: this.base(right), measured: true };
      }
      left = { value: sign === '-' ? left.value - right.value : left.value + right.value, measured: left.measured };
    }
  }

  private product(): Amount {
    let left = this.factor();
    for (;;) {
      const sign = this.peek();
      if (sign !== '*' && sign !== '/') return left;
      this.at++;
      const right = this.factor();
      if (sign === '*' && left.measured && right.measured)
        throw new NotAQuantity('two measures cannot be multiplied; accepted is a measure times a number');
      if (sign === '/' && right.measured)
        throw new NotAQuantity('nothing can be divided by a measure; accepted is a measure divided by a number');
      if (sign === '/' && right.value === 0) throw new NotAQuantity('nothing can be divided by zero');
      left = {
        value: sign === '/' ? left.value / right.value : left.value * right.value,
        measured: left.measured || right.measured,
      };
    }
  }

  private factor(): Amount {
    this.space();
    const sign = this.peek();
    if (sign === '-' || sign === '+') {
      this.at++;
      const a = this.nested(() => this.factor());
      return sign === '-' ? { value: -a.value, measured: a.measured } : a;
    }
    const a = this.primary();
    if (!a.measured) return a;
    while (isDigit(this.peek())) {
      const more = this.primary();
      if (!more.measured)
        throw new NotAQuantity('a number without unit follows a measure; accepted is one like 5ft 3in');
      a.value += more.value;
    }
    return a;
  }

  private nested(rule: () => Amount): Amount {
    if (++this.depth > 20) throw new NotAQuantity('the brackets are nested too deeply; accepted are up to 20 levels');
    const a = rule();
    this.depth--;
    return a;
  }

  private primary(): Amount {
    let a: Amount;
    if (this.peek() === '(') {
      this.at++;
      a = { ...this.nested(() => this.sum()) };
      if (this.peek() !== ')') throw new NotAQuantity('a closing bracket is missing');
      this.at++;
    } else {
      a = { value: this.number(), measured: false };
    }
    this.space();
    const name = this.word();
    if (name === '') return a;
    const unit = units[name];
    if (unit?.kind !== this.kind)
      throw new NotAQuantity(`"${name}" is not a unit of ${this.kind}; accepted are ${accepted(this.kind)}`);
    if (a.measured) throw new NotAQuantity(`"${name}" follows what already has a unit`);
    this.space();
    return { value: a.value * unit.factor, measured: true };
  }

  private word(): string {
    const start = this.at;
    if (this.peek() === "'" || this.peek() === '"' || this.peek() === '°') this.at++;
    else while (isLetter(this.peek())) this.at++;
    return this.text.slice(start, this.at);
  }

  /** A decimal, a fraction before a unit ("1/2in") or a mixed fraction ("3 1/2"). */
  private number(): number {
    const whole = this.decimal();
    const start = this.at;
    const rest = this.text.slice(start);
    const half = /^\/(\d+)(?= *['"a-z])/.exec(rest);
    if (half && Number.isInteger(whole) && Number(half[1]) !== 0) {
      this.at += half[0].length;
      return whole / Number(half[1]);
    }
    const mixed = /^ *(\d+)\/(\d+)/.exec(rest);
    if (mixed && Number(mixed[2]) !== 0) {
      this.at += mixed[0].length;
      return whole + Number(mixed[1]) / Number(mixed[2]);
    }
    this.space();
    return whole;
  }

  private decimal(): number {
    this.space();
    const start = this.at;
    while (isDigit(this.peek()) || this.peek() === '.' || this.peek() === ',' || this.thousandsSpace(start)) this.at++;
    const raw = this.text.slice(start, this.at);
    if (raw === '') throw new NotAQuantity(`a number is missing; accepted is a value such as ${example(this.kind)}`);
    const plain = decimalPoint(raw.replaceAll(' ', ''), this.system);
    if (!/^(\d+\.?\d*|\.\d+)$/.test(plain))
      throw new NotAQuantity(`"${raw}" is not a number; accepted is a value such as ${example(this.kind)}`);
    return Number(plain);
  }

  /** The space here stands between a digit and exactly three more digits. */
  private thousandsSpace(start: number): boolean {
    return (
      this.at > start && isDigit(this.text.charAt(this.at - 1)) && /^ \d{3}(?![\d/])/.test(this.text.slice(this.at))
    );
  }
}

function decimalPoint(raw: string, system: System): string {
  const commas = raw.split(',').length - 1;
  const points = raw.split('.').length - 1;
  const comma = raw.lastIndexOf(',');
  if (commas === 0) return raw;
  if ((commas > 1 && points === 0) || (points === 1 && raw.lastIndexOf('.') > comma)) return raw.replaceAll(',', '');
  if (commas === 1 && points > 0) return raw.replaceAll('.', '').replace(',', '.');
  if (commas === 1 && raw.length - comma - 1 === 3 && comma > 0 && raw.slice(0, comma) !== '0') {
    if (system === 'us') return raw.replace(',', '');
    throw new NotAQuantity(
      `"${raw}" can mean two numbers; accepted is ${raw.replace(',', '')} or ${raw.replace(',', '.')}`,
    );
  }
  if (commas === 1) return raw.replace(',', '.');
  throw new NotAQuantity(`"${raw}" is not a number`);
}
