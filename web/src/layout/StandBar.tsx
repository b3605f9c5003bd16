import { useSnapshot } from '../document/SessionContext';
import { standBefore } from '../scene/projection';
import type { Bench } from './useBench';
import type { Arrangement, Seeing } from './useSeeing';

const arrangements: { value: Arrangement; label: string; says: string }[] = [
  { value: 'three', label: 'Three', says: 'Three views' },
  { value: 'left', label: 'Left', says: 'Stand on the left' },
  { value: 'right', label: 'Right', says: 'Stand on the right' },
  { value: 'behind', label: 'Behind', says: 'Stand behind' },
  { value: 'ahead', label: 'Ahead', says: 'Stand ahead' },
  { value: 'above', label: 'Above', says: 'Look from above' },
  { value: 'round', label: 'Round', says: 'Walk round it' },
];

/** Where one stands, what is in focus, and what is shown of it. */
export function StandBar({ bench, seeing }: { bench: Bench; seeing: Seeing }) {
  const { job } = useSnapshot();
  const { arrangement, setArrangement, focus, setFocus, only, setOnly, gear, setGear, person, setPerson } = seeing;
  const bays = job.vehicle.bays;
  const chosen = bench.all.find((p) => p.item.id === bench.selected.at(-1) && p.item.module)?.item;
  const focused = bays.find((b) => b.id === focus) ?? bench.all.find((p) => p.item.id === focus)?.item;
  const people = job.brief.travellers.filter((t) => t.height > 0);
  /** Steps before the open side of a space, with nothing else in sight. */
  const stepBefore = (id: string) => {
    const bay = bays.find((b) => b.id === id);
    setFocus(id);
    setOnly(true);
    if (bay) setArrangement(standBefore(bay.opening.face));
  };
  return (
    <div className="toolbar stand-bar" role="toolbar" aria-label="Where one stands">
      <div className="segments" role="group" aria-label="Views">
        {arrangements.map((a) => (
          <button
            key={a.value}
            type="button"
            aria-pressed={arrangement === a.value}
            aria-label={a.says}
            title={a.says}
            onClick={() => setArrangement(a.value)}
          >
            {a.label}
          </button>
        ))}
      </div>
      <span className="tool-gap" />
      <select
        className="form-select form-select-sm"
        aria-label="Stand before a space"
        value=""
        onChange={(event) => stepBefore(event.target.value)}
      >
        <option value="">Into …</option>
        {bays.map((b) => (
          <option key={b.id} value={b.id}>
            {b.name}
          </option>
        ))}
      </select>
      <select
        className="form-select form-select-sm"
        aria-label="In focus"
        value={focused ? focus : ''}
        onChange={(event) => setFocus(event.target.value)}
      >
        <option value="">Focus: all</option>
        {chosen && chosen.id !== focus && <option value={chosen.id}>{chosen.name}</option>}
        {focused && !bays.some((b) => b.id === focus) && <option value={focus}>{focused.name}</option>}
        {bays.map((b) => (
          <option key={b.id} value={b.id}>
            {b.name}
          </option>
        ))}
      </select>
      <button type="button" className="chip" aria-pressed={only} disabled={focus === ''} onClick={() => setOnly(!only)}>
        Alone
      </button>
      <button type="button" className="chip" aria-pressed={gear} onClick={() => setGear(!gear)}>
        Gear
      </button>
      {people.length > 0 && (
        <select
          className="form-select form-select-sm"
          aria-label="Who stands before it"
          value={person}
          onChange={(event) => setPerson(event.target.value)}
        >
          <option value="">Nobody there</option>
          {people.map((t) => (
            <option key={t.id} value={t.id}>
              {t.name}
            </option>
          ))}
        </select>
      )}
    </div>
  );
}
