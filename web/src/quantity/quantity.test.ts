import { describe, expect, it } from 'vitest';

import vectors from '../../../internal/core/quantity/testdata/vectors.json';
import { editable, formatQuantity } from './format';
import { NotAQuantity, parseQuantity } from './parse';
import type { Kind, System } from './units';

describe('the same vectors as the core', () => {
  it.each(vectors.parse)('reads $text ($system)', ({ text, kind, system, value }) => {
    const read = () => parseQuantity(text, kind as Kind, system as System);
    if (value === undefined) expect(read).toThrow(NotAQuantity);
    else expect(read()).toBeCloseTo(value, 8);
  });

  it.each(vectors.format)('writes $text', ({ value, kind, system, text }) => {
    expect(formatQuantity(value, kind as Kind, system as System).replaceAll(/[\u202f\u00a0]/g, ' ')).toBe(text);
  });
});

it('starts a field with what reads back as the same measure', () => {
  for (const system of ['metric', 'us'] as const) {
    for (const value of [0, 12.7, 1234.5, -310]) {
      expect(parseQuantity(editable(value, 'length', system), 'length', system)).toBeCloseTo(
        value,
        system === 'us' ? -0.5 : 1,
      );
    }
  }
});
