import { expect, it } from 'vitest';

import type { Conflict } from '../api/types';
import { toldField, toldValue } from './told';

const conflict = (path: string, name: string, mine: unknown, theirs: unknown): Conflict => ({
  path: path.split('/'),
  name,
  mine,
  theirs,
});

it('tells a conflict as the screen does, in the units of the job', () => {
  const mass = conflict('variants/a/items/topper/mass', 'Topper', 86.1825503, 80);
  expect(toldField(mass)).toBe('Topper: mass');
  expect(toldValue(mass, mass.mine, 'us')).toBe('190\u00a0lb');
  const station = conflict('variants/a/items/topper/at/x', 'Topper', 3000, 3100);
  expect(toldField(station)).toBe('Topper: station');
  expect(toldValue(station, station.theirs, 'metric')).toBe('3\u202f100\u00a0mm');
  expect(toldField(conflict('name', 'Job', 'a', 'b'))).toBe('Job: name');
  expect(toldValue(conflict('variants/a/switches/raft/on', 'Raft', true, false), false, 'metric')).toBe('no');
});

it('tells what is gone on one side', () => {
  const gone = conflict('variants/a/items/topper', 'Topper', { name: 'Topper' }, null);
  expect(toldField(gone)).toBe('Topper');
  expect(toldValue(gone, gone.theirs, 'metric')).toBe('removed');
  expect(toldValue(gone, gone.mine, 'metric')).toBe('kept, and changed');
});
