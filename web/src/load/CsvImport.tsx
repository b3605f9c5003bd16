import { useState } from 'react';
import Button from 'react-bootstrap/Button';

import { answer, api, Refused } from '../api/client';
import type { Preview } from '../api/types';
import { Scroll } from '../components/Scroll';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import { datums, labelOf } from '../words/words';
import { newId } from '../document/things';

/** Reads items from a CSV file: first looked at, then added when the user says so. */
export function CsvImport({ onClose }: { onClose: () => void }) {
  const session = useSession();
  const { job, assessment } = useSnapshot();
  const origin = assessment?.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const [text, setText] = useState('');
  const [preview, setPreview] = useState<Preview>();
  const [refusal, setRefusal] = useState('');

  const look = async (next: string) => {
    setText(next);
    setPreview(undefined);
    setRefusal('');
    try {
      setPreview(await answer(api.POST('/api/items/preview', { body: { text: next, job } })));
    } catch (error) {
      setRefusal(error instanceof Refused ? error.message : 'The server does not answer; nothing was read.');
    }
  };
  const good = preview?.rows.flatMap((row) => (row.item ? [row.item] : [])) ?? [];
  const add = () => {
    session.edit(`Read ${good.length} items`, (j) => {
      const items = chosenVariant(j).items;
      for (const item of good) items.push({ ...item, id: newId(items, item.name) });
    });
    onClose();
  };
  return (
    <section className="sheet ledger" aria-label="Read CSV">
      <header className="sheet-head">
        <h2>Read items from CSV</h2>
        <span className="hint">
          A header line names the columns: name, mass, station; also group, side, height, source, note, and all that the
          CSV of the ledger has. Stations from the {labelOf(datums, job.datum)}.
        </span>
        <div className="sheet-actions">
          <Button size="sm" disabled={good.length === 0} onClick={add}>
            Add {good.length} items
          </Button>
          <Button size="sm" variant="outline-secondary" onClick={onClose}>
            Back to the ledger
          </Button>
        </div>
      </header>
      <div className="csv-source">
        <input
          type="file"
          className="form-control form-control-sm"
          accept=".csv,.txt,text/csv"
          aria-label="CSV file"
          onChange={(event) => void event.target.files?.[0]?.text().then(look)}
        />
        <textarea
          className="form-control form-control-sm"
          aria-label="Or paste the lines here"
          placeholder={'Or paste the lines here:\nName;Mass (kg);Station (mm)\nKettle;1,2;3300'}
          rows={3}
          value={text}
          onChange={(event) => void look(event.target.value)}
        />
      </div>
      {refusal && (
        <p className="trouble" role="alert">
          {refusal}
        </p>
      )}
      {preview && (
        <Scroll label="Preview">
          <table className="csv-preview">
            <thead>
              <tr>
                <th scope="col">Line</th>
                <th scope="col">Item</th>
                <th scope="col">Mass</th>
                <th scope="col">Station</th>
                <th scope="col">What is wrong</th>
              </tr>
            </thead>
            <tbody>
              {preview.rows.map((row) => (
                <tr key={row.line} className={row.item ? '' : 'bad'} data-line={row.line}>
                  <td className="figure">{row.line}</td>
                  <td>{row.item?.name ?? row.cells.join(' · ')}</td>
                  <td className="figure">{row.item && formatQuantity(row.item.mass, 'mass', job.units)}</td>
                  <td className="figure">{row.item && formatQuantity(row.item.at.x - origin, 'length', job.units)}</td>
                  <td>{row.errors.join('; ')}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="hint">
            {good.length} of {preview.rows.length} lines can become items. Nothing is added until you say so.
          </p>
        </Scroll>
      )}
    </section>
  );
}
