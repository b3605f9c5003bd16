import { useSession } from '../document/SessionContext';
import { removeItem } from '../load/itemEdits';
import { align, distribute, duplicate, mirror, turn } from './partEdits';
import { partIn } from './parts';
import { TakeAlong } from './TakeAlong';
import type { Seeing } from './useSeeing';
import type { Axis } from './snap';
import type { Bench } from './useBench';
import { zoom } from './window';

interface Props {
  bench: Bench;
  seeing: Seeing;
  taping: boolean;
  onTape: () => void;
  onSweep: () => void;
}

const aligns: { axis: Axis; to: 'low' | 'middle' | 'high'; label: string }[] = [
  { axis: 'x', to: 'low', label: 'Front faces' },
  { axis: 'x', to: 'high', label: 'Rear faces' },
  { axis: 'y', to: 'low', label: 'Left faces' },
  { axis: 'y', to: 'middle', label: 'Middles across' },
  { axis: 'y', to: 'high', label: 'Right faces' },
  { axis: 'z', to: 'low', label: 'Undersides' },
  { axis: 'z', to: 'high', label: 'Tops' },
];

/** What can be done with the parts that are chosen, and with the view. */
export function Toolbar({ bench, seeing, taping, onTape, onSweep }: Props) {
  const session = useSession();
  const { all, selected, setSelected, open, setOpen, hidden, setHidden, sight, setSight } = bench;
  const chosen = all.filter((p) => selected.includes(p.item.id));
  const what = chosen.length === 1 ? (chosen[0]?.item.name ?? '') : `${chosen.length} parts`;
  const none = chosen.length === 0;
  const opens = all.filter((p) => (p.figures?.leaves.length ?? 0) > 0).map((p) => p.item.id);
  const chosenOpen = selected.filter((id) => opens.includes(id));
  const allOpen = (ids: string[]) => ids.length > 0 && ids.every((id) => open.includes(id));
  const button = (label: string, icon: string, act: () => void, disabled = false, pressed?: boolean) => (
    <button
      type="button"
      className="icon-button"
      aria-label={label}
      title={label}
      disabled={disabled}
      aria-pressed={pressed}
      onClick={act}
    >
      <i className={`bi ${icon}`} aria-hidden />
    </button>
  );
  const toggle = (ids: string[]) =>
    setOpen(allOpen(ids) ? open.filter((id) => !ids.includes(id)) : [...new Set([...open, ...ids])]);
  const locked = chosen.length > 0 && chosen.every((p) => p.item.locked);
  return (
    <div className="toolbar" role="toolbar" aria-label="Bench">
      {button(
        allOpen(chosenOpen) ? `Close ${what}` : `Open ${what}`,
        'bi-box-arrow-right',
        () => toggle(chosenOpen),
        chosenOpen.length === 0,
        allOpen(chosenOpen),
      )}
      {button(
        allOpen(opens) ? 'Close everything' : 'Open everything',
        'bi-boxes',
        () => toggle(opens),
        opens.length === 0,
        allOpen(opens),
      )}
      {button('Play the sweep', 'bi-play', onSweep, open.length === 0)}
      <span className="tool-gap" />
      {button(
        `Duplicate ${what}`,
        'bi-copy',
        () => {
          let ids: string[] = [];
          session.edit(`Duplicate ${what}`, (j) => (ids = duplicate(j, selected)));
          setSelected(ids);
        },
        none,
      )}
      {button(
        `Mirror ${what}`,
        'bi-symmetry-horizontal',
        () => session.edit(`Mirror ${what}`, (j) => mirror(j, selected)),
        none,
      )}
      {button(
        `Turn ${what}`,
        'bi-arrow-90deg-right',
        () => session.edit(`Turn ${what}`, (j) => turn(j, selected)),
        none,
      )}
      {button(
        locked ? `Unlock ${what}` : `Lock ${what}`,
        locked ? 'bi-lock-fill' : 'bi-unlock',
        () =>
          session.edit(`${locked ? 'Unlock' : 'Lock'} ${what}`, (j) =>
            selected.forEach((id) => {
              const item = partIn(j, id);
              if (item) item.locked = !locked;
            }),
          ),
        none,
        locked,
      )}
      {button(
        `Hide ${what}`,
        'bi-eye-slash',
        () => {
          setHidden([...hidden, ...selected]);
          setSelected([]);
        },
        none,
      )}
      {hidden.length > 0 && (
        <button type="button" className="chip" onClick={() => setHidden([])}>
          Show {hidden.length} hidden
        </button>
      )}
      {button(
        `Remove ${what}`,
        'bi-x-lg',
        () => session.edit(`Remove ${what}`, (j) => selected.forEach((id) => removeItem(j, id))),
        none,
      )}
      <span className="tool-gap" />
      <select
        className="form-select form-select-sm"
        aria-label="Align to the part chosen last"
        value=""
        disabled={chosen.length < 2}
        onChange={(event) => {
          const [axis, to] = event.target.value.split(' ') as [Axis, 'low' | 'middle' | 'high'];
          session.edit(`Align ${what}`, (j) => align(j, selected, axis, to));
        }}
      >
        <option value="">Align</option>
        {aligns.map((a) => (
          <option key={a.label} value={`${a.axis} ${a.to}`}>
            {a.label}
          </option>
        ))}
      </select>
      <select
        className="form-select form-select-sm"
        aria-label="Same gaps between the parts chosen"
        value=""
        disabled={chosen.length < 3}
        onChange={(event) =>
          session.edit(`Same gaps between ${what}`, (j) => distribute(j, selected, event.target.value as Axis))
        }
      >
        <option value="">Gaps</option>
        <option value="x">Along</option>
        <option value="y">Across</option>
        <option value="z">Upward</option>
      </select>
      <span className="tool-gap" />
      {button(taping ? 'Put the tape away' : 'Measure between two faces', 'bi-rulers', onTape, false, taping)}
      <TakeAlong bench={bench} seeing={seeing} />
      {button('Nearer', 'bi-zoom-in', () => sight && setSight(zoom(sight, 1.3)))}
      {button('Farther', 'bi-zoom-out', () => sight && setSight(zoom(sight, 1 / 1.3)))}
      {button('All spaces in sight', 'bi-arrows-fullscreen', bench.fit)}
    </div>
  );
}
