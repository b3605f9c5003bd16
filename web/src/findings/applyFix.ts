import type { Finding, Fix, Item, Job } from '../api/types';
import { chosenVariant } from '../document/SessionContext';

const places = { 'part-x': 'x', 'part-y': 'y', 'part-z': 'z' } as const;
const sides = { 'part-length': 'length', 'part-width': 'width', 'part-height': 'height' } as const;

/** Makes a fix as the plain edit that the core describes. */
export function applyFix(job: Job, fix: Fix, finding: Finding): void {
  const variant = chosenVariant(job);
  const { kind, id, value } = fix.edit;
  const item = variant.items.find((i) => i.id === id);
  if (item) fixItem(item, kind, value);
  if (item && kind === 'seat') item.seat = job.vehicle.seats[value]?.id ?? item.seat;
  if (kind === 'tank-level') for (const tank of job.vehicle.tanks) if (tank.id === id) tank.now = value;
  if (kind === 'switch-off') for (const sw of variant.switches) if (sw.id === id) sw.on = false;
  if (kind === 'uncouple' && job.trailer) job.trailer.coupled = false;
  if (kind === 'outside') {
    const stance = variant.stances.find((s) => s.id === finding.stance);
    if (!stance) return;
    stance.loose = [...stance.loose.filter((l) => l.item !== id), { item: id, outside: true, at: { x: 0, y: 0, z: 0 } }];
  }
}

function fixItem(item: Item, kind: Fix['edit']['kind'], value: number): void {
  const { module } = item;
  if (kind === 'move-item') item.at.x = value;
  if (kind === 'item-level' && item.presence.level) item.presence.level.now = value;
  if (kind in places) item.at[places[kind as keyof typeof places]] = value;
  if (kind in sides) item.size[sides[kind as keyof typeof sides]] = value;
  if (!module) return;
  if (kind === 'travel') module.travel = value;
  if (kind === 'drop') module.drop = value;
  if (kind === 'lining') module.lining = value;
  if (kind === 'foam-core') {
    module.wall = 'foam-core';
    module.panel = value;
    item.source = 'material';
  }
  if (kind === 'latch') module.latch = 'rated';
  if (kind === 'strut-force') {
    module.struts = Math.max(2, module.struts);
    module.force = value;
  }
}
