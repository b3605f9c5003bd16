const texts = new WeakMap<object, string>();

/** How deep parts are written once for themselves: from what is sent, by job, variants and variant, to its items. */
const deep = 6;

/** Up to so many characters a list is kept as written; a long one is put together of its parts, which takes no time. */
const short = 4000;

/**
 * A value as JSON.stringify writes it; undefined where that writes nothing. An object is written once, and what two
 * states of a job share is not written again: after an edit, which is sent, kept over a reload and asked about, only
 * what it touched. Nothing that is written is changed afterwards; it is replaced.
 */
export function written(value: object): string;
export function written(value: unknown, depth?: number): string | undefined;
export function written(value: unknown, depth = deep): string | undefined {
  if (typeof value !== 'object' || value === null || depth === 0 || 'toJSON' in value) return JSON.stringify(value);
  const known = texts.get(value);
  if (known !== undefined) return known;
  const text = Array.isArray(value)
    ? `[${value.map((part) => written(part, depth - 1) ?? 'null').join()}]`
    : `{${Object.entries(value)
        .flatMap(([name, part]) => {
          const says = written(part, depth - 1);
          return says === undefined ? [] : [`${JSON.stringify(name)}:${says}`];
        })
        .join()}}`;
  if (!Array.isArray(value) || text.length < short) texts.set(value, text);
  return text;
}
