import type { Goods } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { goodsKinds } from '../words/build';
import { supplyColumns } from './supply';
import { useBuild } from './useBuild';

/** The price list of hardware: what the rules of the build are bought as. */
export function GoodsCard() {
  const { build, edit, input, unit } = useBuild();
  return (
    <Panel
      title="Price list"
      className="wide"
      note="Hardware by the piece, pair, metre, litre or m²"
      actions={
        <AddButton
          label="Add goods"
          onClick={() =>
            edit('Add goods', (b) =>
              b.goods.push({
                id: newId(b.goods, 'goods'),
                name: 'New goods',
                what: 'other',
                length: 0,
                pack: 1,
                price: 0,
                have: 0,
                supply: { from: '', number: '', days: 0 },
              }),
            )
          }
        />
      }
    >
      <ThingTable<Goods>
        className="stock-table"
        label="Price list"
        what="Goods"
        things={build.goods}
        empty="No prices yet. Read a price list (CSV or XLSX), or add goods; what the build takes is counted all the same."
        onRename={(g, name) => edit('Name of goods', (b) => on(b.goods, g.id, (x) => (x.name = name)))}
        onRemove={(g) => edit(`Remove ${g.name}`, (b) => drop(b.goods, g.id))}
        columns={[
          {
            head: 'Is',
            words: true,
            cell: (g) => (
              <SelectField
                label={`What ${g.name} is`}
                value={g.what}
                options={goodsKinds}
                onCommit={(v) => edit(`What ${g.name} is`, (b) => on(b.goods, g.id, (x) => (x.what = v)))}
              />
            ),
          },
          {
            head: `Length ${unit('length')}`,
            title: 'Of runners; empty: any',
            cell: (g) =>
              input(
                `Length of ${g.name}`,
                g.length,
                'length',
                (b, v) => on(b.goods, g.id, (x) => (x.length = v)),
                true,
              ),
          },
          {
            head: 'Pack',
            title: 'Pieces, metres, litres or m² in a pack',
            cell: (g) =>
              input(`In a pack of ${g.name}`, g.pack, 'plain', (b, v) => on(b.goods, g.id, (x) => (x.pack = v)), true),
          },
          {
            head: 'Price',
            title: 'Of a pack',
            cell: (g) =>
              input(
                `Price of ${g.name}`,
                g.price / 100,
                'plain',
                (b, v) => on(b.goods, g.id, (x) => (x.price = Math.round(v * 100))),
                true,
              ),
          },
          {
            head: 'In stock',
            cell: (g) =>
              input(`In stock of ${g.name}`, g.have, 'plain', (b, v) => on(b.goods, g.id, (x) => (x.have = v))),
          },
          ...supplyColumns<Goods>(
            (g, label, change) => edit(`${label} of ${g.name}`, (b) => on(b.goods, g.id, (x) => change(x.supply))),
            input,
          ),
        ]}
      />
    </Panel>
  );
}
