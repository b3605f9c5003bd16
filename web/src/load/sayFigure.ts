import type { LimitColumn, Units } from '../api/types';
import { formatQuantity } from '../quantity/format';

/** A figure of the matrix with its unit. */
export function sayFigure(value: number, unit: LimitColumn['unit'], units: Units): string {
  if (unit === 'kg') return formatQuantity(value, 'mass', units);
  if (unit === 'people') return value.toFixed(0);
  return unit === '%' ? `${value.toFixed(1)}\u00a0%` : `${value.toFixed(1)}°`;
}
