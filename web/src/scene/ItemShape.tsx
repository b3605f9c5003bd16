import type { Item, ItemFigures, Level } from '../api/types';
import { box, drawX, drawY, type Window } from './geometry';

interface Props {
  item: Item;
  figures: ItemFigures;
  window: Window;
  /** There is room for its name. */
  named: boolean;
}

/** An item to scale, by its form: boxes square, soft things round, tanks with their level, people as people. */
export function ItemShape({ item, figures, window: w, named }: Props) {
  const b = box(item, figures);
  const [x, y, width, height] = [drawX(w, b.x), drawY(w, b.z + b.height), b.length / w.scale, b.height / w.scale];
  const level: Level | undefined = item.presence.kind === 'level' ? item.presence.level : undefined;
  const share = level && level.max > 0 ? level.now / level.max : 0;
  return (
    <>
      {item.form === 'wheel' && (
        <>
          <ellipse className="shape" cx={x + width / 2} cy={y + height / 2} rx={width / 2} ry={height / 2} />
          <ellipse className="shape-detail" cx={x + width / 2} cy={y + height / 2} rx={width / 4} ry={height / 4} />
        </>
      )}
      {item.form === 'person' && (
        <>
          <rect
            className="shape"
            x={x + width * 0.12}
            y={y + height * 0.3}
            width={width * 0.76}
            height={height * 0.7}
            rx={width * 0.3}
          />
          <circle className="shape" cx={x + width / 2} cy={y + height * 0.15} r={Math.min(width, height) * 0.26} />
        </>
      )}
      {item.form === 'animal' && (
        <rect className="shape" x={x} y={y} width={width} height={height} rx={height * 0.48} />
      )}
      {(item.form === 'box' || item.form === 'soft' || item.form === 'tank') && (
        <rect
          className="shape"
          x={x}
          y={y}
          width={width}
          height={height}
          rx={item.form === 'box' ? 1.5 : Math.min(width, height) * 0.3}
        />
      )}
      {level && (
        <rect
          className="shape-level"
          x={x + 1}
          y={y + height * (1 - share)}
          width={Math.max(0, width - 2)}
          height={height * share}
          rx={2}
        />
      )}
      {named && (
        <text className="shape-name" x={x + 4} y={y + 11}>
          {item.name}
        </text>
      )}
    </>
  );
}
