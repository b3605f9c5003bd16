import { Panel } from '../components/Panel';
import { TextField } from '../components/TextField';
import { SignField } from './SignField';
import { useHandover } from './useHandover';

/** The walk-round with the customer, point by point, which both sign. */
export function WalkSheet() {
  const { view, handover, edit, line, text } = useHandover();
  if (!view) return null;
  const places = [...new Set(view.walk.map((w) => w.where))];
  const set = (point: string, label: string, change: (w: { point: string; done: boolean; note: string }) => void) =>
    edit(
      label,
      (h) => {
        let own = h.walk.find((w) => w.point === point);
        if (!own) {
          own = { point, done: false, note: '' };
          h.walk.push(own);
        }
        change(own);
      },
      `${label} ${point}`,
    );
  const open = view.walk.filter((w) => !w.done).length;
  return (
    <>
      {places.map((where) => (
        <Panel key={where} title={where} className="wide">
          <ul className="walk-list">
            {view.walk
              .filter((w) => w.where === where)
              .map((w) => (
                <li key={w.id} data-walk={w.id} className={w.done ? 'is-done' : ''}>
                  <label htmlFor={`walk-${w.id}`}>
                    <input
                      id={`walk-${w.id}`}
                      type="checkbox"
                      className="form-check-input"
                      aria-label={w.title}
                      checked={w.done}
                      onChange={(event) => set(w.id, `Shown: ${w.title}`, (x) => (x.done = event.target.checked))}
                    />
                    <span>
                      <b>{w.title}</b>
                      <small>{w.show}</small>
                    </span>
                  </label>
                  <TextField
                    label={`Note to ${w.title}`}
                    placeholder="Note"
                    value={w.note}
                    maxLength={1000}
                    onCommit={(t) => set(w.id, `Note to ${w.title}`, (x) => (x.note = t))}
                  />
                </li>
              ))}
          </ul>
        </Panel>
      ))}
      <Panel
        title="Signed"
        className="wide"
        note={open > 0 ? `${open} points are not gone through yet` : 'Everything was gone through'}
      >
        <div className="sign-both">
          <SignField signer="workshop" label="The workshop" sum={view.sum} />
          <SignField signer="customer" label="The customer" sum={view.sum} />
        </div>
        <div className="form">
          <div className="field">
            <span className="field-label">Handed over on</span>
            <div className="field-control">
              {text('Day of the handover', handover.delivered, (h, t) => (h.delivered = t), 10)}
              <small className="hint">as 2026-03-30; empty while it stays here</small>
            </div>
          </div>
          {line('On the clock', handover.km, 'distance', (h, v) => (h.km = v), undefined, true)}
        </div>
      </Panel>
    </>
  );
}
