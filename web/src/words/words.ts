import { useQuery } from '@tanstack/react-query';

import { answer, api } from '../api/client';
import type { Datum, Item, Part, Region, Vehicle } from '../api/types';

/** The trade's words by region come from the core; this asks for them once. */
export function useVocabulary() {
  const { data } = useQuery({
    queryKey: ['vocabulary'],
    queryFn: () => answer(api.GET('/api/vocabulary')),
    staleTime: Infinity,
  });
  /** A region's word, and what the other regions say, for a tooltip. */
  return (region: Region, term: string): { word: string; others: string } => {
    const word = data?.[region]?.[term] ?? term;
    const others = regions
      .filter((r) => r.value !== region)
      .map((r) => `${r.label}: ${data?.[r.value]?.[term] ?? term}`)
      .join(' · ');
    return { word, others };
  };
}

export const regions: { value: Region; label: string }[] = [
  { value: 'anz', label: 'Australia / New Zealand' },
  { value: 'uk-eu', label: 'UK / EU' },
  { value: 'na', label: 'North America' },
];

export const unitSystems = [
  { value: 'metric', label: 'Metric (mm, kg, L)' },
  { value: 'us', label: 'US (in, lb, gal)' },
] as const;

export const datums: { value: Datum; label: string }[] = [
  { value: 'front-axle', label: 'front axle' },
  { value: 'rear-axle', label: 'rear axle' },
  { value: 'headboard', label: 'headboard' },
  { value: 'front-end', label: 'front end' },
  { value: 'rear-end', label: 'rear end' },
];

export const massSources: { value: Item['source']; label: string }[] = [
  { value: 'weighed', label: 'Weighed' },
  { value: 'data-sheet', label: 'Data sheet' },
  { value: 'material', label: 'Material' },
  { value: 'estimate', label: 'Estimate' },
];

export const forms: { value: Item['form']; label: string }[] = [
  { value: 'box', label: 'Box' },
  { value: 'tank', label: 'Tank' },
  { value: 'wheel', label: 'Wheel' },
  { value: 'person', label: 'Person' },
  { value: 'animal', label: 'Animal' },
  { value: 'soft', label: 'Soft bag' },
];

export const partStates: { value: Part['state']; label: string }[] = [
  { value: 'fitted', label: 'Fitted' },
  { value: 'removed', label: 'Removed' },
  { value: 'moved', label: 'Moved' },
];

export const limitSources: { value: Vehicle['limits']['gross']['source']; label: string }[] = [
  { value: 'plate', label: 'Plate' },
  { value: 'papers', label: 'Papers' },
  { value: 'data-sheet', label: 'Data sheet' },
  { value: 'estimate', label: 'Estimate' },
];

/** So many of something, which has a plural in s. */
export const counted = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;

/** A word as a sentence begins with it. */
export const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

export function labelOf<T extends string>(list: readonly { value: T; label: string }[], value: T): string {
  return list.find((entry) => entry.value === value)?.label ?? value;
}
