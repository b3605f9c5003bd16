import type { Job, LoadFigures } from '../api/types';
import { Panel } from '../components/Panel';
import { chosenVariant, useSession } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';

const WIDTH = 760;
const HEIGHT = 210;
const LEFT = 64;
const BOTTOM = 34;

/** The axles from everything full to everything empty, in the order in which it is used up. */
export function UseUpCurve({ figures, job }: { figures: LoadFigures; job: Job }) {
  const session = useSession();
  const { curve, turns, columns } = figures;
  const variant = chosenVariant(job);
  const levels = [
    ...job.vehicle.tanks.map((t) => ({ id: t.id, name: t.name })),
    ...variant.items
      .filter((i) => i.presence.kind === 'level' && i.module?.kind !== 'waste-tank')
      .map((i) => ({ id: i.id, name: i.name })),
  ];
  const named = variant.usedUp.map((u) => u.of).filter((id) => levels.some((l) => l.id === id));
  const order = [...named, ...levels.map((l) => l.id).filter((id) => !named.includes(id))];
  const move = (at: number, by: number) => {
    const next = [...order];
    const [id] = next.splice(at, 1);
    if (id !== undefined) next.splice(at + by, 0, id);
    session.edit('Order of use', (j) => (chosenVariant(j).usedUp = next.map((of) => ({ of }))));
  };
  const limitOf = (id: string) => columns.find((c) => c.id === id)?.limit ?? 0;
  const all = curve
    .flatMap((p) => [p.front, p.rear])
    .concat([limitOf('front'), limitOf('rear')].filter((kg) => kg > 0));
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const y = (kg: number) => HEIGHT - BOTTOM - ((kg - low) / Math.max(1, high - low)) * (HEIGHT - BOTTOM - 14);
  const x = (i: number) => LEFT + (i / Math.max(1, curve.length - 1)) * (WIDTH - LEFT - 90);
  const path = (of: (p: (typeof curve)[number]) => number) =>
    curve.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)} ${y(of(p)).toFixed(1)}`).join('');
  const say = (kg: number) => formatQuantity(kg, 'mass', job.units);
  const last = curve.length - 1;
  return (
    <Panel
      title="As it is used up"
      note="From everything full to everything empty; waste water gains what the fresh loses"
    >
      {curve.length < 2 ? (
        <p className="empty">No tank or vessel is listed, so nothing is used up.</p>
      ) : (
        <div className="use-up">
          <svg
            className="scene curve"
            viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
            role="img"
            aria-label="Axle loads from full to empty"
          >
            {(['front', 'rear'] as const).map(
              (id) =>
                limitOf(id) > 0 && (
                  <g key={id}>
                    <path className="curve-limit" d={`M${LEFT} ${y(limitOf(id))}H${WIDTH - 90}`} />
                    <text x={LEFT - 4} y={y(limitOf(id)) + 4} textAnchor="end">
                      {say(limitOf(id))}
                    </text>
                  </g>
                ),
            )}
            <path className="curve-front" d={path((p) => p.front)} />
            <path className="curve-rear" d={path((p) => p.rear)} />
            <text x={x(last) + 6} y={y(curve[last]?.front ?? 0) + 4}>
              Front {say(curve[last]?.front ?? 0)}
            </text>
            <text x={x(last) + 6} y={y(curve[last]?.rear ?? 0) + 4}>
              Rear {say(curve[last]?.rear ?? 0)}
            </text>
            {turns.map((turn) => {
              const at = Math.floor(turn.at);
              const [from, to] = [curve[at], curve[at + 1]];
              if (!from || !to) return null;
              return (
                <circle
                  key={turn.text}
                  className={`curve-turn curve-turn-${turn.axle}`}
                  cx={x(turn.at)}
                  cy={y(from[turn.axle] + (turn.at - at) * (to[turn.axle] - from[turn.axle]))}
                  r={5}
                >
                  <title>{turn.text}</title>
                </circle>
              );
            })}
            {curve.map((p, i) =>
              i > 0 && p.of !== curve[i - 1]?.of ? (
                <g key={i}>
                  <path className="curve-step" d={`M${x(i - 1)} 8V${HEIGHT - BOTTOM}`} />
                  <text x={x(i - 1) + 3} y={HEIGHT - 14}>
                    {p.of}
                  </text>
                </g>
              ) : null,
            )}
          </svg>
          <div>
            {turns.length === 0 ? (
              <p className="hint">No limit is passed on the way, and the front stays heavy enough.</p>
            ) : (
              <ul className="turns-list">
                {turns.map((t) => (
                  <li key={t.text} data-turn-point>
                    {t.text}
                  </li>
                ))}
              </ul>
            )}
            <h3>Used up in this order</h3>
            <ol className="aims">
              {order.map((id, at) => {
                const name = levels.find((l) => l.id === id)?.name ?? id;
                return (
                  <li key={id}>
                    <span>{name}</span>
                    <button
                      type="button"
                      className="icon-button"
                      aria-label={`${name} is used earlier`}
                      disabled={at === 0}
                      onClick={() => move(at, -1)}
                    >
                      <i className="bi bi-arrow-up" aria-hidden />
                    </button>
                    <button
                      type="button"
                      className="icon-button"
                      aria-label={`${name} is used later`}
                      disabled={at === order.length - 1}
                      onClick={() => move(at, 1)}
                    >
                      <i className="bi bi-arrow-down" aria-hidden />
                    </button>
                  </li>
                );
              })}
            </ol>
          </div>
        </div>
      )}
    </Panel>
  );
}
