import type { Brief, Gear, Later } from '../api/types';

/** The words by which the choices of a brief are offered. */
type Options<T extends string> = readonly { value: T; label: string }[];

export const tows: Options<Brief['trip']['tows']> = [
  { value: 'never', label: 'Never' },
  { value: 'sometimes', label: 'Sometimes' },
  { value: 'always', label: 'Always' },
];

export const sleepWhere: Options<Brief['camp']['sleepWhere']> = [
  { value: 'ground', label: 'On the ground' },
  { value: 'roof', label: 'On the roof' },
  { value: 'inside', label: 'Inside' },
  { value: 'trailer', label: 'In the trailer' },
  { value: 'elsewhere', label: 'Elsewhere' },
];

export const cookWhere: Options<Brief['camp']['cookWhere']> = [
  { value: 'outside', label: 'Outside' },
  { value: 'inside', label: 'Inside' },
  { value: 'both', label: 'Both' },
  { value: 'none', label: 'Not at all' },
];

export const washing: Options<Brief['camp']['washing']> = [
  { value: 'none', label: 'Not on the trip' },
  { value: 'bowl', label: 'From a bowl' },
  { value: 'shower', label: 'Under a shower' },
];

export const toilet: Options<Brief['camp']['toilet']> = [
  { value: 'none', label: 'None' },
  { value: 'carried', label: 'Carried along' },
  { value: 'built-in', label: 'Built in' },
];

export const wasteWater: Options<Brief['camp']['wasteWater']> = [
  { value: 'none', label: 'Not caught' },
  { value: 'caught', label: 'Caught in a tank' },
];

export const used: Options<Gear['used']> = [
  { value: 'often', label: 'Many times a day' },
  { value: 'daily', label: 'Daily' },
  { value: 'weekly', label: 'Weekly' },
  { value: 'seldom', label: 'Seldom' },
  { value: 'emergency', label: 'In need' },
];

export const laterBy: Options<Later['by']> = [
  { value: 'later', label: 'Us, later' },
  { value: 'others', label: 'Another workshop' },
];
