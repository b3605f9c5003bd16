import { memo, type ReactNode } from 'react';

import type { DrawnGroup } from '../api/types';
import { DrawnName, DrawnThing, paper } from './DrawnThing';
import type { Window } from './geometry';

interface Props {
  groups: readonly DrawnGroup[];
  told: (id: string) => Told;
  /** How far a thing was moved since it was drawn, mm across and up. */
  moved: (id: string) => [across: number, up: number];
  selected: readonly string[];
  tabStop: string | undefined;
  w: Window;
  as?: 'part' | 'item';
  /** Numbers want a key beside the drawing; where there is none they are left out. */
  numbers?: boolean;
  /** What lies between the vehicle and the things. */
  children?: ReactNode;
}

/**
 * All things of a view, what is near over what is far, what is chosen or moved over all, and their names. The
 * vehicle is the paper below them, but where its cab stands before all.
 */
export function DrawnThings({
  groups,
  told,
  moved,
  selected,
  tabStop,
  w,
  as = 'part',
  numbers = true,
  children,
}: Props) {
  // What stands still is not drawn again while another thing moves.
  const over = groups.filter((g) => selected.includes(g.id) || moved(g.id).some((mm) => mm !== 0));
  const still = JSON.stringify(groups.filter((g) => !over.includes(g)).map((g) => [g.id, told(g.id)]));
  return (
    <>
      <Things groups={groups} told={still} tabStop={tabStop} w={w} as={as} vehicle />
      {children}
      <Things groups={groups} told={still} tabStop={tabStop} w={w} as={as} />
      <Behind groups={groups} w={w} />
      <g transform={paper(w)}>
        {over.map((g) => {
          const [across, up] = moved(g.id);
          const { states, label } = told(g.id);
          return (
            <DrawnThing
              key={g.id}
              group={g}
              as={as}
              across={across}
              up={up}
              states={states}
              selected={selected.includes(g.id)}
              tabStop={g.id === tabStop}
              label={label}
            />
          );
        })}
      </g>
      <g className="drawn-names" aria-hidden>
        {groups.map((g) => {
          if (!g.label || (!numbers && g.label.lines.length === 0)) return null;
          const [across, up] = moved(g.id);
          return (
            <DrawnName
              key={g.id}
              id={g.id}
              label={g.label}
              across={across}
              up={up}
              w={w}
              selected={selected.includes(g.id)}
            />
          );
        })}
      </g>
    </>
  );
}

/** The edges that lie behind something, over what hides them. */
const Behind = memo(function Behind({ groups, w }: { groups: readonly DrawnGroup[]; w: Window }) {
  return (
    <g className="behind" transform={paper(w)} aria-hidden>
      {groups.map((g) => g.behind !== '' && <path key={g.id} d={g.behind} />)}
    </g>
  );
});

/** What is told of a thing besides its drawing; no label where it cannot be chosen. */
export interface Told {
  states: string;
  label: string | undefined;
}

/** What stands still, drawn again only when the drawing is another or something else is told of it. */
const Things = memo(function Things({
  groups,
  told,
  tabStop,
  w,
  as,
  vehicle = false,
}: {
  groups: readonly DrawnGroup[];
  /** Ids with what is told of them, as text: what is equal is not drawn again. */
  told: string;
  tabStop: string | undefined;
  w: Window;
  as: 'part' | 'item';
  vehicle?: boolean;
}) {
  const tells = new Map(JSON.parse(told) as [string, Told][]);
  return (
    <g transform={paper(w)}>
      {groups
        .filter((g) => tells.has(g.id) && (g.kind === 'vehicle' && g === groups[0]) === vehicle)
        .map((g) => {
          const { states = '', label } = tells.get(g.id) ?? {};
          return (
            <DrawnThing
              key={g.id}
              group={g}
              as={as}
              across={0}
              up={0}
              states={states}
              tabStop={g.id === tabStop}
              label={label}
            />
          );
        })}
    </g>
  );
});
