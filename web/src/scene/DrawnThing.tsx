import { memo } from 'react';

import type { DrawnGroup, DrawnLabel } from '../api/types';
import { drawX, drawY, type Window } from './geometry';

interface Props {
  group: DrawnGroup;
  /** How far it was moved since it was drawn, mm across and up. */
  across: number;
  up: number;
  /** States that show: chosen, in the way, not aboard. */
  states: string;
  label?: string | undefined;
  selected?: boolean;
  tabStop?: boolean;
  /** How the hand of its drawing finds it. */
  as?: 'part' | 'item';
}

/** A thing of a view, in mm; drawn again only when something of its own has changed. */
export const DrawnThing = memo(function DrawnThing({
  group,
  across,
  up,
  states,
  label,
  selected,
  tabStop,
  as = 'part',
}: Props) {
  const part = label !== undefined;
  const covered = group.covered && selected !== true;
  return (
    <g
      className={`drawn drawn-${group.kind} ${group.work === '' ? '' : `work-${group.work}`} ${group.faded ? 'drawn-faded' : ''} ${group.inside ? 'drawn-inside' : ''} ${states}`}
      transform={across !== 0 || up !== 0 ? `translate(${across} ${up})` : undefined}
      {...(part && {
        [`data-${as}`]: group.id,
        role: 'button',
        'aria-pressed': selected === true,
        'aria-label': label,
        tabIndex: tabStop ? 0 : -1,
      })}
    >
      {group.name !== '' && <title>{group.name}</title>}
      {covered && part && <path className="drawn-hit" d={rectangle(group)} />}
      {!covered &&
        group.paths.map((p, i) => (
          <path key={i} className={`tone-${p.tone} ${p.thin ? 'thin' : ''} ${p.cut ? 'cut' : ''}`} d={p.d} />
        ))}
      {part && <path className="drawn-edge" d={rectangle(group)} />}
    </g>
  );
});

const rectangle = ({ rect: { u0, v0, u1, v1 } }: DrawnGroup) => `M${u0} ${v0}H${u1}V${v1}H${u0}Z`;

/** Turns mm of a view, up, into units of the paper, down. */
export const paper = (w: Window) => `matrix(${1 / w.scale} 0 0 ${-1 / w.scale} ${-w.from / w.scale} ${w.ground})`;

const LINE = 12;

/** The name of a thing, or the number that stands for it. */
export const DrawnName = memo(function DrawnName({
  id,
  label,
  across,
  up,
  w,
  selected,
}: {
  id: string;
  label: DrawnLabel;
  across: number;
  up: number;
  w: Window;
  selected: boolean;
}) {
  const [x, y] = [drawX(w, label.u + across), drawY(w, label.v + up)];
  if (label.lines.length > 0)
    return (
      <text className="drawn-name" data-name-of={id} x={x} y={y}>
        {label.lines.map((line, i) => (
          <tspan key={i} x={x} y={y + i * LINE}>
            {line}
          </tspan>
        ))}
      </text>
    );
  const [u, v] = label.leader ?? [];
  const wide = label.number > 99 ? 22 : label.number > 9 ? 18 : 15;
  return (
    <g className={`balloon ${selected ? 'selected' : ''}`} data-part={id} data-name-of={id}>
      {u !== undefined && v !== undefined && (
        <path d={`M${x} ${y}L${drawX(w, u + across)} ${drawY(w, v + up)}`} className="leader" />
      )}
      <rect x={x - wide / 2} y={y - 7.5} width={wide} height={15} rx={7.5} />
      <text x={x} y={y + 4} textAnchor="middle">
        {label.number}
      </text>
    </g>
  );
});
