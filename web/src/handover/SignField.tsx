import { useRef, useState, type PointerEvent } from 'react';

import type { Signature } from '../api/types';
import { newId } from '../document/things';
import { useHandover } from './useHandover';

const WIDTH = 600;
const HEIGHT = 200;
/** What a signature may have of letters in the document. */
const MOST = 38_000;

/** A name drawn with a finger, a pen or the mouse; who cannot draw it types it. */
export function SignField({ signer, label, sum }: { signer: Signature['role']; label: string; sum: string }) {
  const { handover, edit, session } = useHandover();
  const signed = handover.signed.find((s) => s.role === signer);
  const [name, setName] = useState('');
  const [strokes, setStrokes] = useState('');
  const drawing = useRef(false);
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const x = Math.min(WIDTH, Math.max(0, ((event.clientX - box.left) / box.width) * WIDTH));
    const y = Math.min(HEIGHT, Math.max(0, ((event.clientY - box.top) / box.height) * HEIGHT));
    return `${x.toFixed(1)} ${y.toFixed(1)}`;
  };
  const sign = () => {
    if (name.trim() === '') {
      session.tell(`${label} has not written a name yet.`);
      return;
    }
    edit(`Signed: ${label}`, (h) => {
      h.signed = h.signed.filter((s) => s.role !== signer);
      h.signed.push({
        id: newId(h.signed, signer),
        role: signer,
        name: name.trim(),
        on: new Date().toISOString().slice(0, 16),
        strokes: strokes.trim(),
        sum,
      });
    });
    setStrokes('');
  };
  if (signed)
    return (
      <div className="sign" data-signed={signer}>
        <b>{label}</b>
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={`Signature of ${signed.name}`}>
          <path className="sign-line" d={signed.strokes.replace(/[^0-9 ML.]/g, '')} />
        </svg>
        <span>
          {signed.name}, {signed.on.replace('T', ' ')}
        </span>
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          onClick={() =>
            edit(`Sign again: ${label}`, (h) => {
              h.signed = h.signed.filter((s) => s.role !== signer);
            })
          }
        >
          Sign again
        </button>
      </div>
    );
  return (
    <div className="sign">
      <b>{label}</b>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="sign-field"
        role="img"
        aria-label={`Field for the signature of ${label.toLowerCase()}`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drawing.current = true;
          const at = point(event);
          setStrokes((s) => (s.length < MOST ? `${s} M ${at}` : s));
        }}
        onPointerMove={(event) => {
          if (!drawing.current) return;
          const at = point(event);
          setStrokes((s) => (s.length < MOST ? `${s} L ${at}` : s));
        }}
        onPointerUp={() => (drawing.current = false)}
        onPointerCancel={() => (drawing.current = false)}
      >
        <line x1={30} x2={WIDTH - 30} y1={160} y2={160} className="sign-base" />
        <path className="sign-line" d={strokes} />
      </svg>
      <input
        className="form-control form-control-sm"
        aria-label={`Name of ${label.toLowerCase()}`}
        placeholder="Name"
        value={name}
        maxLength={120}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && sign()}
      />
      <span className="weigh-actions">
        <button
          type="button"
          className="btn btn-sm btn-outline-secondary"
          disabled={strokes === ''}
          onClick={() => setStrokes('')}
        >
          Clear
        </button>
        <button type="button" className="btn btn-sm btn-primary" onClick={sign}>
          Sign
        </button>
      </span>
    </div>
  );
}
