import type { Bay, Region } from '../api/types';
import { capital, useVocabulary } from './words';

type Kind = Bay['kind'];

/** Each kind of space, with the region's words for what it is in. */
const labels: Record<Kind, (word: (term: string) => string) => string> = {
  'wagon-cargo': () => 'wagon cargo area',
  tub: (word) => word('tub'),
  'canopy-left': (word) => `${word('canopy')}, left side`,
  'canopy-right': (word) => `${word('canopy')}, right side`,
  'canopy-rear': (word) => `${word('canopy')}, rear`,
  'living-box': () => 'living box',
  'under-tray': (word) => `box under the ${word('tray')}`,
  'between-rails': () => 'between the rails',
  headboard: () => 'headboard',
  roof: () => 'roof',
  'rear-wall': () => 'rear wall',
  'second-row': () => 'second row',
  cab: () => 'cab',
};

/** The kinds of space as the job's region calls them. */
export function useBayKinds(region: Region): { value: Kind; label: string }[] {
  const vocabulary = useVocabulary();
  return (Object.keys(labels) as Kind[]).map((value) => {
    const label = labels[value]((term) => vocabulary(region, term).word);
    return { value, label: capital(label) };
  });
}
