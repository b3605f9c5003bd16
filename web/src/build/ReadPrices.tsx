import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import type { PricesRead } from '../api/types';
import { useBuild } from './useBuild';

/** A price list as CSV or XLSX: shown first, taken when the user says so. */
export function ReadPrices({ onClose }: { onClose: () => void }) {
  const { job, edit, money } = useBuild();
  const [read, setRead] = useState<PricesRead>();
  const [refusal, setRefusal] = useState('');
  const look = async (data: Blob) => {
    setRead(undefined);
    setRefusal('');
    try {
      setRead(
        await answer(
          api.POST('/api/build/prices', {
            params: { query: { job: job.id } },
            body: data as unknown as string,
            bodySerializer: (body) => body as unknown as BodyInit,
            headers: { 'Content-Type': 'application/octet-stream' },
          }),
        ),
      );
    } catch (error) {
      setRefusal(error instanceof Refused ? error.message : 'The server does not answer; nothing was read.');
    }
  };
  const take = () => {
    edit(`Read ${read?.good ?? 0} prices`, (b) => {
      const put = <T extends { id: string }>(list: T[], thing: T | undefined) => {
        if (!thing) return;
        const at = list.findIndex((t) => t.id === thing.id);
        if (at >= 0) list[at] = thing;
        else list.push(thing);
      };
      for (const row of read?.rows ?? []) {
        put(b.sheets, row.sheet);
        put(b.bars, row.bar);
        put(b.goods, row.goods);
      }
    });
    onClose();
  };
  return (
    <div className="read-prices" role="group" aria-label="Read prices and stock">
      <p className="hint">
        CSV or XLSX with a header line: what (sheet, bar, or the kind of goods) and name; also material, thickness,
        length, width, price, have, more, pack, supplier, number, days. Lengths in mm, prices in{' '}
        {job.brief.currency || 'the currency of the brief'}.
      </p>
      <input
        type="file"
        className="form-control form-control-sm"
        accept=".csv,.txt,.xlsx"
        aria-label="Price list, CSV or XLSX"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void look(file);
        }}
      />
      {refusal !== '' && (
        <p className="trouble" role="alert">
          {refusal}
        </p>
      )}
      {read && (
        <>
          <div className="table-wrap prices-preview">
            <table className="csv-preview">
              <thead>
                <tr>
                  <th scope="col">Line</th>
                  <th scope="col">What</th>
                  <th scope="col">Price</th>
                  <th scope="col">What is wrong</th>
                </tr>
              </thead>
              <tbody>
                {read.rows.map((row) => {
                  const thing = row.sheet ?? row.bar ?? row.goods;
                  return (
                    <tr key={row.line} className={thing ? '' : 'bad'} data-line={row.line}>
                      <td className="figure">{row.line}</td>
                      <td>
                        {thing
                          ? `${thing.name}${row.known ? ' (replaces)' : ''}`
                          : row.cells.filter((c) => c !== '').join(' · ')}
                      </td>
                      <td className="figure">{thing && thing.price > 0 ? money(thing.price) : ''}</td>
                      <td>{row.errors.join('; ')}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          <p className="hint">
            {read.good} of {read.rows.length} lines can be taken. Nothing is changed until you say so.
          </p>
          <button type="button" className="btn btn-sm btn-primary" disabled={read.good === 0} onClick={take}>
            Take {read.good} lines
          </button>
        </>
      )}
    </div>
  );
}
