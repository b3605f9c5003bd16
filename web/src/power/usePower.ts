import type { Electrics } from '../api/types';
import { chosenVariant } from '../document/SessionContext';
import { useFields } from '../document/useFields';
import { formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';

/** Hour of the day as the clock writes it. */
export const clock = (hour: number) => {
  const minutes = Math.round(hour * 60) % (24 * 60);
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
};

/** What a clock field holds, as an hour of the day; nothing for an empty one. */
export const hourOf = (text: string): number | undefined => {
  const [hours, minutes] = text.split(':').map(Number);
  return hours === undefined || minutes === undefined ? undefined : hours + minutes / 60;
};

/** A moment of the days: "day 3, 02:40". */
export const moment = (begin: number, hours: number) =>
  `day ${1 + Math.floor((begin + hours) / 24)}, ${clock((begin + hours) % 24)}`;

export const percent = (share: number) => `${Math.round(share * 1000) / 10}\u202f%`;

/** The electrics of the variant shown, its figures, and short ways to edit its fields. */
export function usePower() {
  const fields = useFields<Electrics>((job) => chosenVariant(job).electrics);
  const variant = chosenVariant(fields.job);
  const say = (value: number, kind: Kind) => formatQuantity(value, kind, fields.job.units);
  /** Degrees of a difference of temperatures in the job's units, of one °C. */
  const degree = fields.job.units === 'us' ? 1.8 : 1;
  return {
    ...fields,
    degree,
    variant,
    electrics: variant.electrics,
    power: fields.assessment?.power,
    wiring: fields.assessment?.wiring,
    say,
  };
}
