import type { Ticket, Vehicle } from '../api/types';
import { newId } from '../document/things';

/** Plain edits of the weighing tickets in the document. */

/** A ticket to be filled in: the tanks as they are now, and the parts that the baseline has. */
export function addTicket(v: Vehicle): void {
  v.baseline.definition = 'as-weighed';
  v.baseline.tickets.push({
    id: newId(v.baseline.tickets, 'ticket'),
    name: `Ticket ${v.baseline.tickets.length + 1}`,
    date: '',
    reading: 'axles',
    front: 0,
    rear: 0,
    frontLeft: 0,
    frontRight: 0,
    rearLeft: 0,
    rearRight: 0,
    total: 0,
    resolution: 10,
    level: true,
    counted: true,
    tanks: v.tanks.map((t) => ({ tank: t.id, litres: t.now })),
    people: [],
    parts: [...v.parts, ...v.modifications].filter((p) => p.inBaseline).map((p) => ({ part: p.id })),
  });
}

export function setLitres(ticket: Ticket, tank: string, litres: number): void {
  ticket.tanks = [...ticket.tanks.filter((t) => t.tank !== tank), { tank, litres }];
}

/** What all on one seat weighed together. */
export function setPerson(ticket: Ticket, seat: string, kg: number): void {
  const others = ticket.people.filter((p) => p.seat !== seat);
  const id = ticket.people.find((p) => p.seat === seat)?.id ?? newId(others, 'person');
  ticket.people = [...others, ...(kg > 0 ? [{ id, seat, kg }] : [])];
}

export function setPart(ticket: Ticket, part: string, aboard: boolean): void {
  ticket.parts = [...ticket.parts.filter((p) => p.part !== part), ...(aboard ? [{ part }] : [])];
}

export function forgetTank(v: Vehicle, id: string): void {
  for (const t of v.baseline.tickets) t.tanks = t.tanks.filter((x) => x.tank !== id);
}

export function forgetSeat(v: Vehicle, id: string): void {
  for (const t of v.baseline.tickets) t.people = t.people.filter((x) => x.seat !== id);
}

export function forgetPart(v: Vehicle, id: string): void {
  for (const t of v.baseline.tickets) t.parts = t.parts.filter((x) => x.part !== id);
}
