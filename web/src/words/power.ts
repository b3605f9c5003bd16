import type { Charger, Condition, Circuit, PowerLink, PowerLoad, PowerSource, PowerSystem } from '../api/types';

type Options<T extends string> = readonly { value: T; label: string }[];

export const systemKinds: Options<PowerSystem['kind']> = [
  { value: 'house', label: 'House' },
  { value: 'start', label: 'Starts the engine' },
  { value: 'reserve', label: 'Starting reserve' },
  { value: 'station', label: 'Power station' },
  { value: 'trailer', label: 'Trailer' },
];

export const chemistries: Options<PowerSystem['battery']['chemistry']> = [
  { value: 'lfp', label: 'Lithium (LFP)' },
  { value: 'agm', label: 'AGM' },
  { value: 'gel', label: 'Gel' },
  { value: 'flooded', label: 'Flooded lead' },
];

export const chargerFor: Options<Charger['for']> = [{ value: 'any', label: 'Any, it can be set' }, ...chemistries];

export const sourceKinds: Options<PowerSource['kind']> = [
  { value: 'solar', label: 'Solar' },
  { value: 'alternator', label: 'Alternator' },
  { value: 'mains', label: 'Mains' },
  { value: 'generator', label: 'Generator' },
];

export const mounts: Options<PowerSource['mount']> = [
  { value: 'flat', label: 'Flat' },
  { value: 'tilted', label: 'Tilted' },
  { value: 'turned', label: 'Turned by hand' },
];

export const loadUses: Options<PowerLoad['use']> = [
  { value: 'spans', label: 'At hours' },
  { value: 'heat', label: 'By heat' },
  { value: 'events', label: 'Each time' },
];

export const lightZones: Options<NonNullable<PowerLoad['light']>['zone']> = [
  { value: 'bench', label: 'Bench' },
  { value: 'bed', label: 'Bed' },
  { value: 'ground', label: 'Ground' },
  { value: 'inside', label: 'Inside' },
];

export const linkKinds: Options<PowerLink['kind']> = [
  { value: 'relay', label: 'Voltage-sensing relay' },
  { value: 'changeover', label: 'Changeover' },
  { value: 'emergency', label: 'Emergency link' },
  { value: 'lead', label: 'Trailer lead' },
];

export const fuseKinds: Options<Circuit['fuseKind']> = [
  { value: '', label: 'As proposed' },
  { value: 'none', label: 'None' },
  { value: 'blade', label: 'Blade' },
  { value: 'maxi', label: 'Maxi' },
  { value: 'midi', label: 'Midi' },
  { value: 'mega', label: 'Mega' },
  { value: 'class-t', label: 'Class T' },
];

export function fuseWord(kind: string): string {
  const label = fuseKinds.find((k) => k.value === kind)?.label ?? kind;
  return label.slice(0, 1).toLowerCase() + label.slice(1);
}

export const hotPlaces: Options<Circuit['hot']> = [
  { value: '', label: 'Closed canopy (50 °C)' },
  { value: 'open', label: 'Free air (30 °C)' },
  { value: 'canopy', label: 'Closed canopy (50 °C), agreed' },
  { value: 'engine', label: 'Engine bay (80 °C)' },
];

export const crossingKinds: Options<Circuit['crossings'][number]['kind']> = [
  { value: 'slide', label: 'Over a slide' },
  { value: 'door', label: 'Through a door’s gap' },
  { value: 'edge', label: 'Over an edge' },
  { value: 'parting', label: 'Over a parting line' },
];

export const conditionKinds: Options<Condition['what']> = [
  { value: 'engine', label: 'Engine runs' },
  { value: 'ignition', label: 'Ignition on' },
  { value: 'reversing', label: 'Reversing' },
  { value: 'high-beam', label: 'High beam' },
  { value: 'mains', label: 'Mains plugged in' },
  { value: 'charge', label: 'State of charge' },
  { value: 'voltage', label: 'Voltage' },
  { value: 'temperature', label: 'Temperature' },
  { value: 'door', label: 'Door open' },
  { value: 'control', label: 'Switch or changeover' },
  { value: 'hours', label: 'Hours of the day' },
  { value: 'output', label: 'Another one is on' },
];

export const skies: Options<'clear' | 'mixed' | 'overcast' | 'own'> = [
  { value: 'clear', label: 'Clear' },
  { value: 'mixed', label: 'Mixed' },
  { value: 'overcast', label: 'Overcast' },
  { value: 'own', label: 'A share of clear' },
];
