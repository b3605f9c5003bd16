import { useState } from 'react';

import { Panel } from '../components/Panel';
import { download } from '../document/download';
import { useSession } from '../document/SessionContext';
import { formatNumber } from '../quantity/format';
import { counted } from '../words/words';
import { GoodsCard } from './GoodsCard';
import { ReadPrices } from './ReadPrices';
import { RunnersCard } from './RunnersCard';
import { ShopCard } from './ShopCard';
import { StockCard } from './StockCard';
import { WorkshopCard } from './WorkshopCard';
import { useBuild } from './useBuild';

/** What is bought, and what is there already. */
export function BuySheet() {
  const { view, job, money } = useBuild();
  const session = useSession();
  const [reading, setReading] = useState(false);
  if (!view) return null;
  const names = new Map(view.parts.map((p) => [p.id, p.name]));
  const figure = (n: number) => formatNumber(n, 'plain', job.units);
  return (
    <>
      <Panel
        title="To buy"
        className="wide"
        note="What the build takes, less what is in stock"
        actions={
          <>
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              aria-expanded={reading}
              onClick={() => setReading(!reading)}
            >
              Read prices and stock
            </button>
            <select
              className="form-select form-select-sm"
              aria-label="Take the purchase list along"
              value=""
              onChange={(event) => void download(session, `/api/jobs/${job.id}/${event.target.value}`)}
            >
              <option value="">Take along</option>
              <option value="buy.pdf">Purchase list, PDF</option>
              <option value="buy.csv">Purchase list, CSV</option>
              <option value="build.xlsx">Workbook, XLSX</option>
              <option value="prices.csv">Prices and stock, CSV</option>
            </select>
          </>
        }
      >
        {reading && <ReadPrices onClose={() => setReading(false)} />}
        <div className="table-wrap">
          <table className="sheet-table buy-list" aria-label="To buy">
            <thead>
              <tr>
                <th scope="col">What</th>
                <th scope="col" className="over-figures">
                  Needed
                </th>
                <th scope="col" className="over-figures">
                  In stock
                </th>
                <th scope="col" className="over-figures">
                  Buy
                </th>
                <th scope="col" className="over-figures">
                  Costs
                </th>
                <th scope="col">For</th>
              </tr>
            </thead>
            <tbody>
              {view.buy.map((line, i) => {
                const parts = line.modules.map((id) => names.get(id));
                return (
                  <tr key={`${line.name} ${i}`} data-need={line.what}>
                    <th scope="row">{line.name}</th>
                    <td className="figure">
                      {figure(line.needed)} {line.unit}
                    </td>
                    <td className="figure">{figure(line.have)}</td>
                    <td className="figure">{line.buy > 0 ? `${line.buy} ${line.of}` : 'none'}</td>
                    <td className="figure">{line.sum > 0 ? money(line.sum) : line.offcut ? 'kept' : 'no price'}</td>
                    <td title={parts.join(', ')}>
                      {parts.length > 2 ? counted(parts.length, 'part') : parts.join(', ') || 'the build'}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      </Panel>
      <WorkshopCard />
      <StockCard />
      <GoodsCard />
      <ShopCard />
      <RunnersCard />
    </>
  );
}
