import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import type { Job } from '../api/types';
import { Refused, state } from './fakeServer';
import { JobSession } from './session';

vi.mock('../api/client', () => import('./fakeServer'));

const item = (id: string, mass: number) => ({ id, name: id, mass, at: { x: 1000, y: 0, z: 0 } });

function freshJob(): Job {
  return {
    id: 'job',
    name: 'Job',
    chosen: 'a',
    variants: [{ id: 'a', items: [item('fridge', 43), item('spare', 31)] }],
  } as unknown as Job;
}

const masses = (job: Job) => job.variants[0]?.items.map((i) => `${i.id} ${i.mass}`).join(', ');
const setMass = (id: string, mass: number) => (job: Job) =>
  job.variants[0]?.items.filter((i) => i.id === id).forEach((i) => (i.mass = mass));

let session: JobSession;
const kept = new Map<string, string>();

async function settle(ms = 0) {
  await vi.advanceTimersByTimeAsync(ms);
}

beforeEach(async () => {
  vi.useFakeTimers();
  kept.clear();
  vi.stubGlobal('document', { hidden: false });
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  });
  Object.assign(state, { stored: { revision: 1, job: freshJob() }, saves: [], assessed: [], next: [] });
  session = await JobSession.open('job');
  await settle();
});

afterEach(() => {
  session.close();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const now = () => session.getSnapshot();

describe('saving', () => {
  it('saves a gesture once and acknowledges it', async () => {
    session.edit('Mass', setMass('fridge', 40));
    expect(now().save).toBe('waiting');
    expect(kept.size).toBe(1);
    await settle(10);
    expect(now().save).toBe('saved');
    expect(state.saves).toHaveLength(1);
    expect(kept.size).toBe(0);
  });

  it('makes no save for an unchanged document', async () => {
    session.edit('Mass', setMass('fridge', 43));
    await settle(5000);
    expect(state.saves).toHaveLength(0);
    expect(now().undo).toBeUndefined();
  });

  it('gathers typing into one save and one gesture', async () => {
    for (const name of ['F', 'Fr', 'Fri']) {
      session.edit('Name', (job) => (job.name = name), 'name');
      await settle(200);
    }
    expect(state.saves).toHaveLength(0);
    await settle(2000);
    expect(state.saves).toHaveLength(1);
    session.undo();
    expect(now().job.name).toBe('Job');
  });

  it('saves within two seconds however long somebody types', async () => {
    for (let n = 0; n < 20; n++) {
      session.edit('Name', (job) => (job.name += 'x'), 'name');
      await settle(300);
    }
    expect(state.saves.length).toBeGreaterThanOrEqual(3);
    await settle(2000);
    expect(now().save).toBe('saved');
    expect(now().job.name).toBe(`Job${'x'.repeat(20)}`);
  });

  it('saves what was edited during a save on top of what came back', async () => {
    state.next.push(() => {
      session.edit('Spare', setMass('spare', 30));
      const theirs = freshJob();
      setMass('fridge', 40)(theirs);
      theirs.name = 'Theirs';
      state.stored = { ...state.stored, revision: 5, job: structuredClone(theirs) };
      return Promise.resolve({ revision: 5, job: theirs });
    });
    session.edit('Mass', setMass('fridge', 40));
    await settle(50);
    expect(now().job.name).toBe('Theirs');
    expect(masses(now().job)).toBe('fridge 40, spare 30');
    expect(state.saves.at(-1)?.base).toBe(5);
    expect(now().save).toBe('saved');
    expect(now().notice).toContain('Somebody else works on this job too');
  });

  it('keeps edits while the server is away and saves them when it is back', async () => {
    state.next.push(() => Promise.reject(new TypeError('away')));
    session.edit('Mass', setMass('fridge', 40));
    await settle(10);
    expect(now().save).toBe('offline');
    expect(kept.size).toBe(1);
    await settle(4000);
    expect(now().save).toBe('saved');
    expect(masses(state.stored.job)).toBe('fridge 40, spare 31');
  });

  it('takes up after a reload what was not saved', async () => {
    state.next.push(() => Promise.reject(new TypeError('away')));
    session.edit('Mass', setMass('fridge', 40));
    await settle(10);
    session.close();
    session = await JobSession.open('job');
    expect(masses(now().job)).toBe('fridge 40, spare 31');
    await settle(10);
    expect(state.saves.at(-1)?.base).toBe(1);
    expect(now().save).toBe('saved');
  });

  it('keeps what is refused on the screen, with the reason', async () => {
    state.next.push(() => Promise.reject(new Refused(422, 'mass: 90000 kg was given')));
    session.edit('Mass', setMass('fridge', 90000));
    await settle(10);
    expect(now()).toMatchObject({ save: 'refused', trouble: 'mass: 90000 kg was given' });
    expect(masses(now().job)).toBe('fridge 90000, spare 31');
    session.undo();
    await settle(10);
    expect(now().save).toBe('saved');
  });
});

describe('somebody else', () => {
  const theirEdit = (change: (job: Job) => void) => {
    const job = structuredClone(state.stored.job);
    change(job);
    state.stored = { ...state.stored, revision: state.stored.revision + 1, job };
  };

  it('shows on the screen without asking', async () => {
    theirEdit(setMass('spare', 28));
    await settle(3000);
    expect(masses(now().job)).toBe('fridge 43, spare 28');
  });

  it('is not undone by my undo', async () => {
    session.edit('Mass', setMass('fridge', 40));
    await settle(10);
    theirEdit(setMass('fridge', 39));
    await settle(3000);
    session.undo();
    expect(masses(now().job)).toBe('fridge 39, spare 31');
    expect(now().notice).toContain('somebody else has changed it since');
  });

  it('is asked about where both changed the same', async () => {
    const conflict = { path: ['variants', 'a', 'items', 'fridge', 'mass'], name: 'fridge', mine: 40, theirs: 39 };
    const collide = () => {
      theirEdit(setMass('fridge', 39));
      return Promise.reject(
        new Refused(409, 'the same', { current: structuredClone(state.stored), conflicts: [conflict] }),
      );
    };
    for (const [mine, want] of [
      [false, 'fridge 39, spare 30'],
      [true, 'fridge 40, spare 30'],
    ] as const) {
      state.next.push(collide);
      session.edit('Both', (job) => {
        setMass('fridge', 40)(job);
        setMass('spare', 30)(job);
      });
      await settle(10);
      expect(now().save).toBe('conflict');
      expect(now().conflicts).toEqual([conflict]);
      session.settle(() => mine);
      await settle(10);
      expect(now().save).toBe('saved');
      expect(masses(now().job)).toBe(want);
    }
  });
});

describe('dragging', () => {
  it('shows and assesses at once, and is one gesture on release', async () => {
    session.drag(setMass('fridge', 41));
    session.drag(setMass('fridge', 42));
    expect(masses(now().job)).toBe('fridge 42, spare 31');
    await settle(10);
    expect(state.saves).toHaveLength(0);
    expect(masses(state.assessed.at(-1) as Job)).toBe('fridge 42, spare 31');
    session.drop('Drag');
    await settle(10);
    expect(state.saves).toHaveLength(1);
    session.undo();
    expect(masses(now().job)).toBe('fridge 43, spare 31');
    session.redo();
    expect(masses(now().job)).toBe('fridge 42, spare 31');
  });

  it('can be let go of without an edit', async () => {
    session.drag(setMass('fridge', 41));
    session.drop('', false);
    await settle(10);
    expect(masses(now().job)).toBe('fridge 43, spare 31');
    expect(state.saves).toHaveLength(0);
  });
});

describe('edits that the core derives', () => {
  it('go on top of what was edited while they were asked for, one after the other', async () => {
    const gate: (() => void)[] = [];
    const slow = (change: (job: Job) => void) => (job: Job) =>
      new Promise<Job>((done) => {
        const edited = structuredClone(job);
        change(edited);
        gate.push(() => done(edited));
      });
    const first = session.derive('Wider', slow(setMass('fridge', 50)));
    const second = session.derive(
      'Higher',
      slow((job) => setMass('spare', (job.variants[0]?.items[0]?.mass ?? 0) + 1)(job)),
    );
    await settle();
    session.edit('Name', (job) => (job.name = 'Typed meanwhile'));
    gate[0]?.();
    await first;
    await settle();
    gate[1]?.();
    await second;
    const { job } = session.getSnapshot();
    expect(masses(job)).toBe('fridge 50, spare 51');
    expect(job.name).toBe('Typed meanwhile');
    session.undo();
    expect(masses(session.getSnapshot().job)).toBe('fridge 50, spare 31');
  });

  it('change nothing when they are refused', async () => {
    await expect(session.derive('Too long', () => Promise.reject(new Refused(422, 'too long')))).rejects.toThrow(
      'too long',
    );
    expect(masses(session.getSnapshot().job)).toBe('fridge 43, spare 31');
  });
});

describe('trying what is offered', () => {
  const offered = (change: (job: Job) => void) => (job: Job) => {
    const tried = structuredClone(job);
    change(tried);
    return Promise.resolve(tried);
  };

  it('shows it everywhere, and changes and saves nothing', async () => {
    const before = now().assessment;
    await session.try('Lighter', offered(setMass('fridge', 30)));
    expect(now().trial).toMatchObject({ label: 'Lighter', before });
    expect(masses(now().job)).toBe('fridge 30, spare 31');
    await settle(5000);
    expect(masses(state.assessed.at(-1) as Job)).toBe('fridge 30, spare 31');
    expect(state.saves).toHaveLength(0);
    expect(now().undo).toBeUndefined();
  });

  it('is one edit when it is kept, and undo takes it back', async () => {
    await session.try('Lighter', offered(setMass('fridge', 30)));
    session.keep();
    expect(now().trial).toBeUndefined();
    await settle(10);
    expect(masses(state.stored.job)).toBe('fridge 30, spare 31');
    expect(now().undo).toBe('Lighter');
    session.undo();
    expect(masses(now().job)).toBe('fridge 43, spare 31');
  });

  it('is put back by a button and by undo', async () => {
    session.edit('Mass', setMass('spare', 28));
    await settle(10);
    for (const back of [() => session.putBack(), () => session.undo()]) {
      await session.try('Lighter', offered(setMass('fridge', 30)));
      back();
      expect(now().trial).toBeUndefined();
      expect(masses(now().job), 'what was edited before stays').toBe('fridge 43, spare 28');
    }
    await settle(10);
    expect(state.saves).toHaveLength(1);
    session.keep();
    expect(masses(now().job), 'nothing is tried any more').toBe('fridge 43, spare 28');
  });

  it('is tried on the job itself, not on what is being tried', async () => {
    const before = now().assessment;
    await session.try('Lighter', offered(setMass('fridge', 30)));
    await session.try('Without spare', offered(setMass('spare', 0)));
    expect(masses(now().job)).toBe('fridge 43, spare 0');
    expect(now().trial?.before, 'the pads are compared with the job').toBe(before);
  });

  it('is dropped by an edit, which is made on the job', async () => {
    await session.try('Lighter', offered(setMass('fridge', 30)));
    session.edit('Name', (job) => (job.name = 'Typed'));
    expect(now().trial).toBeUndefined();
    expect(masses(now().job)).toBe('fridge 43, spare 31');
    expect(now().job.name).toBe('Typed');
  });

  it('is not shown when the job was edited while it was asked for', async () => {
    let answer: () => void = () => undefined;
    const asked = session.try(
      'Lighter',
      (job) => new Promise<Job>((done) => (answer = () => done({ ...job, name: 'Old offer' }))),
    );
    session.edit('Mass', setMass('fridge', 41));
    answer();
    await asked;
    expect(now().trial).toBeUndefined();
    expect(masses(now().job)).toBe('fridge 41, spare 31');
  });

  it('tells why when it is refused, and when the server is away', async () => {
    await session.try('Lighter', () => Promise.reject(new Refused(422, 'not offered for this job')));
    expect(now().notice).toBe('not offered for this job');
    await session.try('Lighter', () => Promise.reject(new TypeError('away')));
    expect(now().notice).toContain('The server does not answer');
    expect(now().trial).toBeUndefined();
  });

  it('is not overtaken by what somebody else saves', async () => {
    await session.try('Lighter', offered(setMass('fridge', 30)));
    const theirs = structuredClone(state.stored.job);
    theirs.name = 'Theirs';
    state.stored = { ...state.stored, revision: 2, job: theirs };
    await settle(6000);
    expect(now().trial?.label).toBe('Lighter');
    session.putBack();
    await settle(6000);
    expect(now().job.name).toBe('Theirs');
  });
});
