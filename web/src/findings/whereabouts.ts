import type { Finding } from '../api/types';

type Kind = Finding['subject']['kind'];

/** The sheet of the job on which the subject of a finding is entered; what the scene shows itself has none. */
const sheets: Partial<Record<Kind, string>> = {
  brief: 'brief',
  limit: 'vehicle',
  vehicle: 'vehicle',
  baseline: 'vehicle/weight',
  ticket: 'vehicle/weight',
  part: 'vehicle/weight',
  modification: 'vehicle/fitted',
  tank: 'vehicle/fitted',
  seat: 'vehicle/fitted',
  point: 'vehicle/fitted',
  bay: 'vehicle/space',
  module: 'layout',
  stance: 'layout',
  power: 'power',
  route: 'range/stops',
  plumbing: 'range/vessels',
  build: 'build',
  weighIn: 'weigh/scale',
  handover: 'handover',
};

/** Where to find a subject: its sheet, and the thing on it behind the #. */
export function whereabouts(subject: Finding['subject']): string | undefined {
  const aired = subject.kind === 'plumbing' && ['air', 'pressures'].includes(subject.id);
  if (subject.kind === 'weighIn' || subject.kind === 'handover') return sheets[subject.kind];
  const sheet = aired ? 'range/air' : sheets[subject.kind];
  return sheet && (subject.id === '' ? sheet : `${sheet}#${subject.id}`);
}
