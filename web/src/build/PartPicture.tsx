import type { BuildView, CutPanel } from '../api/types';
import { Panel } from '../components/Panel';
import { sidesOf, windowOf } from './solid';

/** A part with one of its panels dark, so that it is known where the panel goes. */
export function PartPicture({ view, panel }: { view: BuildView; panel: CutPanel }) {
  const others = [
    ...view.panels.filter((p) => p.module === panel.module && p.mark !== panel.mark),
    ...view.rods.filter((r) => r.module === panel.module),
  ];
  return (
    <Panel title={`${panel.mark} ${panel.name}`} className="side" note={panel.of}>
      <svg
        className="part-picture"
        viewBox={windowOf([...others.map((o) => o.box), panel.box])}
        role="img"
        aria-label={`Where ${panel.name} is in ${panel.of}`}
      >
        {others
          .flatMap((o) => sidesOf(o.box))
          .sort((a, b) => a.depth - b.depth)
          .map((side, i) => (
            <polygon key={i} points={side.points} className={`solid solid-${side.shade} solid-pale`} />
          ))}
        {sidesOf(panel.box).map((side, i) => (
          <polygon key={i} points={side.points} className={`solid solid-${side.shade} solid-dark`} />
        ))}
      </svg>
    </Panel>
  );
}
