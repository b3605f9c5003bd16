const written = new WeakMap<object, string>();

/**
 * What a question to the server is known by. A job is part of many, and is written once and not with everything that is
 * drawn: what is asked about is never changed, only replaced.
 */
export function hashOfKey(key: readonly unknown[]): string {
  return key
    .map((part) => {
      if (typeof part !== 'object' || part === null) return JSON.stringify(part);
      const known = written.get(part) ?? JSON.stringify(part);
      written.set(part, known);
      return known;
    })
    .join('\n');
}
