import type { Step, Units } from '../api/types';
import { formatQuantity } from '../quantity/format';

/** A measure as a list shows it; a dash where it still has to be taken. */
export function shownMeasure(step: Step, value: number, units: Units): string {
  if (step.kind === 'yes') return value ? 'yes' : '–';
  if (value === 0 && !step.optional) return '–';
  return formatQuantity(value, step.kind, units);
}
