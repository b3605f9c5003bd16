import type { GroundThing, Item, Mark, Module, Placed, Stance } from '../api/types';

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

export const latches: Options<Module['latch']> = [
  { value: '', label: 'Nothing' },
  { value: 'rated', label: 'A rated latch' },
  { value: 'friction', label: 'Friction' },
  { value: 'magnet', label: 'A magnet' },
  { value: 'hatch', label: 'The hatch presses on it' },
];

export const followings: Options<Module['follows']> = [
  { value: '', label: 'Not said' },
  { value: 'chain', label: 'In a chain' },
  { value: 'fold', label: 'Folded at mid-point' },
  { value: 'elastic', label: 'Taken up by elastic' },
];

export const stanceUses: Options<Stance['use']> = [
  { value: 'drive', label: 'Driving' },
  { value: 'cook', label: 'Cooking' },
  { value: 'sleep', label: 'Sleeping' },
  { value: 'other', label: 'Something else' },
];

/** What a person does in a stance. */
export const does: Options<Placed['does']> = [
  { value: 'stands', label: 'stands' },
  { value: 'sits', label: 'sits' },
  { value: 'dresses', label: 'dresses, kneeling' },
  { value: 'passes', label: 'passes through' },
  { value: 'works', label: 'works at a top' },
];

/** What stands on the ground around the vehicle. */
export const groundKinds: Options<GroundThing['kind']> = [
  { value: 'awning', label: 'Awning' },
  { value: 'tent', label: 'Tent' },
  { value: 'table', label: 'Table' },
  { value: 'chair', label: 'Chair' },
  { value: 'ladder', label: 'Ladder' },
  { value: 'trailer', label: 'Trailer' },
  { value: 'fire', label: 'Fire' },
  { value: 'other', label: 'Something else' },
];

export const markKinds: Options<Mark['kind']> = [
  { value: 'lamp', label: 'Lamp' },
  { value: 'plate', label: 'Number plate' },
  { value: 'filler', label: 'Filler' },
  { value: 'ball', label: 'Ball' },
  { value: 'spare', label: 'Spare wheel' },
  { value: 'jack', label: 'Jack and tools' },
  { value: 'drain', label: 'Drain' },
  { value: 'battery', label: 'Starting battery' },
  { value: 'camera', label: 'Camera' },
  { value: 'aerial', label: 'Aerial, its tip' },
  { value: 'exhaust', label: 'Exhaust, hot' },
  { value: 'shaft', label: 'Shaft, its middle' },
  { value: 'line', label: 'Brake or fuel line, loom' },
  { value: 'other', label: 'Something else' },
];

export const sightSides: Options<Mark['from']> = [
  { value: 'rear', label: 'From behind' },
  { value: 'left', label: 'From the left' },
  { value: 'right', label: 'From the right' },
  { value: 'front', label: 'From the front' },
  { value: 'top', label: 'From above' },
  { value: 'none', label: 'Not checked' },
];

/** What a thing holds or is. */
export const substances: Options<Item['substance']> = [
  { value: '', label: 'not said' },
  { value: 'none', label: 'nothing that matters' },
  { value: 'water', label: 'water' },
  { value: 'petrol', label: 'petrol' },
  { value: 'diesel', label: 'diesel' },
  { value: 'gas', label: 'gas' },
  { value: 'spirits', label: 'spirits' },
  { value: 'acid', label: 'acid' },
  { value: 'bleach', label: 'bleach' },
  { value: 'food', label: 'food' },
  { value: 'dirt', label: 'dirt' },
];
