import { Fragment, useMemo, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';

import type { Item, Job } from '../api/types';
import { AddButton, RemoveHead } from '../components/ListButtons';
import { Scroll } from '../components/Scroll';
import { SkipLink } from '../components/SkipLink';
import { useRowsInSight } from '../components/useRowsInSight';
import { downloading } from '../document/download';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatMassColumn } from '../quantity/format';
import { unitName } from '../quantity/units';
import { shownItems, type Shown } from '../scene/geometry';
import { datums, labelOf } from '../words/words';
import { newId } from '../document/things';
import { addItem, itemIn, presenceOptions } from './itemEdits';
import { LedgerRow } from './LedgerRow';

type Column = 'name' | 'mass' | 'source' | 'station' | 'presence' | 'front' | 'rear';

interface Props {
  selected: string | undefined;
  onSelect: (id: string | undefined) => void;
  onImport: () => void;
}

/** The seat or the module that decides where an item is; undefined for what stands by itself. */
function placeOf(job: Job, item: Item): string | undefined {
  if (item.in) return `in ${itemIn(job, item.in.module)?.name ?? 'a module'}`;
  return job.vehicle.seats.find((seat) => seat.id === item.seat)?.name;
}

/** What a column sorts by. */
const keys: Record<Column, (s: Shown) => string | number> = {
  name: (s) => s.item.name.toLowerCase(),
  mass: (s) => s.figures.mass,
  source: (s) => s.item.source,
  station: (s) => s.figures.x,
  presence: (s) => `${s.figures.present ? 0 : 1}${s.item.presence.kind}`,
  front: (s) => s.figures.front,
  rear: (s) => s.figures.rear,
};

/** Every mass of the job by group, with what it puts on each axle; edited where it stands. */
export function Ledger({ selected, onSelect, onImport }: Props) {
  const session = useSession();
  const snapshot = useSnapshot();
  const { job, assessment } = snapshot;
  const [sort, setSort] = useState<{ column: Column; down: boolean }>({ column: 'station', down: false });
  const groups = useMemo(() => {
    const shown = shownItems(snapshot);
    const key = keys[sort.column];
    shown.sort((a, b) => {
      const [x, y] = [key(a), key(b)];
      return (x < y ? -1 : x > y ? 1 : 0) * (sort.down ? -1 : 1);
    });
    const names = [...new Set(shown.map((s) => s.item.group))].sort();
    return names.map((name) => ({
      name,
      total: snapshot.assessment?.groups.find((g) => g.group === name),
      rows: shown.filter((s) => s.item.group === name),
    }));
  }, [snapshot, sort]);
  // A line for each group and each of its items, of which only those in sight are drawn.
  const lines = useMemo(
    () => groups.flatMap((group) => [{ group, shown: undefined }, ...group.rows.map((shown) => ({ group, shown }))]),
    [groups],
  );
  const scroll = useRef<HTMLDivElement>(null);
  const at = lines.findIndex((l) => l.shown !== undefined && l.shown.item.id === selected);
  const sight = useRowsInSight(scroll, lines.length, 32, at < 0 ? [] : [at]);
  const variant = chosenVariant(job);
  const { switches, choices } = variant;
  const presences = useMemo(() => presenceOptions({ switches, choices }), [switches, choices]);
  if (!assessment) return <div aria-busy="true" />;

  const origin = assessment.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const items = variant.items;
  const add = () => {
    const id = newId(items, 'item');
    const group = items.find((i) => i.id === selected)?.group ?? items.at(-1)?.group ?? 'Furniture';
    session.edit('Add item', (j) => addItem(j, id, group));
    onSelect(id);
  };
  const mass = unitName('mass', job.units);
  const heads: { column: Column; label: string; title: string }[] = [
    { column: 'name', label: 'Item', title: 'What it is' },
    { column: 'mass', label: `Mass ${mass}`, title: 'Mass with its content now' },
    { column: 'source', label: 'Mass from', title: 'Where the mass comes from' },
    {
      column: 'station',
      label: `Station ${unitName('length', job.units)}`,
      title: `Rearward of the ${labelOf(datums, job.datum)}; negative is ahead of it`,
    },
    { column: 'presence', label: 'Presence', title: 'When it is aboard' },
    { column: 'front', label: `Front ${mass}`, title: 'What it puts on the front axle' },
    { column: 'rear', label: `Rear ${mass}`, title: 'What it puts on the rear axle' },
  ];
  return (
    <section className="sheet ledger" aria-label="Ledger">
      <header className="sheet-head">
        <h2>Ledger</h2>
        <span className="hint">{items.length} items</span>
        <div className="sheet-actions">
          <Link className="btn btn-sm btn-outline-secondary" to="cases">
            Cases
          </Link>
          <Link className="btn btn-sm btn-outline-secondary" to="account">
            Account
          </Link>
          <Link className="btn btn-sm btn-outline-secondary" to="card">
            Card
          </Link>
          <AddButton label="Add item" onClick={add} />
          <Button size="sm" variant="outline-secondary" onClick={onImport}>
            <i className="bi bi-box-arrow-in-down" aria-hidden /> Read CSV
          </Button>
          <a
            className="btn btn-sm btn-outline-secondary"
            href={`/api/jobs/${job.id}/items.csv`}
            onClick={downloading(session, `/api/jobs/${job.id}/items.csv`)}
            download
          >
            <i className="bi bi-box-arrow-up" aria-hidden /> Write CSV
          </a>
        </div>
      </header>
      {items.length === 0 ? (
        <div className="empty">
          <p>
            Nothing stands on the vehicle yet. Start with what has a fixed size: the carrier, the fridge, the water.
          </p>
          <Button onClick={add}>Add the first item</Button>
        </div>
      ) : (
        <Scroll label="Ledger rows" ref={scroll}>
          <SkipLink to=".side">Past the ledger</SkipLink>
          <table aria-rowcount={lines.length + 1}>
            <thead>
              <tr>
                {heads.map((head) => (
                  <th
                    key={head.column}
                    scope="col"
                    title={head.title}
                    className={`col-${head.column}`}
                    aria-sort={sort.column === head.column ? (sort.down ? 'descending' : 'ascending') : 'none'}
                  >
                    <button
                      type="button"
                      onClick={() => setSort({ column: head.column, down: sort.column === head.column && !sort.down })}
                    >
                      {head.label}
                      <i
                        className={`bi ${sort.column !== head.column ? 'bi-dash' : sort.down ? 'bi-arrow-down' : 'bi-arrow-up'}`}
                        aria-hidden
                      />
                    </button>
                  </th>
                ))}
                <RemoveHead />
              </tr>
            </thead>
            {groups.map((group) => {
              const drawn = sight.rows.filter((r) => lines[r.index]?.group === group);
              if (drawn.length === 0) return null;
              const { name, total, rows } = group;
              return (
                <tbody key={name} aria-label={name || 'No group'}>
                  {drawn.map(({ index, before }) => {
                    const shown = lines[index]?.shown;
                    return (
                      <Fragment key={shown?.item.id ?? ''}>
                        {before > 0 && <Gap height={before} />}
                        {shown ? (
                          <LedgerRow
                            index={index}
                            measure={sight.measure}
                            item={shown.item}
                            figures={shown.figures}
                            selected={shown.item.id === selected}
                            units={job.units}
                            origin={origin}
                            account={`/jobs/${job.id}/load/account`}
                            place={shown.figures.onTrailer ? 'on the trailer' : placeOf(job, shown.item)}
                            presences={presences}
                            onSelect={onSelect}
                          />
                        ) : (
                          <tr
                            ref={sight.measure}
                            data-index={index}
                            aria-rowindex={index + 2}
                            className="group-row"
                            data-group={name}
                          >
                            <th scope="rowgroup">{name || 'No group'}</th>
                            <td className="figure">{total && formatMassColumn(total.mass, job.units)}</td>
                            <td colSpan={3} className="hint">
                              {rows.length === 1 ? '1 item' : `${rows.length} items`}
                            </td>
                            <td className="figure">{total && formatMassColumn(total.front, job.units)}</td>
                            <td className="figure">{total && formatMassColumn(total.rear, job.units)}</td>
                            <td />
                          </tr>
                        )}
                      </Fragment>
                    );
                  })}
                </tbody>
              );
            })}
            {sight.after > 0 && (
              <tbody aria-hidden>
                <Gap height={sight.after} />
              </tbody>
            )}
          </table>
        </Scroll>
      )}
    </section>
  );
}

/** The room of rows that are not in sight. */
function Gap({ height }: { height: number }) {
  return (
    <tr aria-hidden className="row-gap" style={{ height }}>
      <td colSpan={8} />
    </tr>
  );
}
