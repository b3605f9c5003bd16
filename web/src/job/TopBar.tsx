import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';

import { SkipLink } from '../components/SkipLink';
import { TextField } from '../components/TextField';
import { downloading } from '../document/download';
import { findingsHidden } from '../document/exercise';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { screenTitle } from './title';
import { SaveMark } from './SaveMark';
import { ViewSettings } from './ViewSettings';

/** Name of the job, what can be undone, and whether all is saved. */
export function TopBar() {
  const session = useSession();
  const { job, assessment, undo, redo } = useSnapshot();
  const open = assessment?.findings.filter((f) => f.accepted === '') ?? [];
  const stops = open.filter((f) => f.severity === 'stop').length;
  const { pathname } = useLocation();
  useEffect(() => {
    document.title = screenTitle(pathname, job.name);
  }, [pathname, job.name]);
  return (
    <header className="top-bar">
      <SkipLink to=".stage">To the stage</SkipLink>
      <Link to="/" className="home" aria-label="Zaino, to the list of jobs" title="To the list of jobs">
        <img src="/icon.svg" alt="" width="28" height="28" />
      </Link>
      <h1 className="visually-hidden">{job.name}</h1>
      <TextField
        label="Job name"
        className="job-name"
        value={job.name}
        maxLength={120}
        required
        onCommit={(name) => session.edit('Job name', (j) => (j.name = name), 'job name')}
      />
      <TextField
        label="Customer"
        className="job-customer"
        placeholder="Customer"
        value={job.customer}
        maxLength={200}
        onCommit={(customer) => session.edit('Customer', (j) => (j.customer = customer), 'customer')}
      />
      <Link
        className="chip variant-link"
        to={`/jobs/${job.id}/layout/variants`}
        title="Compare variants, and ask for one"
      >
        <i className="bi bi-columns-gap" aria-hidden />{' '}
        {job.variants.length === 1
          ? 'Variants'
          : `${chosenVariant(job).name.slice(0, 18)} of ${job.variants.length} variants`}
      </Link>
      <Link
        to={`/jobs/${job.id}/findings`}
        className={`icon-button findings-link ${stops > 0 ? 'findings-stop' : ''}`}
        aria-label={
          findingsHidden(job)
            ? 'Findings: hidden until you compare'
            : stops > 0
              ? `Findings: ${stops} stop the build`
              : `Findings: ${open.length}, none stops the build`
        }
        title="All findings"
      >
        <i className={`bi ${stops > 0 ? 'bi-octagon-fill' : 'bi-list-check'}`} aria-hidden />
        <span className="figure">{findingsHidden(job) ? '?' : stops > 0 ? stops : open.length}</span>
      </Link>
      <SaveMark />
      <div className="top-actions">
        <button
          type="button"
          className="icon-button"
          disabled={undo === undefined}
          aria-label={undo === undefined ? 'Nothing to undo' : `Undo: ${undo}`}
          title={undo === undefined ? 'Nothing to undo' : `Undo: ${undo} (Ctrl+Z)`}
          onClick={() => session.undo()}
        >
          <i className="bi bi-arrow-counterclockwise" aria-hidden />
        </button>
        <button
          type="button"
          className="icon-button"
          disabled={redo === undefined}
          aria-label={redo === undefined ? 'Nothing to redo' : `Redo: ${redo}`}
          title={redo === undefined ? 'Nothing to redo' : `Redo: ${redo} (Ctrl+Shift+Z)`}
          onClick={() => session.redo()}
        >
          <i className="bi bi-arrow-clockwise" aria-hidden />
        </button>
        <a
          className="icon-button"
          href={`/api/jobs/${job.id}/export`}
          onClick={downloading(session, `/api/jobs/${job.id}/export`)}
          download
          aria-label="Export this job as a file"
          title="Export as .zaino.json"
        >
          <i className="bi bi-file-earmark-arrow-down" aria-hidden />
        </a>
        <ViewSettings />
      </div>
    </header>
  );
}
