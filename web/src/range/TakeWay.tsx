import { download } from '../document/download';
import { useSession, useSnapshot } from '../document/SessionContext';

/** The way to take along: for the navigator, the phone, the desk. */
export function TakeWay() {
  const session = useSession();
  const { job } = useSnapshot();
  return (
    <select
      className="form-select form-select-sm"
      aria-label="Take the way along"
      value=""
      onChange={(event) => void download(session, `/api/jobs/${job.id}/${event.target.value}`)}
    >
      <option value="">Take along</option>
      <option value="way.gpx">GPX, with what to do</option>
      <option value="way.pdf">Pages, PDF</option>
      <option value="way.xlsx">Workbook, XLSX</option>
      <option value="stops.csv">Stops, CSV</option>
    </select>
  );
}
