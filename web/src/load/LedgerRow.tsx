import { memo, useEffect, useRef } from 'react';
import { Link } from 'react-router';

import type { Item, ItemFigures, Units } from '../api/types';
import { RemoveButton } from '../components/ListButtons';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { useSession } from '../document/SessionContext';
import { formatMassColumn, formatNumber } from '../quantity/format';
import { massSources } from '../words/words';
import { itemIn, presenceValue, removeItem, setPresence, type PresenceOption } from './itemEdits';

interface Props {
  item: Item;
  figures: ItemFigures;
  selected: boolean;
  units: Units;
  /** x of the job's datum. */
  origin: number;
  /** What it sits or lies in, if it does: its station is then that of the seat or compartment. */
  place: string | undefined;
  /** Address of the page that tells where figures come from. */
  account: string;
  presences: PresenceOption[];
  /** Of the line in the ledger, from 0. */
  index: number;
  /** Told of the row, where the ledger draws only those in sight. */
  measure: ((row: Element | null) => void) | undefined;
  onSelect: (id: string | undefined) => void;
}

/** One item of the ledger; drawn again only when something of its own has changed. */
export const LedgerRow = memo(function LedgerRow({
  item,
  figures,
  selected,
  units,
  origin,
  place,
  account,
  presences,
  index,
  measure,
  onSelect,
}: Props) {
  const session = useSession();
  const row = useRef<HTMLTableRowElement>(null);
  useEffect(() => {
    if (selected) row.current?.scrollIntoView({ block: 'nearest' });
  }, [selected]);
  const edit = (label: string, change: (item: Item) => void, key?: string) =>
    session.edit(
      `${label} of ${item.name}`,
      (j) => {
        const target = itemIn(j, item.id);
        if (target) change(target);
      },
      key,
    );
  // What is built weighs by its panels until somebody weighs it.
  const byConstruction = item.source === 'material' && item.module !== undefined && item.module.wall !== 'none';
  const level = item.presence.kind === 'level' ? item.presence.level : undefined;
  return (
    // A click anywhere in a row selects it; with the keyboard, focus in any of its fields does.

    <tr
      ref={(element) => {
        row.current = element;
        measure?.(element);
      }}
      data-index={index}
      aria-rowindex={index + 2}
      data-row={item.id}
      className={`${selected ? 'selected' : ''} ${figures.present ? '' : 'absent'}`}
      onClick={() => onSelect(item.id)}
      onFocus={() => onSelect(item.id)}
    >
      <th scope="row">
        <TextField
          label={`Name of ${item.name}`}
          value={item.name}
          maxLength={120}
          required
          onCommit={(text) => edit('Name', (i) => (i.name = text), `name ${item.id}`)}
        />
      </th>
      <td>
        {level ? (
          <QuantityField
            label={`Content of ${item.name}`}
            value={level.now}
            kind="volume"
            system={units}
            title={`Empty vessel and ${formatNumber(level.now, 'volume', units)} in it weigh ${formatMassColumn(figures.mass, units)}`}
            onCommit={(now) => edit('Content', (i) => i.presence.level && (i.presence.level.now = now))}
          />
        ) : (
          <QuantityField
            bare
            label={`Mass of ${item.name}`}
            value={byConstruction ? figures.mass : item.mass}
            kind="mass"
            system={units}
            {...(byConstruction
              ? { disabled: true, title: 'By its construction, until it is weighed: change the source' }
              : {})}
            onCommit={(mass) => edit('Mass', (i) => (i.mass = mass))}
          />
        )}
      </td>
      <td>
        <SelectField
          label={`Source of the mass of ${item.name}`}
          value={item.source}
          options={massSources}
          onCommit={(source) => edit('Source', (i) => (i.source = source))}
        />
      </td>
      <td>
        {place ? (
          <span
            className="seat-note"
            title="Its station is that of the seat or compartment; seats are changed under Item, compartments under Layout"
          >
            {place}
          </span>
        ) : (
          <QuantityField
            bare
            label={`Station of ${item.name}`}
            value={figures.x - origin}
            kind="length"
            system={units}
            onCommit={(station) => edit('Station', (i) => (i.at.x += station + origin - figures.x))}
          />
        )}
      </td>
      <td>
        <SelectField
          label={`Presence of ${item.name}`}
          value={presenceValue(item.presence)}
          options={presences}
          onCommit={(value) =>
            session.edit(`Presence of ${item.name}`, (j) => {
              const target = itemIn(j, item.id);
              if (target) setPresence(j, target, value);
            })
          }
        />
      </td>
      <td className="figure" data-cell="front">
        {figures.present ? (
          <Link to={`${account}#${item.id}`} title="Where this comes from">
            {formatMassColumn(figures.front, units)}
          </Link>
        ) : (
          '–'
        )}
      </td>
      <td className="figure" data-cell="rear">
        {figures.present ? (
          <Link to={`${account}#${item.id}`} title="Where this comes from">
            {formatMassColumn(figures.rear, units)}
          </Link>
        ) : (
          '–'
        )}
      </td>
      <td>
        <RemoveButton
          label={`Remove ${item.name}`}
          onClick={(event) => {
            event.stopPropagation();
            onSelect(undefined);
            session.edit(`Remove ${item.name}`, (j) => removeItem(j, item.id));
          }}
        />
      </td>
    </tr>
  );
});
