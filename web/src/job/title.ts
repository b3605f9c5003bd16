/** What the parts of a screen's address are called in the title of its window. */
const words: Record<string, string> = {
  due: 'Due',
  about: 'About',
  revisions: 'Revisions',
  brief: 'Brief',
  gear: 'gear',
  ways: 'ways',
  vehicle: 'Vehicle',
  weight: 'weight',
  fitted: 'on it',
  space: 'space',
  measure: 'measuring',
  layout: 'Layout',
  steps: 'steps',
  variants: 'variants',
  findings: 'Findings',
  power: 'Power',
  board: 'board',
  logic: 'logic',
  ask: 'ask',
  monitor: 'monitor',
  range: 'Range',
  stops: 'stops',
  vessels: 'vessels',
  air: 'air',
  build: 'Build',
  buy: 'buy',
  cost: 'cost',
  order: 'order',
  papers: 'papers',
  bench: 'at the bench',
  weigh: 'Weigh in',
  scale: 'scale',
  hand: 'in the hand',
  handover: 'Handover',
  walk: 'walk round',
  pack: 'pack',
  seasons: 'seasons',
  log: 'Log',
  load: 'Load',
  cases: 'cases',
  account: 'account',
  card: 'card',
};

/** The title of a screen by its address: what it is, of which job. */
export function screenTitle(pathname: string, job?: string): string {
  const [, first, , ...inside] = pathname.split('/');
  const parts = first === 'jobs' ? inside : [first ?? ''];
  const name = parts.flatMap((part) => words[part] ?? []).join(', ');
  return [name, job ?? '', 'Zaino'].filter((part) => part !== '').join(' – ');
}
