import type { Profile, Sheet } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { materials } from '../words/build';
import { useBuild } from './useBuild';
import { stockColumns, supplyColumns } from './supply';

/** Sheets, offcuts and bars: what is there and what can be bought. */
export function StockCard() {
  const fields = useBuild();
  const { build, edit, input, box, text, unit } = fields;
  const sheet = (s: Sheet, label: string, change: (x: Sheet) => void) =>
    edit(`${label} of ${s.name}`, (b) => on(b.sheets, s.id, change));
  const number = (s: Sheet, key: 'length' | 'width' | 'thickness' | 'measured', label: string, empty = false) =>
    input(`${label} of ${s.name}`, s[key], 'length', (b, v) => on(b.sheets, s.id, (x) => (x[key] = v)), empty);
  return (
    <>
      <Panel
        title="Sheets and offcuts"
        className="wide"
        actions={
          <>
            <AddButton
              label="Add sheet"
              onClick={() =>
                edit('Add sheet', (b) =>
                  b.sheets.push({ ...newSheet, id: newId(b.sheets, 'sheet'), name: 'New sheet', more: true }),
                )
              }
            />
            <AddButton
              label="Add offcut"
              onClick={() =>
                edit('Add offcut', (b) =>
                  b.sheets.push({
                    ...newSheet,
                    id: newId(b.sheets, 'offcut'),
                    name: 'New offcut',
                    length: 800,
                    width: 600,
                    have: 1,
                    offcut: true,
                  }),
                )
              }
            />
          </>
        }
      >
        <ThingTable<Sheet>
          className="stock-table stock-sheets"
          label="Sheets and offcuts"
          what="Sheet"
          things={build.sheets}
          empty="No sheet is listed: usual sizes without a price are assumed. Add those that the workshop buys, and the offcuts that it keeps."
          onRename={(s, name) => sheet(s, 'Name', (x) => (x.name = name))}
          onRemove={(s) => edit(`Remove ${s.name}`, (b) => drop(b.sheets, s.id))}
          columns={[
            {
              head: 'Material',
              words: true,
              cell: (s) => (
                <SelectField
                  label={`Material of ${s.name}`}
                  value={s.of}
                  options={materials}
                  onCommit={(v) => sheet(s, 'Material', (x) => (x.of = v))}
                />
              ),
            },
            { head: `Thick ${unit('length')}`, cell: (s) => number(s, 'thickness', 'Thickness') },
            {
              head: `Measures ${unit('length')}`,
              title: 'By caliper; empty: not measured',
              cell: (s) => number(s, 'measured', 'Measured thickness', true),
            },
            { head: `Length ${unit('length')}`, title: 'Along the grain', cell: (s) => number(s, 'length', 'Length') },
            { head: `Width ${unit('length')}`, cell: (s) => number(s, 'width', 'Width') },
            ...stockColumns<Sheet>((b) => b.sheets, fields),
            {
              head: 'Grain',
              title: 'Its grain shows or counts',
              centred: true,
              cell: (s) =>
                box(`Grain of ${s.name} counts`, s.grained, (b, v) => on(b.sheets, s.id, (x) => (x.grained = v))),
            },
            {
              head: 'Kept in',
              words: true,
              cell: (s) => text(`Where ${s.name} is kept`, s.place, (b, v) => on(b.sheets, s.id, (x) => (x.place = v))),
            },
            ...supplyColumns<Sheet>((s, label, change) => sheet(s, label, (x) => change(x.supply)), input),
          ]}
        />
      </Panel>
      <Panel
        title="Bars"
        className="wide"
        note="Slotted profile; of the usual width where nothing is said"
        actions={
          <AddButton
            label="Add bar"
            onClick={() =>
              edit('Add bar', (b) =>
                b.bars.push({
                  id: newId(b.bars, 'bar'),
                  name: 'New bar',
                  width: 30,
                  length: 6000,
                  price: 0,
                  have: 0,
                  more: true,
                  place: '',
                  supply: { from: '', number: '', days: 0 },
                }),
              )
            }
          />
        }
      >
        <ThingTable<Profile>
          className="stock-table"
          label="Bars"
          what="Bar"
          things={build.bars}
          empty="No bar is listed: 6 m without a price is assumed."
          onRename={(s, name) => edit('Name of a bar', (b) => on(b.bars, s.id, (x) => (x.name = name)))}
          onRemove={(s) => edit(`Remove ${s.name}`, (b) => drop(b.bars, s.id))}
          columns={[
            {
              head: `Width ${unit('length')}`,
              cell: (s) =>
                input(`Width of ${s.name}`, s.width, 'length', (b, v) => on(b.bars, s.id, (x) => (x.width = v)), true),
            },
            {
              head: `Length ${unit('length')}`,
              cell: (s) =>
                input(`Length of ${s.name}`, s.length, 'length', (b, v) => on(b.bars, s.id, (x) => (x.length = v))),
            },
            ...stockColumns<Profile>((b) => b.bars, fields),
            ...supplyColumns<Profile>(
              (s, label, change) => edit(`${label} of ${s.name}`, (b) => on(b.bars, s.id, (x) => change(x.supply))),
              input,
            ),
          ]}
        />
      </Panel>
    </>
  );
}

const newSheet: Omit<Sheet, 'id' | 'name'> = {
  of: 'plywood',
  thickness: 12,
  measured: 0,
  length: 2440,
  width: 1220,
  grained: true,
  price: 0,
  have: 0,
  more: false,
  offcut: false,
  place: '',
  supply: { from: '', number: '', days: 0 },
};
