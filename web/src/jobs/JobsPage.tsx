import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useNavigate } from 'react-router';

import { answer, api, Refused } from '../api/client';
import type { Job, Listed } from '../api/types';
import { JobRow } from './JobRow';
import { TrainCard } from '../training/TrainCard';
import { NewJob } from './NewJob';

const PAGE = 100;

/** The list of jobs: find one, open it, make one, and what else can be done with a whole job. */
export function JobsPage() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const [search, setSearch] = useState('');
  const [archived, setArchived] = useState(false);
  const [limit, setLimit] = useState(PAGE);
  const [deleted, setDeleted] = useState<Listed>();
  const [trouble, setTrouble] = useState('');
  const file = useRef<HTMLInputElement>(null);
  const wanted = useDeferredValue(search.trim());
  const list = useQuery({
    queryKey: ['jobs', wanted, archived, limit],
    queryFn: () => answer(api.GET('/api/jobs', { params: { query: { search: wanted, archived, limit } } })),
    placeholderData: keepPreviousData,
  });
  const change = useMutation({
    mutationFn: (act: () => Promise<unknown>) => act(),
    onError: (error) => setTrouble(error instanceof Refused ? error.message : 'The server does not answer.'),
    onSuccess: () => setTrouble(''),
    onSettled: () => client.invalidateQueries({ queryKey: ['jobs'] }),
  });
  const path = (id: string) => ({ params: { path: { id } } });
  const open = (id: string, stage = 'load') => void navigate(`/jobs/${id}/${stage}`);
  const importFile = async (chosen: File) => {
    if (chosen.name.endsWith('.zip')) {
      const taken = await answer(
        api.POST('/api/jobs/bundle', {
          body: chosen as unknown as string,
          bodySerializer: (body: unknown) => body as BodyInit,
          headers: { 'Content-Type': 'application/zip' },
        }),
      );
      open(taken.job.id);
      return;
    }
    const text = await chosen.text();
    // The server reads the document, so that what it refuses is said in its words.
    const document = await answer(
      api.POST('/api/jobs/import', {
        body: text as unknown as Job,
        bodySerializer: (body) => body as unknown as string,
        headers: { 'Content-Type': 'application/json' },
      }),
    );
    open(document.job.id);
  };
  const jobs = list.data?.jobs ?? [];
  return (
    <main className="jobs-page">
      <header className="jobs-head">
        <h1>
          <img src="/icon.svg" alt="" width="34" height="34" /> Zaino
        </h1>
        <p className="hint">Fitouts within payload, axle loads and gross mass.</p>
        <input
          type="search"
          className="form-control jobs-search"
          placeholder="Search name, customer or vehicle"
          aria-label="Search jobs"
          value={search}
          onChange={(event) => {
            setSearch(event.target.value);
            setLimit(PAGE);
          }}
        />
        <Button variant="outline-secondary" aria-pressed={archived} onClick={() => setArchived(!archived)}>
          {archived ? 'Back to current jobs' : 'Archive'}
        </Button>
        <Link className="btn btn-outline-secondary" to="/due">
          <i className="bi bi-calendar-check" aria-hidden /> Due
        </Link>
        <Link className="btn btn-outline-secondary" to="/about">
          About
        </Link>
        <Button variant="outline-secondary" onClick={() => file.current?.click()}>
          <i className="bi bi-box-arrow-in-down" aria-hidden /> Import a job
        </Button>
        <input
          ref={file}
          type="file"
          hidden
          accept=".json,application/json,.zip,application/zip"
          aria-label="Job file"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (chosen) change.mutate(() => importFile(chosen));
            event.target.value = '';
          }}
        />
      </header>
      {trouble !== '' && (
        <div className="notice notice-trouble" role="alert">
          <p>{trouble}</p>
          <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => setTrouble('')}>
            Understood
          </button>
        </div>
      )}
      {deleted && (
        <div className="notice" role="status">
          <p>“{deleted.name}” is deleted.</p>
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() => {
              change.mutate(() => answer(api.POST('/api/jobs/{id}/restore', path(deleted.id))));
              setDeleted(undefined);
            }}
          >
            Undo
          </button>
        </div>
      )}
      <NewJob onOpen={(id) => open(id, 'brief')} onTrouble={setTrouble} />
      <TrainCard onOpen={(id) => open(id, 'layout')} onTrouble={setTrouble} />
      {list.isError && (
        <p className="trouble" role="alert">
          {list.error instanceof Refused
            ? list.error.message
            : 'The server does not answer. Start it, then reload this page.'}
        </p>
      )}
      {list.isPending && (
        <p className="empty" aria-busy="true">
          Reading the list…
        </p>
      )}
      {list.isSuccess && jobs.length === 0 && (
        <p className="empty">
          {wanted !== ''
            ? `No ${archived ? 'archived ' : ''}job has “${wanted}” in its name, customer or vehicle.`
            : archived
              ? 'The archive is empty.'
              : 'No jobs yet. Name the first one above, or import a job file.'}
        </p>
      )}
      {jobs.length > 0 && (
        <table className="jobs-table" aria-label="Jobs">
          <thead>
            <tr>
              <th scope="col">Job</th>
              <th scope="col">Vehicle</th>
              <th scope="col">State</th>
              <th scope="col">Changed</th>
              <th scope="col">
                <span className="visually-hidden">What can be done</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {jobs.map((job) => (
              <JobRow
                key={job.id}
                job={job}
                onDuplicate={() => change.mutate(() => answer(api.POST('/api/jobs/{id}/duplicate', path(job.id))))}
                onArchive={() =>
                  change.mutate(() =>
                    answer(api.PUT('/api/jobs/{id}/archived', { ...path(job.id), body: { archived: !job.archived } })),
                  )
                }
                onDelete={() =>
                  change.mutate(async () => {
                    await answer(api.DELETE('/api/jobs/{id}', path(job.id)));
                    setDeleted(job);
                  })
                }
              />
            ))}
          </tbody>
        </table>
      )}
      {list.data && list.data.total > jobs.length && (
        <p className="more">
          {jobs.length} of {list.data.total} jobs.{' '}
          {limit < 500 ? (
            <Button size="sm" variant="outline-secondary" onClick={() => setLimit(Math.min(500, limit + PAGE))}>
              Show more
            </Button>
          ) : (
            'Search to narrow the list.'
          )}
        </p>
      )}
    </main>
  );
}
