import { Panel } from '../components/Panel';
import { counted } from '../words/words';
import { useBuild } from './useBuild';

/** The profiles on their bars, and the slot nuts that must be in before a slot is closed. */
export function BarsCard() {
  const { view, build, fine, unit } = useBuild();
  if (!view) return null;
  const closed = view.rods.filter((r) => r.butts && r.nuts.length > 0);
  return (
    <Panel title="Profiles" className="wide" note={counted(view.rods.length, 'length')}>
      {view.bars.map((g) => (
        <section key={g.name} className="cut-group" aria-label={g.name}>
          <h3>
            {g.name}
            <small className="figure">
              {counted(g.bars.length, 'bar')}; {g.proven ? 'fewer are not possible' : `at least ${g.bound}`}
            </small>
          </h3>
          {g.left.length > 0 && (
            <p className="trouble" role="alert">
              Longer than a bar: {g.left.map((r) => view.rods[r]?.mark).join(', ')}.
            </p>
          )}
          <ol className="bars">
            {g.bars.map((on, k) => (
              <li key={k} aria-label={`Bar ${k + 1}`}>
                {on.map((r) => {
                  const rod = view.rods[r];
                  return (
                    rod && (
                      <span
                        key={rod.mark}
                        style={{ width: `${(100 * rod.length) / g.length}%` }}
                        title={`${rod.mark} ${rod.name}, ${fine(rod.length)} ${unit('length')}`}
                      >
                        <b>{rod.mark}</b> <span className="figure">{fine(rod.length)}</span>
                      </span>
                    )
                  );
                })}
              </li>
            ))}
          </ol>
        </section>
      ))}
      {closed.length > 0 && !build.shop.swingIn && (
        <section className="cut-group" aria-label="Slot nuts">
          <h3>Slot nuts that go in before the slot is closed</h3>
          <ul className="nuts">
            {closed.map((r) => (
              <li key={r.mark} data-rod={r.mark}>
                <b>{r.mark}</b> {r.of}, {r.name}: {r.nuts.map((n) => `${n.count} for ${n.for}`).join('; ')}
              </li>
            ))}
          </ul>
        </section>
      )}
    </Panel>
  );
}
