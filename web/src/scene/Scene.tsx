import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

import type { Job } from '../api/types';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { formatChange, formatQuantity } from '../quantity/format';
import { Body } from './Body';
import { box, drawX, drawY, fitWindow, roomForName, shownItems, type Shown, type Window } from './geometry';
import { ItemShape } from './ItemShape';
import { Rule } from './Rule';

const SNAP = 5;

interface Props {
  width?: number;
  height: number;
  selected: string | undefined;
  onSelect: (id: string | undefined) => void;
}

/** Moves an item of the chosen variant to a stored x, mm. */
export function moveItem(job: Job, id: string, x: number, z?: number): void {
  const item = chosenVariant(job).items.find((i) => i.id === id);
  if (!item) return;
  item.at.x = Math.round(x * 10) / 10;
  if (z !== undefined) item.at.z = Math.round(z * 10) / 10;
}

/** The vehicle from its left side, front to the left, with every item at its station. */
export function Scene({ width = 860, height, selected, onSelect }: Props) {
  const session = useSession();
  const snapshot = useSnapshot();
  const { job, assessment } = snapshot;
  const shown = useMemo(() => shownItems(snapshot), [snapshot]);
  const svg = useRef<SVGSVGElement>(null);
  const [grip, setGrip] = useState<{ id: string; startX: number; itemX: number; moved: boolean; window: Window }>();
  const fitted = useMemo(() => assessment && fitWindow(job, assessment, shown, width, height), [job, assessment, shown, width, height]);
  // While dragging, the paper stays still under the hand.
  const w = grip?.window ?? fitted;
  if (!assessment || !w) return <div className="scene" aria-busy="true" style={{ height }} />;

  const order = [...shown].sort((a, b) => b.item.size.length * b.item.size.height - a.item.size.length * a.item.size.height);
  const named = roomForName(order, w);
  const current = shown.find((s) => s.item.id === selected);
  const tabStop = current?.item.id ?? shown[0]?.item.id;
  const origin = assessment.datums.find((d) => d.datum === job.datum)?.x ?? 0;

  const mmAt = (clientX: number) => {
    const rect = svg.current?.getBoundingClientRect();
    return rect && rect.width > 0 ? ((clientX - rect.left) / rect.width) * w.width * w.scale + w.from : 0;
  };
  const onPointerDown = (event: PointerEvent<SVGGElement>, { item }: Shown) => {
    if (event.button !== 0) return;
    onSelect(item.id);
    event.currentTarget.focus();
    if (item.seat !== '') return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setGrip({ id: item.id, startX: mmAt(event.clientX), itemX: item.at.x, moved: false, window: w });
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    if (!grip) return;
    const raw = mmAt(event.clientX) - grip.startX;
    if (!grip.moved && Math.abs(raw) < 2 * w.scale) return;
    const step = event.altKey ? 1 : SNAP;
    const x = Math.round((grip.itemX + raw) / step) * step;
    if (!grip.moved) setGrip({ ...grip, moved: true });
    session.drag((j) => moveItem(j, grip.id, x));
  };
  const onPointerUp = () => {
    if (grip?.moved) session.drop(`Move ${nameOf(shown, grip.id)}`);
    setGrip(undefined);
  };
  const cancel = () => {
    if (grip) session.drop('', false);
    setGrip(undefined);
  };
  const onKeyDown = (event: KeyboardEvent<SVGGElement>, { item }: Shown) => {
    if (event.key === 'Escape' && grip) return cancel();
    if (event.key === 'Escape') return onSelect(undefined);
    if (event.key === ',' || event.key === '.') return selectNext(item.id, event.key === '.' ? 1 : -1);
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      return onSelect(item.id);
    }
    const step = event.shiftKey ? 100 : event.altKey ? 1 : 10;
    const move = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (!move || item.seat !== '') return;
    event.preventDefault();
    const [dx = 0, dz = 0] = move;
    session.edit(`Move ${item.name}`, (j) => {
      const at = chosenVariant(j).items.find((i) => i.id === item.id)?.at;
      if (at) moveItem(j, item.id, at.x + dx, at.z + dz);
    }, `nudge ${item.id}`);
  };
  const selectNext = (id: string, direction: number) => {
    const along = [...shown].sort((a, b) => a.figures.x - b.figures.x);
    const next = along[(along.findIndex((s) => s.item.id === id) + direction + along.length) % along.length];
    if (!next) return;
    onSelect(next.item.id);
    svg.current?.querySelector<SVGGElement>(`[data-item="${next.item.id}"]`)?.focus();
  };

  return (
    <div className="scene">
      <svg ref={svg} viewBox={`0 0 ${w.width} ${height}`} role="group" aria-label="Side elevation, front to the left">
        <path className="ground" d={`M0 ${w.ground}H${w.width}`} />
        <Body job={job} assessment={assessment} window={w} />
        {order.map((s) => (
          <g
            key={s.item.id}
            data-item={s.item.id}
            className={`item group-tint ${s.item.id === selected ? 'selected' : ''} ${s.figures.present ? '' : 'absent'} ${s.item.seat ? 'seated' : ''}`}
            role="button"
            aria-pressed={s.item.id === selected}
            tabIndex={s.item.id === tabStop ? 0 : -1}
            aria-label={`${s.item.name}, ${formatQuantity(s.figures.mass, 'mass', job.units)}, station ${formatQuantity(s.figures.x - origin, 'length', job.units)}${s.figures.present ? '' : ', not aboard'}`}
            onPointerDown={(event) => onPointerDown(event, s)}
            onPointerMove={onPointerMove}
            onPointerUp={onPointerUp}
            onPointerCancel={cancel}
            onKeyDown={(event) => onKeyDown(event, s)}
          >
            <title>{s.item.name}</title>
            <ItemShape shown={s} window={w} named={named.has(s.item.id) && s.item.id !== selected} />
          </g>
        ))}
        <AxleArrows w={w} />
        <g className="centre" transform={`translate(${drawX(w, assessment.centre.x)} ${drawY(w, assessment.centre.z)})`} role="img" aria-label={`Centre of gravity ${formatQuantity(assessment.centre.x - origin, 'length', job.units)} from the datum, ${formatQuantity(assessment.centre.z, 'length', job.units)} high`}>
          <circle r="8" />
          <path d="M0 0V-8A8 8 0 0 1 8 0ZM0 0V8A8 8 0 0 1 -8 0Z" className="centre-dark" />
        </g>
        {current && <Callout shown={current} w={w} origin={origin} />}
        <Rule window={w} origin={origin} units={job.units} datum={job.datum} />
      </svg>
    </div>
  );
}

function nameOf(shown: Shown[], id: string): string {
  return shown.find((s) => s.item.id === id)?.item.name ?? 'item';
}

/** What stands on each axle, as an arrow under its wheel. */
function AxleArrows({ w }: { w: Window }) {
  const { job, assessment } = useSnapshot();
  if (!assessment) return null;
  const most = Math.max(assessment.axles.front, assessment.axles.rear, 1);
  const axles = [
    { x: 0, kg: assessment.axles.front, pad: assessment.pads.find((p) => p.id === 'front') },
    { x: assessment.wheelbase, kg: assessment.axles.rear, pad: assessment.pads.find((p) => p.id === 'rear') },
  ];
  return (
    <g className="axles" aria-hidden>
      {axles.map(({ x, kg, pad }) => (
        <g key={x} className={`axle state-${pad?.state ?? 'unknown'}`} transform={`translate(${drawX(w, x)} ${w.ground})`}>
          <path className="axle-plate" d="M-34 0h68l4 7h-76z" />
          <path className="axle-arrow" strokeWidth={2 + (5 * kg) / most} d="M0 10v9" />
          <text x="10" y="24">{formatQuantity(kg, 'mass', job.units)}</text>
        </g>
      ))}
    </g>
  );
}

/** Name, mass and effect of the selected item, and where it stands on the rule. */
function Callout({ shown: { item, figures }, w, origin }: { shown: Shown; w: Window; origin: number }) {
  const { job } = useSnapshot();
  const x = drawX(w, figures.x);
  return (
    <g className="callout" aria-hidden>
      <path className="plumb" d={`M${x} ${drawY(w, box(item, figures).z)}V${w.height - 26}`} />
      <text className="callout-name" x="10" y="20">
        {item.name}
      </text>
      <text x="10" y="36">
        {formatQuantity(figures.mass, 'mass', job.units)} at {formatQuantity(figures.x - origin, 'length', job.units)}
      </text>
      <text x="10" y="51">
        front {formatChange(figures.front, 'mass', job.units)}, rear {formatChange(figures.rear, 'mass', job.units)}
      </text>
    </g>
  );
}
