import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import type { GPXRead, StopsRead } from '../api/types';
import { useSession, useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';

/** Reads a way from GPX or CSV: first looked at, then taken when the user says so. */
export function ReadWay({ onClose }: { onClose: () => void }) {
  const session = useSession();
  const { job } = useSnapshot();
  const [gpx, setGpx] = useState<GPXRead>();
  const [csv, setCsv] = useState<StopsRead>();
  const [refusal, setRefusal] = useState('');
  const [busy, setBusy] = useState(false);

  const read = async (name: string, text: string) => {
    setGpx(undefined);
    setCsv(undefined);
    setRefusal('');
    setBusy(true);
    try {
      if (/\.(csv|txt)$/i.test(name)) setCsv(await answer(api.POST('/api/range/stops', { body: { text } })));
      else
        setGpx(
          await answer(
            api.POST('/api/range/gpx', {
              body: text,
              bodySerializer: (body: string) => body,
              headers: { 'Content-Type': 'application/gpx+xml' },
            }),
          ),
        );
    } catch (error) {
      setRefusal(error instanceof Refused ? error.message : 'The server does not answer; nothing was read.');
    }
    setBusy(false);
  };
  const example = async () => {
    const response = await fetch('/api/range/example.gpx');
    await read('long-way.gpx', await response.text());
  };
  const stops = gpx?.stops ?? csv?.rows.flatMap((row) => (row.stop ? [row.stop] : [])) ?? [];
  const take = () => {
    session.edit('Read a way', (j) => {
      j.route.stops = stops;
      j.route.track = gpx?.track ?? '';
      // What was decided for stops of another way does not hold for these.
      for (const v of j.variants) v.fills = v.fills.filter((f) => stops.some((s) => s.id === f.stop));
    });
    onClose();
  };
  return (
    <div className="read-way">
      <input
        type="file"
        className="form-control form-control-sm"
        accept=".gpx,.csv,.txt,application/gpx+xml,text/csv"
        aria-label="GPX or CSV file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void file.text().then((text) => read(file.name, text));
        }}
      />
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => void example()}>
        A made-up way to try
      </button>
      <button type="button" className="btn btn-sm btn-primary" disabled={stops.length < 2} onClick={take}>
        Take these {stops.length} stops
      </button>
      <button type="button" className="btn btn-sm btn-outline-secondary" onClick={onClose}>
        Close
      </button>
      {busy && <p aria-busy="true">Reading…</p>}
      {refusal && (
        <p className="trouble" role="alert">
          {refusal}
        </p>
      )}
      {gpx && (
        <p>
          {formatQuantity(gpx.km, 'distance', job.units)} along {gpx.points} points, {gpx.stops.length} stops:{' '}
          {gpx.stops.map((s) => s.name).join(', ')}. {gpx.told.join(' ')} It takes the place of the way that is there.
        </p>
      )}
      {csv && (
        <ul className="csv-rows">
          {csv.rows.map((row) => (
            <li key={row.line} data-line={row.line} className={row.stop ? '' : 'over'}>
              Line {row.line}: {row.stop?.name ?? row.errors.join('; ')}
            </li>
          ))}
        </ul>
      )}
      <p className="hint">
        GPX: tracks, routes and waypoints; a waypoint is a stop. CSV: a header line with stop and km, and what else
        there is to say, as “Stops, CSV” writes it.
      </p>
    </div>
  );
}
