import type { Box, Units } from '../api/types';
import { formatQuantity } from '../quantity/format';
import { drawX, drawY, type Window } from '../scene/geometry';
import { flat, type Stand } from '../scene/projection';

/** One face that the tape was put to: across the paper or up it. */
export interface End {
  view: Stand;
  along: 'u' | 'v';
  at: number;
  /** Where it was pressed, on the other axis. */
  beside: number;
}

/** The ends of the tape so far: none, one, or both. */
export type Tape = readonly End[];

/** The face nearest to a press, within reach; undefined where there is none. */
export function faceAt(
  boxes: readonly Box[],
  view: Stand,
  at: { u: number; v: number },
  reach: number,
): End | undefined {
  let best: End | undefined;
  let nearest = reach;
  const offer = (along: 'u' | 'v', value: number, own: number, beside: number) => {
    const off = Math.abs(value - own);
    if (off <= nearest) [nearest, best] = [off, { view, along, at: value, beside }];
  };
  for (const b of boxes) {
    const { u, v, width, height } = flat(view, b.from, b.to);
    const insideV = at.v >= v - reach && at.v <= v + height + reach;
    const insideU = at.u >= u - reach && at.u <= u + width + reach;
    if (insideV) for (const face of [u, u + width]) offer('u', face, at.u, at.v);
    if (insideU) for (const face of [v, v + height]) offer('v', face, at.v, at.u);
  }
  return best;
}

/** The tape between two faces, with what it reads. */
export function TapeLine({ tape, view, w, units }: { tape: Tape; view: Stand; w: Window; units: Units }) {
  const [a, b] = tape;
  if (!a || a.view !== view) return null;
  const at = (end: End): [number, number] =>
    end.along === 'u' ? [drawX(w, end.at), drawY(w, end.beside)] : [drawX(w, end.beside), drawY(w, end.at)];
  const [x1, y1] = at(a);
  if (!b || b.view !== view || b.along !== a.along) return <circle className="tape-end" cx={x1} cy={y1} r={5} />;
  const [x2, y2] = a.along === 'u' ? [drawX(w, b.at), y1] : [x1, drawY(w, b.at)];
  return (
    <g className="tape" data-tape={Math.round(Math.abs(a.at - b.at))}>
      <path className="tape-edge" d={`M${x1} ${y1}L${x2} ${y2}`} />
      <path className="tape-body" d={`M${x1} ${y1}L${x2} ${y2}`} />
      <text x={(x1 + x2) / 2} y={(y1 + y2) / 2 - 8} textAnchor="middle">
        {formatQuantity(Math.abs(a.at - b.at), 'length', units)}
      </text>
    </g>
  );
}
