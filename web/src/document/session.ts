import { produce } from 'immer';

import { answer, api, Refused } from '../api/client';
import type { Assessment, Conflict, Document, Job } from '../api/types';
import { apply, diff, equal, fits, inverse, join, type Change, type Json } from './change';
import { unspoilt } from './exercise';
import { LiveAssessment } from './liveAssessment';
import { keptFor } from './kept';
import { forgetPending, keepPending, readPending, setAside } from './pending';

/** Jobs are plain JSON; this is the one place where the two types meet. */
const asJson = (job: Job) => job as unknown as Json;
const asJob = (json: Json) => json as unknown as Job;

/** A job after a mutation, sharing with the one before what did not change, so that only that is drawn again. */
function edited(job: Job, mutate: (job: Job) => void): { next: Job; changes: Change[] } {
  const next = produce(job, (draft) => {
    mutate(draft); // what it returns is of no interest
  });
  return { next, changes: diff(asJson(job), asJson(next)) };
}

/** Items of the variant shown that are others than before; nothing where more than items has changed. */
function changedItems(before: Job, after: Job): string[] {
  const shown = (job: Job) => job.variants.find((v) => v.id === job.chosen);
  const [was, is] = [shown(before), shown(after)];
  if (!was || !is) return [];
  if (was.items.length !== is.items.length || before.vehicle !== after.vehicle || was.stances !== is.stances) return [];
  return is.items.filter((item, i) => item !== was.items[i]).map((item) => item.id);
}

interface Gesture {
  label: string;
  changes: Change[];
  /** Gestures with the same key within a moment are one. */
  key: string | undefined;
  at: number;
}

export type SaveState = 'saved' | 'waiting' | 'saving' | 'offline' | 'refused' | 'conflict' | 'gone';

export interface Snapshot {
  job: Job;
  revision: number;
  save: SaveState;
  /** Why it is not saved, in the server's words. */
  trouble: string;
  /** The file of the database was taken away under the server. */
  databaseGone: boolean;
  conflicts: Conflict[];
  assessment: Assessment | undefined;
  /** The job that the assessment speaks of: this one, or one a moment older. */
  assessed: Job | undefined;
  /** The figures are of an older state: this one cannot be counted, or the server is away. */
  stale: boolean;
  undo: string | undefined;
  redo: string | undefined;
  /** Something is in the hand: the job is of this moment, and no edit yet. */
  dragging: boolean;
  /** What is being tried: the whole screen shows it, and nothing is changed yet. */
  trial: Trial | undefined;
  /** Something that happened by itself and that the user should know. */
  notice: string;
}

export interface Trial {
  label: string;
  job: Job;
  /** What was said before it. */
  before: Assessment | undefined;
}

const GATHER_MS = 1500;
const RETRY_MS = 3000;
const POLL_MS = 2500;

/**
 * One job being edited in this browser: its document, its history, and its
 * saving. Edits are made at once and saved behind the user's back; what is not
 * saved yet survives a reload; what others save is carried in.
 */
export class JobSession {
  private job: Job;
  private synced: Document;
  private dragged: Job | undefined;
  private trial: Trial | undefined;
  private done: Gesture[] = [];
  private undone: Gesture[] = [];
  private save: SaveState = 'saved';
  private trouble = '';
  private databaseGone = false;
  private notice = '';
  private conflict: { current: Document; conflicts: Conflict[] } | undefined;
  private deriving: Promise<void> = Promise.resolve();
  private closed = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly poll: ReturnType<typeof setInterval>;
  private readonly listeners = new Set<() => void>();
  private readonly live: LiveAssessment;
  private snapshot: Snapshot;

  private constructor(document: Document) {
    this.synced = document;
    this.job = document.job;
    this.live = new LiveAssessment(() => this.emit());
    this.snapshot = this.look();
    this.poll = setInterval(() => void this.lookForOthers(), POLL_MS);
  }

  static async open(id: string): Promise<JobSession> {
    const session = new JobSession(await answer(api.GET('/api/jobs/{id}', { params: { path: { id } } })));
    const pending = await keptFor(id, session.job.version);
    if (pending) {
      session.synced = { revision: pending.base, lineage: pending.lineage ?? '', job: pending.baseJob };
      session.job = pending.job;
      session.schedule(0);
    } else if (readPending(id)) {
      setAside(id);
      session.notice =
        'Edits that this browser kept from before an update cannot be read any more. They are set aside in it and not shown.';
    }
    session.live.ask(session.job);
    session.emit();
    return session;
  }

  /** Leaves the job: what waits is sent at once, and what cannot be sent stays kept in this browser. Nothing goes on after that. */
  close(): void {
    this.closed = true;
    clearTimeout(this.timer);
    clearInterval(this.poll);
    this.listeners.clear();
    if (this.save === 'waiting' || this.save === 'offline') void this.send();
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly getSnapshot = () => this.snapshot;

  /** Makes one edit. mutate changes the copy that it is given. */
  edit(label: string, mutate: (job: Job) => void, key?: string): void {
    const { next, changes } = edited(this.job, mutate);
    if (changes.length === 0) return;
    this.remember({ label, changes, key, at: Date.now() }, asJson(next));
    this.undone = [];
    this.notice = '';
    this.take(next, key === undefined ? 0 : GATHER_MS);
  }

  /**
   * Makes an edit that the core derives: one at a time, each from the job as it
   * is when its turn comes. What it changes goes on top of what was edited while
   * it was asked for. It rejects when the core refuses, and then nothing changes.
   */
  derive(label: string, ask: (job: Job) => Promise<Job>): Promise<void> {
    const work = async () => {
      const sent = this.job;
      const changes = diff(asJson(sent), asJson(await ask(sent)));
      if (changes.length === 0) return;
      this.edit(label, (job) => Object.assign(job, asJob(apply(asJson(this.job), changes))));
    };
    const mine = this.deriving.then(work, work);
    this.deriving = mine.catch(() => undefined);
    return mine;
  }

  /** Shows an edit while it is being dragged, without making it. */
  drag(mutate: (job: Job) => void): void {
    this.dragged = edited(this.job, mutate).next;
    this.live.ask(this.dragged, changedItems(this.job, this.dragged));
    this.emit();
  }

  /** Makes the edit that was being dragged, as one gesture; or drops it. */
  drop(label: string, keep = true): void {
    const dragged = this.dragged;
    this.dragged = undefined;
    if (dragged && keep) this.edit(label, (job) => Object.assign(job, dragged));
    else if (dragged) this.live.ask(this.job);
    this.emit();
  }

  /** Tries an edit that the core makes, on the whole screen; a refusal is told. */
  async try(label: string, ask: (job: Job) => Promise<Job>): Promise<void> {
    const base = this.job;
    const before = this.trial?.before ?? this.live.latest;
    try {
      const job = await ask(base);
      if (this.job !== base) return; // edited meanwhile: it was offered for another state
      this.trial = { label, job, before };
      this.notice = '';
      this.live.ask(job);
    } catch (error) {
      this.tell(error instanceof Refused ? error.message : 'The server does not answer; nothing was tried.');
      return;
    }
    this.emit();
  }

  /** Makes the edit that was tried. */
  keep(): void {
    const trial = this.trial;
    if (trial) this.edit(trial.label, (job) => Object.assign(job, trial.job));
  }

  putBack(): void {
    if (!this.trial) return;
    if (this.trial.before) this.live.restore(this.trial.before, this.job); // so that nothing flickers
    this.trial = undefined;
    this.live.ask(this.job);
    this.emit();
  }

  undo(): void {
    if (this.trial) {
      this.putBack();
      return;
    }
    const gesture = this.done.pop();
    if (gesture) this.takeBack(gesture, inverse(gesture.changes), this.undone);
  }

  redo(): void {
    const gesture = this.undone.pop();
    if (gesture) this.takeBack(gesture, gesture.changes, this.done);
  }

  /** Settles a conflict: my value for the paths in mine, theirs for the others. */
  settle(mine: (conflict: Conflict) => boolean): void {
    if (!this.conflict) return;
    const { current, conflicts } = this.conflict;
    const dropped = conflicts.filter((c) => !mine(c)).map((c) => c.path.join('/'));
    const changes = diff(asJson(this.synced.job), asJson(this.job)).filter((c) => {
      const path = c.path.join('/');
      return !dropped.some((d) => path === d || path.startsWith(`${d}/`) || d.startsWith(`${path}/`));
    });
    this.conflict = undefined;
    this.save = 'waiting';
    this.synced = current;
    this.take(asJob(apply(asJson(current.job), changes)), 0);
  }

  /** Drops every edit that is not saved. Without an answer nothing is dropped, and it is still asked. */
  async takeTheirs(): Promise<void> {
    let theirs: Document;
    try {
      theirs = await answer(api.GET('/api/jobs/{id}', { params: { path: { id: this.job.id } } }));
    } catch (error) {
      this.tell(
        error instanceof Refused
          ? error.message
          : 'The server does not answer; nothing was dropped. Choose again when it does.',
      );
      return;
    }
    this.conflict = undefined;
    this.save = 'waiting';
    this.synced = theirs;
    this.done = [];
    this.undone = [];
    this.take(this.synced.job, 0);
  }

  /** Tells something that the user should know. */
  tell(sentence: string): void {
    this.notice = sentence;
    this.emit();
  }

  dismissNotice(): void {
    this.notice = '';
    this.emit();
  }

  private remember(gesture: Gesture, next: Json): void {
    const last = this.done.at(-1);
    if (last && gesture.key !== undefined && last.key === gesture.key && gesture.at - last.at < GATHER_MS) {
      this.done[this.done.length - 1] = { ...gesture, changes: join(last.changes, gesture.changes, next) };
    } else {
      this.done.push(gesture);
    }
  }

  /** Makes those of the changes whose fields nobody has changed since. */
  private takeBack(gesture: Gesture, changes: Change[], other: Gesture[]): void {
    const now = asJson(this.job);
    const free = changes.filter((change) => fits(now, change));
    this.notice =
      free.length === changes.length
        ? ''
        : `Not all of “${gesture.label}” was taken back: somebody else has changed it since.`;
    if (free.length > 0)
      other.push({ ...gesture, changes: other === this.undone ? inverse(free) : free, key: undefined });
    this.take(asJob(apply(now, free)), 0);
  }

  private take(next: Job, delay: number): void {
    this.trial = undefined;
    this.job = next;
    this.live.ask(next);
    if (equal(asJson(next), asJson(this.synced.job))) {
      clearTimeout(this.timer);
      forgetPending(next.id);
      if (this.save !== 'saving') this.save = 'saved';
    } else {
      keepPending({ base: this.synced.revision, lineage: this.synced.lineage, baseJob: this.synced.job, job: next });
      this.schedule(delay);
    }
    this.emit();
  }

  /** Saves after a delay, counted from the first of the edits that are gathered. */
  private schedule(delay: number): void {
    if (this.save === 'saving' || this.save === 'conflict') return;
    if (this.closed) {
      void this.send();
      return;
    }
    if (this.save === 'waiting' && delay > 0) return;
    clearTimeout(this.timer);
    this.save = 'waiting';
    this.timer = setTimeout(() => void this.send(), delay);
  }

  /** Saves what is waiting and comes back when it is on the server, or cannot be: why, or nothing. */
  async flush(): Promise<string> {
    if (this.save === 'waiting') {
      clearTimeout(this.timer);
      await this.send();
    }
    while (this.save === 'saving')
      await new Promise<void>((done) => {
        const stop = this.subscribe(() => {
          stop();
          done();
        });
      });
    return this.save === 'saved' || this.save === 'waiting' ? '' : this.trouble;
  }

  private async send(): Promise<void> {
    const sent = this.job;
    this.save = 'saving';
    this.emit();
    try {
      const saved = await answer(
        api.PUT('/api/jobs/{id}', {
          params: { path: { id: sent.id } },
          body: { base: this.synced.revision, lineage: this.synced.lineage, job: sent },
        }),
      );
      this.arrived(sent, saved);
    } catch (error) {
      this.failed(error);
      // What was edited while this was refused may well be what mends it.
      if (this.job !== sent && !this.closed) this.schedule(0);
    }
    this.emit();
  }

  /** A save was acknowledged: what was edited since goes on top of what is stored. */
  private arrived(sent: Job, saved: Document): void {
    const since = diff(asJson(sent), asJson(this.job));
    const merged = !equal(asJson(saved.job), asJson(sent));
    this.synced = merged ? saved : { ...saved, job: sent };
    this.save = 'saved';
    this.trouble = '';
    this.databaseGone = false;
    if (merged) {
      this.notice = 'Somebody else works on this job too; their changes are on the screen.';
      this.take(asJob(apply(asJson(saved.job), since)), 0);
    } else if (since.length > 0) {
      this.take(this.job, 0);
    } else {
      forgetPending(sent.id);
      if (this.live.asked !== this.job) this.live.ask(this.job); // the server was away when it was asked
    }
  }

  private failed(error: unknown): void {
    if (!(error instanceof Refused)) {
      this.save = 'offline';
      this.trouble = 'The server does not answer. Edits are kept in this browser and saved when it does.';
      if (!this.closed) this.timer = setTimeout(() => void this.send(), RETRY_MS);
      return;
    }
    this.trouble = error.message;
    this.conflict = error.conflict;
    if (error.status === 503) {
      // The database was taken away: what is here stays here, and is saved if it comes back.
      this.save = 'offline';
      this.databaseGone = true;
      if (!this.closed) this.timer = setTimeout(() => void this.send(), RETRY_MS);
      return;
    }
    if (error.conflict) this.save = 'conflict';
    else this.save = error.status === 404 ? 'gone' : 'refused';
  }

  /** Carries in what others have saved while nothing here waits to be saved. */
  private async lookForOthers(): Promise<void> {
    if (this.save !== 'saved' || this.dragged || this.trial || document.hidden) return;
    const params = { path: { id: this.job.id } };
    try {
      const { revision, lineage } = await answer(api.GET('/api/jobs/{id}/revision', { params }));
      if (lineage === this.synced.lineage && revision <= this.synced.revision) return;
      const theirs = await answer(api.GET('/api/jobs/{id}', { params }));
      const since = diff(asJson(this.synced.job), asJson(this.job));
      this.synced = theirs;
      this.take(asJob(apply(asJson(theirs.job), since)), 0);
    } catch {
      // The next save tells the user that the server is away.
    }
  }

  private look(): Snapshot {
    return {
      job: this.dragged ?? this.trial?.job ?? this.job,
      revision: this.synced.revision,
      save: this.save,
      databaseGone: this.databaseGone,
      trouble: this.save === 'saved' ? '' : this.trouble,
      conflicts: this.conflict?.conflicts ?? [],
      assessment: unspoilt(this.live.latest, this.job),
      assessed: this.live.asked,
      stale: this.live.stale,
      dragging: this.dragged !== undefined,
      undo: this.done.at(-1)?.label,
      redo: this.undone.at(-1)?.label,
      trial: this.trial,
      notice: this.notice,
    };
  }

  private emit(): void {
    this.snapshot = this.look();
    for (const listener of this.listeners) listener();
  }
}
