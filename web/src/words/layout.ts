import type { Item, Module } from '../api/types';

/** The words by which the choices of a part are offered. */
type Options<T extends string> = readonly { value: T; label: string }[];

export const openings: Options<Module['faces']> = [
  { value: 'rear', label: 'To the rear' },
  { value: 'left', label: 'To the left' },
  { value: 'right', label: 'To the right' },
  { value: 'front', label: 'To the front' },
  { value: 'top', label: 'Upward' },
  { value: 'none', label: 'Does not open' },
];

export const walls: Options<Module['wall']> = [
  { value: 'none', label: 'Bought whole' },
  { value: 'plywood', label: 'Plywood' },
  { value: 'aluminium', label: 'Aluminium sheet' },
  { value: 'extrusion', label: 'Aluminium extrusion' },
  { value: 'foam-core', label: 'Foam-core' },
];

export const runners: Options<Module['runner']> = [
  { value: 'none', label: 'None' },
  { value: 'ball', label: 'Ball-bearing slides' },
  { value: 'strip', label: 'Plastic strips' },
  { value: 'roller', label: 'Rollers' },
];

export const locks: Options<Module['lock']> = [
  { value: '', label: 'No lock' },
  { value: 'one', label: 'On one side, one hand' },
  { value: 'both', label: 'On both sides, two hands' },
];

export const stacks: Options<Module['stack']> = [
  { value: 'beside', label: 'Side by side' },
  { value: 'above', label: 'Above each other' },
];

export const works: Options<Item['work']> = [
  { value: '', label: 'This build' },
  { value: 'existing', label: 'There already' },
  { value: 'later', label: 'Later' },
  { value: 'others', label: 'By others' },
];
