import type { CutPanel, SheetCut } from '../api/types';

interface Props {
  sheet: SheetCut;
  number: number;
  panels: readonly CutPanel[];
  chosen: string | undefined;
  cuts: boolean;
  /** How high its letters are, mm: as in the other pictures of the same scale. */
  letter: number;
  /** A measure as it is cut by. */
  fine: (mm: number) => string;
  onChoose: (mark: string) => void;
}

/** One sheet with its pieces, and the order in which it is cut. */
export function SheetPicture({ sheet, number, panels, chosen, cuts, letter, fine, onChoose }: Props) {
  return (
    <svg
      className="sheet-picture"
      viewBox={`-6 -6 ${sheet.length + 12} ${sheet.width + 12}`}
      role="group"
      aria-label={`Sheet ${number}, ${sheet.name}`}
    >
      <rect width={sheet.length} height={sheet.width} className="sheet-board" />
      {sheet.rests.map((r, i) => (
        <rect key={i} x={r.x} y={r.y} width={r.length} height={r.width} className="sheet-rest" />
      ))}
      {sheet.pieces.map((piece) => {
        const panel = panels[piece.panel];
        if (!panel) return null;
        const tall = piece.width > piece.length * 1.3 && piece.length < 7 * letter;
        const room = tall ? piece.width : piece.length;
        const across = tall ? piece.length : piece.width;
        const size = `${fine(panel.cutLength)} × ${fine(panel.cutWidth)}`;
        return (
          <g
            key={panel.mark}
            className={`sheet-piece ${panel.mark === chosen ? 'is-chosen' : ''}`}
            role="button"
            tabIndex={0}
            aria-pressed={panel.mark === chosen}
            aria-label={`${panel.mark} ${size} ${panel.name} of ${panel.of}`}
            data-mark={panel.mark}
            onClick={() => onChoose(panel.mark)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              onChoose(panel.mark);
            }}
          >
            <rect x={piece.x} y={piece.y} width={piece.length} height={piece.width} />
            {panel.outline.length > 0 && <polygon points={shapeOn(panel, piece)} />}
            <g
              transform={
                tall ? `translate(${piece.x + piece.length} ${piece.y}) rotate(90)` : `translate(${piece.x} ${piece.y})`
              }
              aria-hidden
            >
              <text>
                {across > letter * 1.3 && room > letter * 2.6 && (
                  <tspan x={letter * 0.4} y={letter * 1.1} fontSize={letter} className="sheet-mark">
                    {panel.mark}
                  </tspan>
                )}{' '}
                {across > letter * 2.4 && room > letter * 5.4 && (
                  <tspan x={letter * 0.4} y={letter * 2.1} fontSize={letter * 0.8}>
                    {size}
                  </tspan>
                )}{' '}
                {across > letter * 3.3 && room > letter * 0.45 * panel.name.length && (
                  <tspan x={letter * 0.4} y={letter * 3} fontSize={letter * 0.8}>
                    {panel.name}
                  </tspan>
                )}
              </text>
            </g>
          </g>
        );
      })}
      {cuts &&
        sheet.cuts.map((c, i) => {
          const [x, y] = c.rip ? [c.x + c.length, c.y] : [c.x, c.y + c.length];
          return (
            <g key={i} className="sheet-cut" aria-hidden>
              <line x1={c.x} y1={c.y} x2={x} y2={y} />
              <circle cx={(c.x + x) / 2} cy={(c.y + y) / 2} r={letter * 0.62} />
              <text x={(c.x + x) / 2} y={(c.y + y) / 2 + letter * 0.3} fontSize={letter * 0.8} textAnchor="middle">
                {i + 1}
              </text>
            </g>
          );
        })}
    </svg>
  );
}

/** The shape of a panel where it lies on its sheet, turned as its piece is. */
function shapeOn(panel: CutPanel, piece: SheetCut['pieces'][number]): string {
  const turned = Math.abs(piece.length - panel.cutLength) > 0.05;
  return panel.outline.map(({ u, v }) => `${piece.x + (turned ? v : u)},${piece.y + (turned ? u : v)}`).join(' ');
}
