import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

import type { Job } from '../api/types';
import { download } from './download';
import { Refused, state } from './fakeServer';
import { sendKept } from './kept';
import { JobSession } from './session';

vi.mock('../api/client', () => import('./fakeServer'));

const kept = new Map<string, string>();
let session: JobSession;

const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms);
const named = (name: string) => (job: Job) => (job.name = name);
const stored = () => state.stored.job.name;

beforeEach(async () => {
  vi.useFakeTimers();
  kept.clear();
  vi.stubGlobal('document', { hidden: false });
  // As a browser has it: what is kept can be listed like the fields of an object.
  vi.stubGlobal(
    'localStorage',
    new Proxy(
      {
        getItem: (key: string) => kept.get(key) ?? null,
        setItem: (key: string, value: string) => kept.set(key, value),
        removeItem: (key: string) => kept.delete(key),
      },
      {
        ownKeys: () => [...kept.keys()],
        getOwnPropertyDescriptor: (_, key) =>
          kept.has(key as string)
            ? { enumerable: true, configurable: true, value: kept.get(key as string) }
            : undefined,
      },
    ),
  );
  const job = { id: 'job', name: 'Job', version: 6, chosen: 'a', variants: [{ id: 'a', items: [] }] };
  Object.assign(state, {
    stored: { revision: 1, lineage: 'a', job: job as unknown as Job },
    saves: [],
    assessed: [],
    next: [],
    away: false,
  });
  session = await JobSession.open('job');
  await settle();
});

afterEach(() => {
  session.close();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('leaving a job', () => {
  it('saves at once what was typed just before', async () => {
    session.edit('Name', named('Typed'), 'name'); // gathered with what is typed next
    session.close();
    await settle();
    expect(stored()).toBe('Typed');
    expect(kept.size).toBe(0);
  });

  it('saves what was typed while a save was under way', async () => {
    let done: () => void = () => undefined;
    state.next.push(async (body) => {
      await new Promise<void>((resolve) => (done = resolve));
      return (state.stored = { ...state.stored, revision: 2, job: body.job });
    });
    session.edit('Name', named('First'));
    await settle(10);
    session.edit('Name', named('Second'));
    session.close();
    done();
    await settle();
    expect(stored()).toBe('Second');
  });

  it('keeps what cannot be sent, and sends nothing for ever after', async () => {
    state.away = true;
    session.edit('Name', named('Typed'));
    await settle(10);
    session.close();
    await settle(10);
    const sent = state.saves.length;
    await settle(60_000);
    expect(state.saves.length).toBe(sent);
    expect(kept.has('zaino.pending.job')).toBe(true);

    state.away = false;
    await sendKept((id) => id === 'job');
    expect(stored()).toBe('Job'); // a job that is open sends its own
    await sendKept(() => false);
    expect(stored()).toBe('Typed');
    expect(kept.size).toBe(0);
  });

  it('leaves what has to be asked about until the job is opened', async () => {
    state.away = true;
    session.edit('Name', named('Mine'));
    session.close();
    await settle(10);
    state.away = false;
    state.next.push(() => Promise.reject(new Refused(409, 'somebody else changed it', {})));
    await sendKept(() => false);
    expect(kept.has('zaino.pending.job')).toBe(true);
  });
});

describe('what the browser kept', () => {
  it('from an older program is lifted before it is sent', async () => {
    session.close();
    const old = { ...state.stored.job, version: 4 };
    kept.set('zaino.pending.job', JSON.stringify({ base: 1, baseJob: old, job: { ...old, name: 'Old' } }));
    session = await JobSession.open('job');
    await settle(10);
    expect(state.saves.at(-1)).toMatchObject({ base: 1, lineage: '', job: { name: 'Old', version: 6 } });
    expect(stored()).toBe('Old');
  });

  it('and cannot be read is set aside and told, not lost', async () => {
    session.close();
    kept.set('zaino.pending.job', JSON.stringify({ base: 1, baseJob: { version: 1 }, job: { version: 1 } }));
    const lift = vi.spyOn(await import('./fakeServer').then((m) => m.api), 'POST');
    lift.mockImplementationOnce(() => Promise.reject(new Refused(422, 'unreadable')));
    session = await JobSession.open('job');
    expect(session.getSnapshot().notice).toContain('set aside');
    expect(kept.has('zaino.unread.job')).toBe(true);
    lift.mockRestore();
  });
});

describe('while the server is away', () => {
  const conflicting = () =>
    Promise.reject(new Refused(409, 'the same', { current: structuredClone(state.stored), conflicts: [] }));

  it('taking theirs drops nothing, asks again, and saving goes on after it', async () => {
    state.next.push(conflicting);
    session.edit('Name', named('Mine'));
    await settle(10);
    expect(session.getSnapshot().save).toBe('conflict');
    state.away = true;
    await session.takeTheirs();
    expect(session.getSnapshot()).toMatchObject({ save: 'conflict', job: { name: 'Mine' } });
    expect(session.getSnapshot().notice).toContain('nothing was dropped');
    state.away = false;
    await session.takeTheirs();
    expect(session.getSnapshot().job.name).toBe('Job');
    session.edit('Name', named('Again'));
    await settle(10);
    expect(stored()).toBe('Again');
  });

  it('a restored database is another one: its revisions are not taken for newer ones', async () => {
    state.stored = { revision: 1, lineage: 'b', job: { ...state.stored.job, name: 'Restored' } };
    await settle(3000);
    expect(session.getSnapshot().job.name).toBe('Restored');
    session.edit('Name', named('On it'));
    await settle(10);
    expect(state.saves.at(-1)).toMatchObject({ base: 1, lineage: 'b' });
  });
});

describe('a download', () => {
  const assign = vi.fn();

  beforeEach(() => {
    assign.mockReset();
    vi.stubGlobal('window', { location: { assign } });
  });

  it('is of what is on the screen', async () => {
    session.edit('Name', named('Typed'), 'name');
    await download(session, '/file');
    expect(stored()).toBe('Typed');
    expect(assign).toHaveBeenCalledWith('/file');
    expect(session.getSnapshot().notice).toBe('');
  });

  it('says that it is older when what waits was refused', async () => {
    state.next.push(() => Promise.reject(new Refused(422, 'name: too long')));
    session.edit('Name', named('Typed'), 'name');
    await download(session, '/file');
    expect(assign).toHaveBeenCalledWith('/file');
    expect(session.getSnapshot().notice).toContain('edits since are not in it. name: too long');
  });

  it('leaves the page alone while the server is away', async () => {
    state.away = true;
    session.edit('Name', named('Typed'), 'name');
    await download(session, '/file');
    expect(assign).not.toHaveBeenCalled();
    expect(session.getSnapshot().notice).toContain('The server does not answer');
  });
});
