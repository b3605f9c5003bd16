import type { Item, Stance } from '../api/types';
import { QuantityField } from '../components/QuantityField';
import { Tick } from './Tick';
import type { Bench } from './useBench';

interface Props {
  bench: Bench;
  stance: Stance;
  edit: (label: string, change: (s: Stance) => void, key?: string) => void;
}

/** How far something is open, in per cent of its way; all the way is 100. */
function PartWay({ name, share, set }: { name: string; share: number; set: (share: number) => void }) {
  return (
    <span className="how-far">
      <QuantityField
        bare
        label={`How far ${name} is open, %`}
        value={share > 0 ? share * 100 : 100}
        kind="plain"
        system="metric"
        onCommit={(v) => set(v >= 100 || v <= 0 ? 0 : v / 100)}
      />
      %
    </span>
  );
}

/** What is open in a stance, and how far: modules and their drawers, and the doors of spaces. */
export function StanceOpen({ bench, stance, edit }: Props) {
  const { job, assessment, all } = bench;
  const figures = assessment?.handling.stances.find((s) => s.id === stance.id);
  const opens = all.filter((p) => !p.item.in && (p.figures?.leaves.length ?? 0) > 0);
  const isOpen = (module: string, cell: string) =>
    stance.open.some((o) => o.module === module && (o.cell === '' || o.cell === cell));
  const setOpen = (item: Item, cell: string, on: boolean) =>
    edit(`${on ? 'Open' : 'Shut'} ${item.name}`, (s) => {
      const cells = item.module?.cells.map((c) => c.id) ?? [];
      // A whole unit that was open becomes its drawers, so that one of them can be shut.
      const before = s.open.flatMap((o) =>
        o.module === item.id && o.cell === '' && cell !== '' ? cells.map((c) => ({ ...o, cell: c })) : [o],
      );
      s.open = before.filter((o) => !(o.module === item.id && (cell === '' || o.cell === cell)));
      if (on) s.open.push({ module: item.id, cell, share: 0 });
    });
  const bays = job.vehicle.bays.filter((b) => b.opening.face !== 'none' && b.opening.width > 0);
  const howFar = (item: Item, cell: string, name: string) => {
    const opened = stance.open.find((o) => o.module === item.id && (o.cell === '' || o.cell === cell));
    return (
      opened && (
        <PartWay
          name={name}
          share={opened.share}
          set={(share) =>
            edit(`How far ${name} is open`, (s) =>
              s.open.filter((o) => o.module === item.id && o.cell === opened.cell).forEach((o) => (o.share = share)),
            )
          }
        />
      )
    );
  };
  return (
    <>
      <fieldset>
        <legend>Open</legend>
        {opens.length === 0 && <p className="hint">No part opens yet.</p>}
        {opens.map(({ item, figures: f }) =>
          f && f.leaves.length > 1 ? (
            <div key={item.id}>
              <span className="field-label">{item.name}</span>
              {f.leaves.map((leaf) => {
                const name = item.module?.cells.find((c) => c.id === leaf.cell)?.name ?? leaf.cell;
                return (
                  <div key={leaf.cell} className="part-way">
                    <Tick
                      label={name}
                      name={`Open ${name} of ${item.name}`}
                      on={isOpen(item.id, leaf.cell)}
                      set={(on) => setOpen(item, leaf.cell, on)}
                    />
                    {howFar(item, leaf.cell, `${name} of ${item.name}`)}
                  </div>
                );
              })}
            </div>
          ) : (
            <div key={item.id} className="part-way">
              <Tick
                label={item.name}
                name={`Open ${item.name} in this stance`}
                on={isOpen(item.id, '') || isOpen(item.id, f?.leaves[0]?.cell ?? '')}
                set={(on) => setOpen(item, '', on)}
              />
              {howFar(item, f?.leaves[0]?.cell ?? '', item.name)}
            </div>
          ),
        )}
      </fieldset>
      <fieldset>
        <legend>Doors</legend>
        {bays.map((b) => {
          const said = stance.doors.some((d) => d.bay === b.id);
          const needed = !said && (figures?.doors.includes(b.id) ?? false);
          return (
            <div key={b.id} className="part-way">
              <Tick
                label={needed ? `${b.name}, for what is open` : b.name}
                name={`Door of ${b.name} open`}
                on={said || needed}
                disabled={needed}
                set={(on) =>
                  edit(`Door of ${b.name}`, (s) => {
                    s.doors = s.doors.filter((d) => d.bay !== b.id);
                    if (on) s.doors.push({ bay: b.id, share: 0 });
                  })
                }
              />
              {said && (
                <PartWay
                  name={`the door of ${b.name}`}
                  share={stance.doors.find((d) => d.bay === b.id)?.share ?? 0}
                  set={(share) =>
                    edit(`How far the door of ${b.name} is open`, (s) =>
                      s.doors.filter((d) => d.bay === b.id).forEach((d) => (d.share = share)),
                    )
                  }
                />
              )}
            </div>
          );
        })}
      </fieldset>
    </>
  );
}
