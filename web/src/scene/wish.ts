import type { DrawingWish, Look } from '../api/types';
import type { Window } from './geometry';
import type { Stand } from './projection';

/** A look from a stand without cut, for a paper; with names where its window is given. */
export const look = (stand: Stand, w?: Window, foot = 0): Look => ({
  stand,
  slice: false,
  plane: 0,
  width: w?.width ?? 0,
  height: w?.height ?? 0,
  from: w?.from ?? 0,
  ground: w?.ground ?? 0,
  scale: w?.scale ?? 0,
  foot,
});

/** What is drawn of a job on the road, nothing open and all in focus, but for what is said. */
export const wishOf = (looks: Look[], more: Partial<DrawingWish> = {}): DrawingWish => ({
  looks,
  stance: '',
  open: [],
  focus: '',
  only: false,
  gear: false,
  people: false,
  hidden: [],
  person: '',
  ...more,
});
