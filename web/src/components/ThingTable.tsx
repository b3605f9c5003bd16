import { Fragment, type ReactNode } from 'react';

import { RemoveButton, RemoveHead } from './ListButtons';
import { TextField } from './TextField';

interface Thing {
  id: string;
  name: string;
}

export interface Column<T> {
  head: ReactNode;
  /** What the head means, where it is short. */
  title?: string;
  cell: (thing: T) => ReactNode;
  centred?: boolean;
  /** Words, not figures: stands to the left. */
  words?: boolean;
  wide?: boolean;
}

interface Props<T extends Thing> {
  label: string;
  /** Head of the names. */
  what: string;
  things: readonly T[];
  columns: readonly Column<T>[];
  /** What there is to say while the list is empty. */
  empty?: string;
  onRename: (thing: T, name: string) => void;
  onRemove?: (thing: T) => void;
  /** A second line below a thing. */
  below?: (thing: T) => ReactNode;
  className?: string;
}

/** A list of named things with the same fields, each edited where it stands. */
export function ThingTable<T extends Thing>({
  label,
  what,
  things,
  columns,
  empty,
  onRename,
  onRemove,
  below,
  className,
}: Props<T>) {
  if (things.length === 0 && empty) return <p className="empty">{empty}</p>;
  return (
    <div className="table-wrap">
      <table className={`sheet-table ${className ?? ''}`} aria-label={label}>
        <thead>
          <tr>
            <th scope="col">{what}</th>
            {columns.map((column, i) => (
              <th
                key={i}
                scope="col"
                title={column.title}
                className={`${column.centred ? 'centred' : column.words || column.wide ? '' : 'over-figures'} ${column.wide ? 'col-wide' : ''}`}
              >
                {column.head}
              </th>
            ))}
            {onRemove && <RemoveHead />}
          </tr>
        </thead>
        <tbody>
          {things.map((thing) => (
            <Fragment key={thing.id}>
              <tr data-thing={thing.id}>
                <th scope="row">
                  <TextField
                    label={`Name of ${thing.name}`}
                    value={thing.name}
                    maxLength={120}
                    required
                    onCommit={(name) => onRename(thing, name)}
                  />
                </th>
                {columns.map((column, i) => (
                  <td key={i} className={column.centred ? 'centred' : undefined}>
                    {column.cell(thing)}
                  </td>
                ))}
                {onRemove && (
                  <td>
                    <RemoveButton label={`Remove ${thing.name}`} onClick={() => onRemove(thing)} />
                  </td>
                )}
              </tr>
              {below?.(thing)}
            </Fragment>
          ))}
        </tbody>
      </table>
    </div>
  );
}
