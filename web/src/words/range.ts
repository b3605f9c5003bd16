import type { Burner, Plumbing, RouteStop, TyrePressure, Vessel, Warmer, Yes } from '../api/types';

type Options<T extends string> = readonly { value: T; label: string }[];

export const sureness: Options<RouteStop['sure']> = [
  { value: 'sure', label: 'Sure' },
  { value: 'unsure', label: 'Not sure' },
  { value: 'shut', label: 'Shut' },
];

export const waters: Options<RouteStop['water']> = [
  { value: 'none', label: 'No water' },
  { value: 'hose', label: 'By hose' },
  { value: 'carried', label: 'Carried' },
];

export const towings: Options<RouteStop['leg']['towing']> = [
  { value: '', label: 'As in the state shown' },
  { value: 'with', label: 'With the trailer' },
  { value: 'without', label: 'Without it' },
];

export const weekdays: Options<'' | 'mon' | 'tue' | 'wed' | 'thu' | 'fri' | 'sat' | 'sun'> = [
  { value: '', label: 'Not said' },
  { value: 'mon', label: 'Monday' },
  { value: 'tue', label: 'Tuesday' },
  { value: 'wed', label: 'Wednesday' },
  { value: 'thu', label: 'Thursday' },
  { value: 'fri', label: 'Friday' },
  { value: 'sat', label: 'Saturday' },
  { value: 'sun', label: 'Sunday' },
];

export const contents: Options<Vessel['holds']> = [
  { value: '', label: 'By its kind' },
  { value: 'fuel', label: 'Fuel' },
  { value: 'drinking', label: 'Drinking water' },
  { value: 'wash', label: 'Water for washing' },
  { value: 'waste', label: 'Waste water' },
  { value: 'gas', label: 'Gas' },
  { value: 'food', label: 'Food' },
  { value: 'other', label: 'Something else' },
];

export const yesses: Options<Yes> = [
  { value: '', label: 'Not said' },
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
];

export const feeding: Options<Vessel['by']> = [
  { value: '', label: 'Not said' },
  { value: 'gravity', label: 'By its weight' },
  { value: 'pump', label: 'By a pump' },
];

export const stopping: Options<Vessel['stops']> = [
  { value: '', label: 'Not said' },
  { value: 'float', label: 'Float or switch' },
  { value: 'return', label: 'Line back' },
  { value: 'none', label: 'Nothing' },
];

export const gases: Options<Vessel['gas']> = [
  { value: '', label: 'Not said' },
  { value: 'propane', label: 'Propane' },
  { value: 'butane', label: 'Butane' },
  { value: 'mix', label: 'Mixed' },
];

export const bases: Options<Burner['basis']> = [
  { value: '', label: 'Not said' },
  { value: 'net', label: 'Net' },
  { value: 'gross', label: 'Gross' },
];

export const warmed: Options<Warmer['by']> = [
  { value: '', label: 'Not said' },
  { value: 'power', label: 'Power' },
  { value: 'gas', label: 'Gas' },
  { value: 'engine', label: 'The engine’s heat' },
];

export const axles: Options<TyrePressure['axle']> = [
  { value: 'front', label: 'Front' },
  { value: 'rear', label: 'Rear' },
];

export const bagAxles: Options<Plumbing['air']['bags'][number]['axle']> = [
  { value: 'front', label: 'Front' },
  { value: 'rear', label: 'Rear' },
];
