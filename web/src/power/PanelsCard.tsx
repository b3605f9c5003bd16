import { Fragment } from 'react';

import type { SwitchPanel } from '../api/types';
import { AddButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { ThingTable } from '../components/ThingTable';
import { drop, newId, on } from '../document/things';
import { Choose } from './Choose';
import { usePower } from './usePower';

const cutoutKinds = [
  { value: 'switch', label: 'Switch' },
  { value: 'socket', label: 'Socket' },
  { value: 'meter', label: 'Meter' },
  { value: 'blank', label: 'Blank for later' },
] as const;

/** Plates with switches, sockets and meters, drawn with their holes to scale. */
export function PanelsCard() {
  const { electrics, edit, input, unit, variant } = usePower();
  const house = (electrics.systems.find((s) => s.kind === 'house') ?? electrics.systems[0])?.id ?? '';
  const systems = [
    { value: '', label: 'Nothing yet' },
    ...electrics.systems.map((s) => ({ value: s.id, label: s.name })),
  ];
  const add = () =>
    edit('Add panel', (e) => {
      e.panels.push({
        id: newId([...e.panels, ...variant.items], 'panel'),
        name: 'New panel',
        system: house,
        ways: 6,
        amps: 0,
        width: 200,
        height: 120,
        depth: 70,
        cutouts: [],
        item: '',
      });
    });
  const items = [
    { value: '', label: 'No thing of the ledger' },
    ...variant.items.filter((i) => i.seat === '').map((i) => ({ value: i.id, label: i.name })),
  ];
  const mm = (label: string, key: 'width' | 'height' | 'depth') => (p: SwitchPanel) =>
    input(`${label} of ${p.name}`, p[key], 'length', (e, v) => on(e.panels, p.id, (x) => (x[key] = v)), true);
  return (
    <Panel
      title="Panels"
      className="wide"
      note="Circuits start from the nearest panel of their battery"
      actions={
        <>
          <Choose label="Choose a panel" system={house} of={(c) => c.device?.panel !== undefined} />
          <AddButton label="Add panel" onClick={add} />
        </>
      }
    >
      <ThingTable
        label="Panels"
        what="Panel"
        things={electrics.panels}
        empty="No panel yet, so every circuit starts at its battery."
        onRename={(p, name) => edit(`Name of ${p.name}`, (e) => on(e.panels, p.id, (x) => (x.name = name)))}
        onRemove={(p) => edit(`Remove ${p.name}`, (e) => drop(e.panels, p.id))}
        columns={[
          {
            head: 'Battery',
            words: true,
            cell: (p) => (
              <SelectField
                label={`Battery of ${p.name}`}
                value={systems.some((s) => s.value === p.system) ? p.system : ''}
                options={systems}
                onCommit={(v) => edit(`Battery of ${p.name}`, (e) => on(e.panels, p.id, (x) => (x.system = v)))}
              />
            ),
          },
          {
            head: 'It is',
            words: true,
            cell: (p) => (
              <SelectField
                label={`Thing of the ledger that ${p.name} is`}
                value={items.some((i) => i.value === p.item) ? p.item : ''}
                options={items}
                onCommit={(v) => edit(`Thing that ${p.name} is`, (e) => on(e.panels, p.id, (x) => (x.item = v)))}
              />
            ),
          },
          {
            head: 'Ways',
            cell: (p) =>
              input(`Ways of ${p.name}`, p.ways, 'plain', (e, v) => on(e.panels, p.id, (x) => (x.ways = v)), true),
          },
          {
            head: 'A',
            cell: (p) =>
              input(`Amps of ${p.name}`, p.amps, 'current', (e, v) => on(e.panels, p.id, (x) => (x.amps = v)), true),
          },
          { head: `Wide ${unit('length')}`, cell: mm('Width', 'width') },
          { head: `High ${unit('length')}`, cell: mm('Height', 'height') },
          { head: `Room behind ${unit('length')}`, cell: mm('Room behind', 'depth') },
        ]}
        below={(p) => (
          <tr className="more-row">
            <td colSpan={9}>
              <Cutouts panel={p} />
            </td>
          </tr>
        )}
      />
    </Panel>
  );
}

/** The holes of a panel: drawn, and as a list. */
function Cutouts({ panel: p }: { panel: SwitchPanel }) {
  const { electrics, edit, input, text } = usePower();
  const things = [
    { value: '', label: 'Nothing' },
    ...[...electrics.loads, ...electrics.chargers, ...electrics.inverters].map((t) => ({ value: t.id, label: t.name })),
  ];
  const add = () =>
    edit(`Hole in ${p.name}`, (e) =>
      on(e.panels, p.id, (x) =>
        x.cutouts.push({
          id: newId(x.cutouts, 'hole'),
          name: `Switch ${x.cutouts.length + 1}`,
          kind: 'switch',
          x: Math.max(0, ...x.cutouts.map((c) => c.x + c.width)) + 8,
          y: 20,
          width: 24,
          height: 40,
          depth: 45,
          of: '',
        }),
      ),
    );
  const number = (label: string, id: string, key: 'x' | 'y' | 'width' | 'height' | 'depth', value: number) =>
    input(`${label} of ${id} in ${p.name}`, value, 'length', (e, v) =>
      on(e.panels, p.id, (x) => on(x.cutouts, id, (c) => (c[key] = v))),
    );
  return (
    <div className="cutouts">
      {p.width > 0 && p.height > 0 && (
        <svg
          className="scene plate"
          viewBox={`-4 -4 ${p.width + 8} ${p.height + 8}`}
          role="img"
          aria-label={`Plate of ${p.name}`}
        >
          <rect className="plate-edge" x={0} y={0} width={p.width} height={p.height} rx={4} />
          {p.cutouts.map((c) => (
            <Fragment key={c.id}>
              <rect className={`plate-hole plate-${c.kind}`} x={c.x} y={c.y} width={c.width} height={c.height} rx={2} />
              <text x={c.x + c.width / 2} y={c.y + c.height + 9} textAnchor="middle">
                {c.name.length > 12 ? `${c.name.slice(0, 11)}…` : c.name}
              </text>
            </Fragment>
          ))}
        </svg>
      )}
      <div>
        {p.cutouts.length > 0 && (
          <table className="sheet-table" aria-label={`Holes of ${p.name}`}>
            <thead>
              <tr>
                <th scope="col">Label</th>
                <th scope="col">Kind</th>
                <th scope="col">For</th>
                <th scope="col" className="over-figures">
                  from left
                </th>
                <th scope="col" className="over-figures">
                  from top
                </th>
                <th scope="col" className="over-figures">
                  wide
                </th>
                <th scope="col" className="over-figures">
                  high
                </th>
                <th scope="col" className="over-figures">
                  deep
                </th>
                <th />
              </tr>
            </thead>
            <tbody>
              {p.cutouts.map((c) => (
                <tr key={c.id}>
                  <th scope="row">
                    {text(
                      `Label of ${c.name}`,
                      c.name,
                      (e, v) => on(e.panels, p.id, (x) => on(x.cutouts, c.id, (y) => (y.name = v))),
                      120,
                      true,
                    )}
                  </th>
                  <td>
                    <SelectField
                      label={`Kind of ${c.name}`}
                      value={c.kind}
                      options={cutoutKinds}
                      onCommit={(kind) =>
                        edit(`Kind of ${c.name}`, (e) =>
                          on(e.panels, p.id, (x) => on(x.cutouts, c.id, (y) => (y.kind = kind))),
                        )
                      }
                    />
                  </td>
                  <td>
                    <SelectField
                      label={`What ${c.name} is for`}
                      value={things.some((t) => t.value === c.of) ? c.of : ''}
                      options={things}
                      onCommit={(v) =>
                        edit(`What ${c.name} is for`, (e) =>
                          on(e.panels, p.id, (x) => on(x.cutouts, c.id, (y) => (y.of = v))),
                        )
                      }
                    />
                  </td>
                  <td>{number('From the left', c.id, 'x', c.x)}</td>
                  <td>{number('From the top', c.id, 'y', c.y)}</td>
                  <td>{number('Width', c.id, 'width', c.width)}</td>
                  <td>{number('Height', c.id, 'height', c.height)}</td>
                  <td>{number('Depth', c.id, 'depth', c.depth)}</td>
                  <td>
                    <button
                      type="button"
                      className="icon-button"
                      aria-label={`Remove ${c.name}`}
                      onClick={() => edit(`Remove ${c.name}`, (e) => on(e.panels, p.id, (x) => drop(x.cutouts, c.id)))}
                    >
                      <i className="bi bi-x-lg" aria-hidden />
                    </button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <AddButton label="Add hole" onClick={add} />
      </div>
    </div>
  );
}
