import { memo } from 'react';

import type { Item, ItemFigures, Units } from '../api/types';
import { formatQuantity } from '../quantity/format';
import type { Window } from './geometry';
import { ItemShape } from './ItemShape';

interface Props {
  item: Item;
  figures: ItemFigures;
  window: Window;
  units: Units;
  /** x of the job's datum. */
  origin: number;
  selected: boolean;
  /** The one item that Tab stops at. */
  tabStop: boolean;
  named: boolean;
}

/** An item in the scene, drawn again only when something of its own has changed. */
export const SceneItem = memo(function SceneItem({
  item,
  figures,
  window,
  units,
  origin,
  selected,
  tabStop,
  named,
}: Props) {
  const states = [selected && 'selected', !figures.present && 'absent', item.seat !== '' && 'seated']
    .filter(Boolean)
    .join(' ');
  const mass = formatQuantity(figures.mass, 'mass', units);
  const station = formatQuantity(figures.x - origin, 'length', units);
  return (
    <g
      data-item={item.id}
      className={`item ${states}`}
      role="button"
      aria-pressed={selected}
      tabIndex={tabStop ? 0 : -1}
      aria-label={`${item.name}, ${mass}, station ${station}${figures.present ? '' : ', not aboard'}`}
    >
      <title>{item.name}</title>
      <ItemShape item={item} figures={figures} window={window} named={named} />
    </g>
  );
});
