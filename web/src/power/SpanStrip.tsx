import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

import type { Electrics, Span } from '../api/types';
import { chosenVariant, useSession } from '../document/SessionContext';
import { newId } from '../document/things';
import { clock } from './usePower';

const WIDTH = 152;
const HEIGHT = 26;
/** Hours to which a drag is rounded: ten minutes; one with Alt. */
const STEP = 1 / 6;

type End = 'from' | 'to';
interface Props {
  /** Of what, for a screen reader. */
  name: string;
  spans: Span[];
  /** The spans within the electrics that are edited. */
  pick: (electrics: Electrics) => Span[] | undefined;
}

const round = (hour: number, fine: boolean) => {
  const step = fine ? 1 / 60 : STEP;
  return Math.min(24, Math.max(0, Math.round(hour / step) * step));
};

/** The hours of a day at which something runs: drag an end, or use the arrow keys; double click adds hours. */
export function SpanStrip({ name, spans, pick }: Props) {
  const session = useSession();
  const svg = useRef<SVGSVGElement>(null);
  const [grip, setGrip] = useState<{ id: string; end: End } | undefined>();
  const change = (id: string, set: (span: Span) => void) => (job: Parameters<typeof chosenVariant>[0]) =>
    (pick(chosenVariant(job).electrics) ?? []).filter((s) => s.id === id).forEach(set);
  const hourAt = (event: { clientX: number }) => {
    const box = svg.current?.getBoundingClientRect();
    return box ? ((event.clientX - box.left) / Math.max(1, box.width)) * 24 : 0;
  };
  const take = (id: string, end: End) => (event: PointerEvent<SVGElement>) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    svg.current?.setPointerCapture(event.pointerId);
    setGrip({ id, end });
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (!grip) return;
    const hour = round(hourAt(event), event.altKey);
    session.drag(change(grip.id, (s) => (s[grip.end] = hour)));
  };
  const release = () => {
    if (grip) session.drop(`Hours of ${name}`);
    setGrip(undefined);
  };
  const nudge = (span: Span, end: End) => (event: KeyboardEvent<SVGElement>) => {
    const by = { ArrowLeft: -STEP, ArrowDown: -STEP, ArrowRight: STEP, ArrowUp: STEP }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const step = event.altKey ? by / 10 : event.shiftKey ? by * 6 : by;
    session.edit(
      `Hours of ${name}`,
      change(span.id, (s) => (s[end] = Math.min(24, Math.max(0, Math.round((s[end] + step) * 60) / 60)))),
      `span ${name} ${span.id} ${end}`,
    );
  };
  const add = (event: { clientX: number }) => {
    const from = Math.min(23, Math.floor(hourAt(event)));
    session.edit(`More hours of ${name}`, (job) => {
      const list = pick(chosenVariant(job).electrics);
      list?.push({ id: newId(list, 'hours'), from, to: from + 1, share: 1 });
    });
  };
  const x = (hour: number) => (hour / 24) * WIDTH;
  return (
    <svg
      ref={svg}
      className="span-strip"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width={WIDTH}
      height={HEIGHT}
      role="group"
      aria-label={`Hours of ${name}: ${spans.map((s) => `${clock(s.from)} to ${clock(s.to)}`).join(', ') || 'none'}`}
      onPointerMove={move}
      onPointerUp={release}
      onPointerCancel={() => {
        session.drop('', false);
        setGrip(undefined);
      }}
      onDoubleClick={add}
    >
      <rect className="span-day" x={0} y={7} width={WIDTH} height={12} />
      {[6, 12, 18].map((h) => (
        <path key={h} className="span-tick" d={`M${x(h)} 7V19`} />
      ))}
      {spans.map((s) => {
        const parts =
          s.from <= s.to
            ? [[s.from, s.to]]
            : [
                [s.from, 24],
                [0, s.to],
              ];
        return (
          <g key={s.id} className="span" style={{ opacity: 0.45 + 0.55 * s.share }}>
            {parts.map(([a = 0, b = 0]) => (
              <rect key={a} className="span-bar" x={x(a)} y={7} width={Math.max(1, x(b) - x(a))} height={12} />
            ))}
            {(['from', 'to'] as const).map((end) => (
              <rect
                key={end}
                className="span-end"
                x={Math.min(WIDTH - 5, Math.max(0, x(s[end]) - 2.5))}
                y={3}
                width={5}
                height={20}
                role="slider"
                tabIndex={0}
                aria-label={`${name} ${end === 'from' ? 'begins' : 'ends'}`}
                aria-valuemin={0}
                aria-valuemax={24}
                aria-valuenow={s[end]}
                aria-valuetext={clock(s[end])}
                onPointerDown={take(s.id, end)}
                onKeyDown={nudge(s, end)}
              />
            ))}
          </g>
        );
      })}
    </svg>
  );
}
