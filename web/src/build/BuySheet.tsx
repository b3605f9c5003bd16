import { useState } from 'react';

import { Panel } from '../components/Panel';
import { download } from '../document/download';
import { useSession } from '../document/SessionContext';
import { formatNumber } from '../quantity/format';
import { counted } from '../words/words';
import { GoodsCard } from './GoodsCard';
import { ReadPrices } from './ReadPrices';
import { ShopCard } from './ShopCard';
import { StockCard } from './StockCard';
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
              {view.groups.flatMap((g) =>
                g.kinds.map((k) => (
                  <tr key={`sheet ${k.sheet} ${g.material} ${g.thickness}`}>
                    <th scope="row">{k.name}</th>
                    <td className="figure">{counted(k.used, 'sheet')}</td>
                    <td className="figure">{k.used - k.buy}</td>
                    <td className="figure">{k.buy}</td>
                    <td className="figure">{k.each > 0 ? money(k.sum) : k.buy === 0 ? 'kept' : 'no price'}</td>
                    <td>{counted(g.pieces.length, 'piece')}</td>
                  </tr>
                )),
              )}
              {view.bars.map((b) => (
                <tr key={`bar ${b.bar}`}>
                  <th scope="row">{b.name}</th>
                  <td className="figure">{counted(b.bars.length, 'bar')}</td>
                  <td className="figure">{b.bars.length - b.buy}</td>
                  <td className="figure">{b.buy}</td>
                  <td className="figure">{b.each > 0 ? money(b.sum) : 'no price'}</td>
                  <td>{counted(view.rods.length, 'length')}</td>
                </tr>
              ))}
              {view.hardware.map((n) => (
                <tr key={`${n.what} ${n.length} ${n.goods}`} data-need={n.what}>
                  <th scope="row">{n.name}</th>
                  <td className="figure">
                    {figure(n.count)} {n.unit}
                  </td>
                  <td className="figure">{figure(Math.min(n.have, n.count))}</td>
                  <td className="figure">
                    {n.packs} {n.goods === '' ? '' : n.packs === 1 ? 'pack' : 'packs'}
                  </td>
                  <td className="figure">{n.sum > 0 ? money(n.sum) : 'no price'}</td>
                  <td title={n.modules.map((id) => names.get(id)).join(', ')}>
                    {n.modules.length > 2
                      ? counted(n.modules.length, 'part')
                      : n.modules.map((id) => names.get(id)).join(', ') || 'the build'}
                  </td>
                </tr>
              ))}
              {view.parts
                .filter((p) => p.how === 'bought' || p.how === 'out')
                .map((p) => {
                  const line = view.lines.bought.find((l) => l.what === p.name);
                  return (
                    <tr key={p.id}>
                      <th scope="row">{p.name}</th>
                      <td className="figure">1</td>
                      <td className="figure">0</td>
                      <td className="figure">1</td>
                      <td className="figure">{line && line.each > 0 ? money(line.sum) : 'no price'}</td>
                      <td>{p.how === 'out' ? 'made elsewhere' : 'whole part'}</td>
                    </tr>
                  );
                })}
            </tbody>
          </table>
        </div>
      </Panel>
      <StockCard />
      <GoodsCard />
      <ShopCard />
    </>
  );
}
