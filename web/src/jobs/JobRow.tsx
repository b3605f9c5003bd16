import { Link } from 'react-router';

import type { Listed } from '../api/types';

interface Props {
  job: Listed;
  onDuplicate: () => void;
  onArchive: () => void;
  onDelete: () => void;
}

export function JobRow({ job, onDuplicate, onArchive, onDelete }: Props) {
  const { stops, cautions } = job.summary;
  return (
    <tr data-job={job.id}>
      <th scope="row">
        <Link to={`/jobs/${job.id}/load`}>{job.name}</Link>
        <small className="hint">{job.customer}</small>
      </th>
      <td>{job.vehicle}</td>
      <td>
        {stops > 0 && <span className="count count-stop">{stops === 1 ? '1 stop' : `${stops} stops`}</span>}
        {cautions > 0 && (
          <span className="count count-caution">{cautions === 1 ? '1 caution' : `${cautions} cautions`}</span>
        )}
        {stops + cautions === 0 && <span className="count count-clear">clear</span>}
      </td>
      <td className="figure">
        {new Date(job.updatedAt).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' })}
      </td>
      <td className="job-actions">
        <Link
          to={`/jobs/${job.id}/revisions`}
          className="btn btn-sm btn-outline-secondary"
          aria-label={`Revisions of ${job.name}`}
        >
          Revisions
        </Link>
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={onDuplicate}
          aria-label={`Duplicate ${job.name}`}
        >
          Duplicate
        </button>
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={onArchive}
          aria-label={`${job.archived ? 'Take out of the archive' : 'Archive'} ${job.name}`}
        >
          {job.archived ? 'Take out' : 'Archive'}
        </button>
        <button
          type="button"
          className="btn btn-sm btn-outline-danger"
          onClick={onDelete}
          aria-label={`Delete ${job.name}`}
        >
          Delete
        </button>
      </td>
    </tr>
  );
}
