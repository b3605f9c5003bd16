import { useEffect, useState } from 'react';
import Offcanvas from 'react-bootstrap/Offcanvas';

const keys: [string, string][] = [
  ['?', 'Show or hide these keys'],
  ['Ctrl+Z', 'Undo'],
  ['Ctrl+Shift+Z', 'Redo'],
  ['Tab', 'Next control; into the scene and out of it'],
  [', and .', 'In the scene: item before, item after, along the vehicle'],
  ['← →', 'In the scene: move the item 10 mm; 100 with Shift, 1 with Alt'],
  ['↑ ↓', 'In the scene: raise or lower the item likewise'],
  ['Ctrl and drag', 'On the bench: into the drawer or box under the hand'],
  ['Shift and drag', 'On the bench: frame several parts; Shift and press adds one'],
  ['Delete', 'On the bench: remove what is chosen; undo brings it back'],
  ['Ctrl+A', 'On the bench: choose everything'],
  ['← →', 'On hours of power: begin or end ten minutes earlier or later; one with Alt, an hour with Shift'],
  [
    '← →',
    'On the depth of a view, or on its cut in another one: cut 10 mm deeper or less; the cut goes 100 with Shift',
  ],
  ['Arrows', 'In the round: turn; with Shift push, + and − come nearer and go back, . and , choose a part'],
  ['Double click', 'On hours of power: add an hour there'],
  ['Enter', 'Make what was typed; on the measuring sheet, go on to the next measure'],
  ['Esc', 'Put back what was typed; let go of what is dragged'],
];

/** The keys of this screen, on ?. */
export function Keys() {
  const [shown, setShown] = useState(false);
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (event.key === '?' && !typing) setShown((s) => !s);
    };
    document.addEventListener('keydown', onKeyDown);
    return () => document.removeEventListener('keydown', onKeyDown);
  }, []);
  return (
    <>
      <button
        type="button"
        className="icon-button keys-button"
        aria-label="Keys of this screen"
        title="Keys of this screen (?)"
        onClick={() => setShown(true)}
      >
        ?
      </button>
      <Offcanvas show={shown} onHide={() => setShown(false)} placement="end" aria-labelledby="keys-title">
        <Offcanvas.Header closeButton>
          <Offcanvas.Title id="keys-title">Keys of this screen</Offcanvas.Title>
        </Offcanvas.Header>
        <Offcanvas.Body tabIndex={0} role="region" aria-labelledby="keys-title">
          <dl className="keys">
            {keys.map(([key, what]) => (
              <div key={key}>
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <p className="hint">Every field takes units and sums: 42in, 1.2 m, 30 gal, 640-2*12.</p>
        </Offcanvas.Body>
      </Offcanvas>
    </>
  );
}
