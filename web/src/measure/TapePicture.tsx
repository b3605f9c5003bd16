import type { Bay, Step } from '../api/types';

/** Three schematic views of any bay; they show where the tape goes, not how large the bay is. */
type Base = 'plan' | 'side' | 'door';
type Line = [x1: number, y1: number, x2: number, y2: number];

const tapes: Record<string, { base: Base; line: Line }> = {
  tiltAlong: { base: 'side', line: [130, 174, 290, 174] },
  tiltAcross: { base: 'door', line: [160, 184, 280, 184] },
  levelled: { base: 'side', line: [60, 180, 370, 180] },
  lengthLeft: { base: 'plan', line: [60, 190, 380, 190] },
  lengthRight: { base: 'plan', line: [60, 50, 380, 50] },
  lengthTop: { base: 'side', line: [60, 62, 338, 62] },
  widthFront: { base: 'plan', line: [72, 40, 72, 200] },
  widthRear: { base: 'plan', line: [368, 40, 368, 200] },
  betweenArches: { base: 'plan', line: [245, 74, 245, 166] },
  diagonalLeft: { base: 'plan', line: [60, 200, 380, 40] },
  diagonalRight: { base: 'plan', line: [60, 40, 380, 200] },
  heightFront: { base: 'side', line: [72, 180, 72, 50] },
  heightRear: { base: 'side', line: [332, 180, 332, 50] },
  floor: { base: 'side', line: [260, 226, 260, 180] },
  openingwidth: { base: 'door', line: [136, 110, 304, 110] },
  openingheight: { base: 'door', line: [220, 176, 220, 56] },
  openingsill: { base: 'side', line: [358, 180, 358, 164] },
  archFront: { base: 'plan', line: [60, 183, 200, 183] },
  archLength: { base: 'plan', line: [200, 183, 290, 183] },
  archWidth: { base: 'plan', line: [245, 200, 245, 166] },
  archHeight: { base: 'door', line: [131, 190, 131, 146] },
};

/** Where the tape goes for one measure. */
export function TapePicture({ step, bay }: { step: Step; bay: Bay }) {
  const tape = tapes[step.picture] ?? { base: 'plan' as const, line: [60, 120, 380, 120] as Line };
  const obstacle = bay.obstacles.find((o) => o.id === step.path[1]);
  const line = obstacle?.side === 'right' ? mirrored(tape.base, tape.line) : tape.line;
  return (
    <svg className="tape-picture" viewBox="0 0 440 240" role="img" aria-label={`${step.title}: ${step.how}`}>
      {tape.base === 'plan' && <Plan arches={bay.obstacles.length > 0} />}
      {tape.base === 'side' && <Side />}
      {tape.base === 'door' && <Door arches={bay.obstacles.length > 0} />}
      <Tape line={line} level={step.kind === 'angle'} />
    </svg>
  );
}

/** The same line on the other side of the vehicle. */
function mirrored(base: Base, [x1, y1, x2, y2]: Line): Line {
  if (base === 'plan') return [x1, 240 - y1, x2, 240 - y2];
  return base === 'door' ? [440 - x1, y1, 440 - x2, y2] : [x1, y1, x2, y2];
}

function Tape({ line: [x1, y1, x2, y2], level }: { line: Line; level: boolean }) {
  return (
    <g className={level ? 'tape tape-level' : 'tape'}>
      <path className="tape-edge" d={`M${x1} ${y1}L${x2} ${y2}`} />
      <path className="tape-body" d={`M${x1} ${y1}L${x2} ${y2}`} />
      {level ? (
        <circle className="tape-bubble" cx={(x1 + x2) / 2} cy={(y1 + y2) / 2} r={4} />
      ) : (
        <path className="tape-ticks" d={`M${x1} ${y1}L${x2} ${y2}`} />
      )}
    </g>
  );
}

/** From above, front to the left. */
function Plan({ arches }: { arches: boolean }) {
  return (
    <g>
      <path className="shell" d="M60 40H380V200H60Z" />
      {arches && <path className="bay-obstacle" d="M200 40h90v34h-90zM200 166h90v34h-90z" />}
      <text x={220} y={30} textAnchor="middle">
        right
      </text>
      <text x={220} y={222} textAnchor="middle">
        left
      </text>
      <text x={30} y={124} textAnchor="middle">
        front
      </text>
      <text x={410} y={124} textAnchor="middle">
        rear
      </text>
    </g>
  );
}

/** From the left, front to the left, with a hatch that leans in and a lip. */
function Side() {
  return (
    <g>
      <path className="shell" d="M60 50H336L370 164V180H60Z" />
      <path className="bay-obstacle" d="M352 164h18v16h-18z" />
      <path className="ground" d="M20 226H420" />
      <circle className="tyre" cx={200} cy={204} r={21} />
      <path className="floor" d="M60 180H370" />
      <text x={30} y={124} textAnchor="middle">
        front
      </text>
      <text x={404} y={124} textAnchor="middle">
        rear
      </text>
    </g>
  );
}

/** From behind, through the opening. */
function Door({ arches }: { arches: boolean }) {
  return (
    <g>
      <path className="shell" d="M110 40H330V190H110Z" />
      {arches && <path className="bay-obstacle" d="M110 146h42v44h-42zM288 146h42v44h-42z" />}
      <path className="bay-door" d="M136 56H304V176H136Z" />
      <path className="ground" d="M20 226H420" />
      <text x={84} y={124} textAnchor="middle">
        left
      </text>
      <text x={358} y={124} textAnchor="middle">
        right
      </text>
    </g>
  );
}
