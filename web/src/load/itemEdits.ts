import type { Item, Job, Presence, Variant } from '../api/types';
import { chosenVariant } from '../document/SessionContext';
import { newId } from '../document/things';

/** Plain edits of items in the document; no rule of the job is here. */

export function itemIn(job: Job, id: string): Item | undefined {
  return chosenVariant(job).items.find((i) => i.id === id);
}

/** The presence of what cannot stay behind. */
export const alwaysAboard = (): Presence => plainPresence('always');

const plainPresence = (kind: Presence['kind']): Presence => ({ kind, switch: '', choice: '', member: '' });

/** An item of which nothing is known yet but its name. */
export function plainItem(id: string, name: string, group: string): Item {
  return {
    id,
    name,
    group,
    form: 'box',
    mass: 0,
    at: { x: 0, y: 0, z: 0 },
    size: { length: 400, width: 400, height: 300 },
    source: 'estimate',
    presence: plainPresence('always'),
    seat: '',
    bay: '',
    behind: false,
    note: '',
    substance: '',
    work: '',
    locked: false,
    onTrailer: false,
    component: '',
    price: 0,
    cables: false,
    noise: 0,
    nights: false,
    hung: false,
  };
}

/** A new item in the middle of the load floor, ready to be named. */
export function addItem(job: Job, id: string, group: string): void {
  const { outline, wheelbase } = job.vehicle;
  const at = { x: Math.round((outline.headboard + wheelbase) / 2), y: 0, z: outline.floorHeight + 150 };
  chosenVariant(job).items.push({ ...plainItem(id, 'New item', group), at });
}

/** Takes an item off; what lay in it lies free at its place. */
export function removeItem(job: Job, id: string): void {
  const variant = chosenVariant(job);
  const gone = variant.items.find((i) => i.id === id);
  for (const item of variant.items) {
    if (gone && item.in?.module === id) {
      delete item.in;
      item.at = { ...gone.at };
      item.bay = gone.bay;
    }
  }
  variant.items = variant.items.filter((i) => i.id !== id);
}

export interface PresenceOption {
  value: string;
  label: string;
}

/** The ways in which an item's presence can vary in this variant, as one list to pick from. */
export function presenceOptions(variant: Pick<Variant, 'switches' | 'choices'>): PresenceOption[] {
  return [
    { value: 'always', label: 'Always aboard' },
    { value: 'level', label: 'A content (level)' },
    ...variant.switches.map((s) => ({ value: `switch:${s.id}`, label: `With switch: ${s.name}` })),
    ...variant.choices.flatMap((c) =>
      c.members.map((m) => ({ value: `choice:${c.id}:${m.id}`, label: `${c.name}: ${m.name}` })),
    ),
    { value: 'new-switch', label: 'New switch: can stay behind' },
  ];
}

export function presenceValue(p: Presence): string {
  if (p.kind === 'switch') return `switch:${p.switch}`;
  if (p.kind === 'choice') return `choice:${p.choice}:${p.member}`;
  return p.kind;
}

/** Lets an item's presence vary in another way; a switch that nothing hangs on any more goes. */
export function setPresence(job: Job, item: Item, value: string): void {
  const variant = chosenVariant(job);
  const before = item.presence.switch;
  assignPresence(variant, item, value);
  const used = variant.items.some((i) => i.presence.kind === 'switch' && i.presence.switch === before);
  const required = variant.switches.some((s) => s.requires?.switch === before);
  if (before !== '' && !used && !required) variant.switches = variant.switches.filter((s) => s.id !== before);
}

function assignPresence(variant: Variant, item: Item, value: string): void {
  const [kind, first = '', second = ''] = value.split(':');
  if (kind === 'switch') item.presence = { ...plainPresence('switch'), switch: first };
  else if (kind === 'choice') item.presence = { ...plainPresence('choice'), choice: first, member: second };
  else if (kind === 'level')
    item.presence = { ...plainPresence('level'), level: { min: 0, max: 50, now: 50, density: 1 } };
  else if (kind === 'new-switch') {
    const id = newId(variant.switches, item.name);
    variant.switches.push({ id, name: item.name, on: true });
    item.presence = { ...plainPresence('switch'), switch: id };
  } else item.presence = plainPresence('always');
}
