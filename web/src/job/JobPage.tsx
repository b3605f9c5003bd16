import { Suspense, useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { Link, Outlet, useLocation, useParams } from 'react-router';

import { Refused } from '../api/client';
import { Trouble } from '../components/Trouble';
import { SessionContext } from '../document/SessionContext';
import { JobSession } from '../document/session';
import { TrialBar } from '../findings/TrialBar';
import { Pads } from '../pads/Pads';
import { TrainingPanel } from '../training/TrainingPanel';
import { ConflictPanel } from './ConflictPanel';
import { Keys } from './Keys';
import { Notices } from './Notices';
import { StageRail } from './StageRail';
import { TopBar } from './TopBar';

/** The frame of one job: rail, pads, and the stage inside. */
export function JobPage() {
  const { id = '' } = useParams();
  const [session, setSession] = useState<JobSession>();
  const [trouble, setTrouble] = useState('');
  const told = useToldFirst(session);
  const { hash, key } = useLocation();
  useEffect(() => {
    let opened: JobSession | undefined;
    let left = false;
    JobSession.open(id).then(
      (s) => {
        opened = s;
        if (left) s.close();
        else setSession(s);
      },
      (error: unknown) =>
        setTrouble(
          error instanceof Refused ? error.message : 'The server does not answer. Start it, then reload this page.',
        ),
    );
    return () => {
      left = true;
      opened?.close();
      setSession(undefined);
      setTrouble('');
    };
  }, [id]);
  // What is being typed when the window closes is made, and so kept in this browser.
  useEffect(() => {
    const finish = () => document.activeElement instanceof HTMLElement && document.activeElement.blur();
    window.addEventListener('pagehide', finish);
    return () => window.removeEventListener('pagehide', finish);
  }, []);
  useEffect(() => {
    if (!session) return;
    const onKeyDown = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (!(event.ctrlKey || event.metaKey) || (key !== 'z' && key !== 'y')) return;
      // What is being typed into a field is undone by the field itself.
      if (event.target instanceof HTMLElement && event.target.dataset.typing === 'true') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) session.redo();
      else session.undo();
    };
    document.addEventListener('keydown', onKeyDown);
    return () => document.removeEventListener('keydown', onKeyDown);
  }, [session]);

  // What stands behind the # is a thing of the sheet that is opened; it comes into sight and takes the focus.
  useEffect(() => {
    if (hash === '' || !session) return;
    const thing = document.querySelector<HTMLElement>(
      `[data-thing="${CSS.escape(decodeURIComponent(hash.slice(1)))}"]`,
    );
    thing?.scrollIntoView({ block: 'center' });
    (thing?.matches('button') ? thing : thing?.querySelector<HTMLElement>('input, select, button'))?.focus();
  }, [hash, key, session]);

  if (trouble !== '')
    return (
      <Trouble
        message={trouble}
        ways={
          <Link className="btn btn-outline-secondary" to={`/jobs/${id}/revisions`}>
            To its revisions
          </Link>
        }
      />
    );
  if (!session || !told)
    return (
      <main className="loading" aria-busy="true">
        Opening the job…
      </main>
    );
  return (
    <SessionContext value={session}>
      <div className="job">
        <TopBar />
        <StageRail />
        <main className="stage" tabIndex={-1}>
          <div className="stage-head">
            <Notices />
            <ConflictPanel />
            <TrialBar />
            <Pads />
          </div>
          <TrainingPanel />
          <Suspense fallback={<div className="stage-wait" aria-busy="true" />}>
            <Outlet />
          </Suspense>
          <p className="caution-line">
            Limits come from the vehicle’s plate and papers. Figures are estimates until weighed; the last word has a
            public weighbridge. Brakes, seat belts, gas, fuel, mains and structural work belong to licensed or certified
            people under local rules.
          </p>
        </main>
        <Keys />
      </div>
    </SessionContext>
  );
}

/** How long a screen waits for the first figures before it shows what it has, ms. */
const PATIENCE = 1500;

/** Whether the first figures of a job are there: a screen comes once, with them, and nothing in it moves then. */
function useToldFirst(session: JobSession | undefined): boolean {
  const [patient, setPatient] = useState<JobSession>();
  const told = useSyncExternalStore(
    useCallback((listener: () => void) => session?.subscribe(listener) ?? (() => undefined), [session]),
    () => session?.getSnapshot().assessment !== undefined,
  );
  useEffect(() => {
    if (!session) return;
    const waiting = setTimeout(() => setPatient(session), PATIENCE);
    return () => clearTimeout(waiting);
  }, [session]);
  // Once shown it stays: a figure that is asked for anew takes nothing away.
  const [shown, setShown] = useState<JobSession>();
  if (session && shown !== session && (told || patient === session)) setShown(session);
  return session !== undefined && shown === session;
}
