import { describe, expect, it } from 'vitest';

import { percent } from './percent';

describe('a probability', () => {
  it('is never said to be certain while it is not', () => {
    expect(percent(0)).toBe('0.0\u00a0%');
    expect(percent(0.0004)).toBe('less than 0.1\u00a0%');
    expect(percent(0.045)).toBe('4.5\u00a0%');
    expect(percent(0.9996)).toBe('more than 99.9\u00a0%');
    expect(percent(1)).toBe('100.0\u00a0%');
  });

  it('never falls as it grows', () => {
    const said = (p: number) => {
      const text = percent(p);
      return text.startsWith('less') ? 0.05 : text.startsWith('more') ? 99.95 : parseFloat(text);
    };
    for (let p = 0; p < 1; p += 0.0007) expect(said(p + 0.0007)).toBeGreaterThanOrEqual(said(p) - 1e-9);
  });
});
