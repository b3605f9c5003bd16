import type { BuildView } from '../api/types';
import { sidesOf, windowOf } from './solid';

interface Props {
  view: BuildView;
  /** The part whose panels and profiles are drawn. */
  module: string;
  /** Marks of those that are dark. */
  dark: ReadonlySet<string>;
  label: string;
}

/** The panels and profiles of a part, seen from above its corner, some of them dark. */
export function Solids({ view, module, dark, label }: Props) {
  const boards = [...view.panels, ...view.rods].filter((b) => b.module === module);
  if (boards.length === 0) return null;
  const sides = boards
    .flatMap((b) => sidesOf(b.box).map((side) => ({ ...side, dark: dark.has(b.mark) })))
    // What is dark is seen through what stands before it.
    .sort((a, b) => Number(a.dark) - Number(b.dark) || a.depth - b.depth);
  return (
    <svg className="part-picture" viewBox={windowOf(boards.map((b) => b.box))} role="img" aria-label={label}>
      {sides.map((side, i) => (
        <polygon
          key={i}
          points={side.points}
          className={`solid solid-${side.shade} ${side.dark ? 'solid-dark' : 'solid-pale'}`}
        />
      ))}
    </svg>
  );
}
