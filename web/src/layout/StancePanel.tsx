import { Link } from 'react-router';

import type { Act, Stance } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Field } from '../components/Field';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { chosenVariant, useSession } from '../document/SessionContext';
import { drop, newId } from '../document/things';
import { stanceUses } from '../words/layout';
import { middle } from './parts';
import { StanceOpen } from './StanceOpen';
import { StanceGround, StancePeople } from './StancePlaces';
import { StanceHung, StanceTurned } from './StanceSeats';
import { Tick } from './Tick';
import type { Bench } from './useBench';

/** How the vehicle stands for each purpose, what it takes to get there, and what is shut before driving off. */
export function StancePanel({ bench }: { bench: Bench }) {
  const session = useSession();
  const { job, stance, setStance } = bench;
  const { stances } = chosenVariant(job);
  const chosen = stances.find((s) => s.id === stance);
  const add = () => {
    const id = newId(stances, 'stance');
    session.edit('Add stance', (j) =>
      chosenVariant(j).stances.push({
        id,
        name: 'New stance',
        use: 'other',
        open: [],
        doors: [],
        loose: [],
        folded: [],
        turned: [],
        hung: [],
        sleepers: [],
        people: [],
        off: false,
        ground: [],
      }),
    );
    setStance(id);
  };
  return (
    <div className="form" data-panel="stances">
      <div className="stance-list" role="radiogroup" aria-label="Stance shown">
        {[{ id: '', name: 'On the road' }, ...stances].map((s) => (
          <label key={s.id} className="stance-choice">
            <input type="radio" name="stance" checked={stance === s.id} onChange={() => setStance(s.id)} />
            {s.name}
          </label>
        ))}
        <AddButton label="Add stance" onClick={add} />
      </div>
      <Link
        className="btn btn-sm btn-outline-secondary"
        to={`/jobs/${job.id}/layout/steps${chosen ? `?stance=${chosen.id}` : ''}`}
      >
        Go through the steps
      </Link>
      {chosen ? <OneStance key={chosen.id} stance={chosen} bench={bench} /> : <OnTheRoad bench={bench} />}
    </div>
  );
}

/** Everything that is set in one stance. */
function OneStance({ stance, bench }: { stance: Stance; bench: Bench }) {
  const session = useSession();
  const { job, assessment, all, setStance } = bench;
  const figures = assessment?.handling.stances.find((s) => s.id === stance.id);
  const edit = (label: string, change: (s: Stance) => void, key?: string) =>
    session.edit(
      `${label} in ${stance.name}`,
      (j) => {
        const found = chosenVariant(j).stances.find((s) => s.id === stance.id);
        if (found) change(found);
      },
      key,
    );
  const elsewhere = all.filter((p) => p.item.module && !p.item.in && !stance.loose.some((l) => l.item === p.item.id));
  const nameOf = (id: string) => all.find((p) => p.item.id === id)?.item.name ?? id;
  const listed = <T extends object>(list: T[], has: (t: T) => boolean, make: T, on: boolean) =>
    on ? [...list.filter((t) => !has(t)), make] : list.filter((t) => !has(t));
  return (
    <>
      <Field label="Name">
        <TextField
          label="Name of the stance"
          value={stance.name}
          maxLength={120}
          required
          onCommit={(name) => edit('Name', (s) => (s.name = name), `stance ${stance.id}`)}
        />
      </Field>
      <Field label="For">
        <SelectField
          label="What the stance is for"
          value={stance.use}
          options={stanceUses}
          onCommit={(use) => edit('Use', (s) => (s.use = use))}
        />
      </Field>
      <Acts
        title="From the road"
        acts={figures?.steps ?? []}
        minutes={figures?.minutes ?? 0}
        empty="Nothing to do: it stands as on the road."
      />
      <StanceOpen bench={bench} stance={stance} edit={edit} />
      <fieldset>
        <legend>Lies elsewhere</legend>
        {stance.loose.map((l) => (
          <div key={l.item} className="loose-line">
            <span>{nameOf(l.item)}</span>
            <Tick
              label="Outside"
              name={`${nameOf(l.item)} outside`}
              on={l.outside}
              set={(on) =>
                edit(`Place of ${nameOf(l.item)}`, (s) =>
                  s.loose
                    .filter((x) => x.item === l.item)
                    .forEach((x) => {
                      x.outside = on;
                      const part = all.find((p) => p.item.id === l.item);
                      if (!on && part) x.at = middle(part.box);
                    }),
                )
              }
            />
            <RemoveButton
              label={`${nameOf(l.item)} stays where it is`}
              onClick={() =>
                edit(`Leave ${nameOf(l.item)}`, (s) => (s.loose = s.loose.filter((x) => x.item !== l.item)))
              }
            />
          </div>
        ))}
        <p className="hint">What is not outside is dragged to its place on the bench while this stance is shown.</p>
        <select
          className="form-select form-select-sm"
          aria-label="Put a part elsewhere in this stance"
          value=""
          onChange={(event) => {
            const id = event.target.value;
            edit(`Put ${nameOf(id)} outside`, (s) =>
              s.loose.push({ item: id, outside: true, at: { x: 0, y: 0, z: 0 } }),
            );
          }}
        >
          <option value="">Put a part elsewhere</option>
          {elsewhere.map(({ item }) => (
            <option key={item.id} value={item.id}>
              {item.name}
            </option>
          ))}
        </select>
      </fieldset>
      <fieldset>
        <legend>Seats folded</legend>
        {job.vehicle.seats
          .filter((seat) => !seat.driver)
          .map((seat) => (
            <Tick
              key={seat.id}
              label={seat.name}
              name={`${seat.name} folded`}
              on={stance.folded.some((f) => f.seat === seat.id)}
              set={(on) =>
                edit(
                  `Fold ${seat.name}`,
                  (s) => (s.folded = listed(s.folded, (f) => f.seat === seat.id, { seat: seat.id }, on)),
                )
              }
            />
          ))}
      </fieldset>
      <StanceTurned bench={bench} stance={stance} edit={edit} />
      {job.vehicle.carrier && (
        <Tick
          label={`${job.vehicle.carrier.name} stands off the vehicle, on its legs`}
          name="It stands off the vehicle"
          on={stance.off}
          set={(off) => edit('What comes off', (s) => (s.off = off))}
        />
      )}
      <StancePeople bench={bench} stance={stance} edit={edit} />
      <StanceGround bench={bench} stance={stance} edit={edit} />
      {stance.use === 'sleep' && (
        <fieldset>
          <legend>Sleep inside</legend>
          {job.brief.travellers
            .filter((t) => t.kind === 'person')
            .map((t) => (
              <Tick
                key={t.id}
                label={t.name}
                name={`${t.name} sleeps inside`}
                on={stance.sleepers.some((x) => x.traveller === t.id)}
                set={(on) =>
                  edit(
                    `Bed of ${t.name}`,
                    (s) => (s.sleepers = listed(s.sleepers, (x) => x.traveller === t.id, { traveller: t.id }, on)),
                  )
                }
              />
            ))}
          {job.brief.travellers.length === 0 && (
            <p className="hint">Say in the brief who travels, then who sleeps here.</p>
          )}
        </fieldset>
      )}
      {stance.use === 'sleep' && <StanceHung bench={bench} stance={stance} edit={edit} />}
      <button
        type="button"
        className="btn btn-sm btn-outline-secondary"
        onClick={() => {
          session.edit(`Remove stance ${stance.name}`, (j) => drop(chosenVariant(j).stances, stance.id));
          setStance('');
        }}
      >
        Remove this stance
      </button>
    </>
  );
}

function OnTheRoad({ bench }: { bench: Bench }) {
  const handling = bench.assessment?.handling;
  return (
    <>
      <p className="hint">
        Shut and loaded. A stance says what is open and what lies where for one purpose: cooking, sleeping, the school
        run. Every rule holds in each of them.
      </p>
      <Acts title="Before driving off" acts={handling?.driveAway ?? []} empty="No stance opens anything yet." />
      <fieldset>
        <legend>To get at what is used daily</legend>
        {handling?.gets.length === 0 && <p className="hint">The brief lists nothing that is used daily and aboard.</p>}
        <ul className="gets">
          {handling?.gets.map((get) => (
            <li key={get.id} data-get={get.id}>
              <button type="button" className="link" onClick={() => bench.setSelected([get.id])}>
                {get.name}
              </button>
              <b className="figure">{get.steps.length}</b> {get.steps.length === 1 ? 'step' : 'steps'}
              {get.steps.length > 0 && <small className="hint">{get.steps.map((s) => s.text).join(', ')}</small>}
            </li>
          ))}
        </ul>
      </fieldset>
    </>
  );
}

/** Things to do, in their order. */
function Acts({ title, acts, minutes, empty }: { title: string; acts: Act[]; minutes?: number; empty: string }) {
  return (
    <fieldset className="acts">
      <legend>
        {title}
        {minutes !== undefined && acts.length > 0 && (
          <small className="figure">
            {acts.length} {acts.length === 1 ? 'step' : 'steps'}, about {Math.max(1, Math.round(minutes))} min
          </small>
        )}
      </legend>
      {acts.length === 0 ? (
        <p className="hint">{empty}</p>
      ) : (
        <ol>
          {acts.map((act, i) => (
            <li key={i} data-act={act.kind}>
              {act.text}
            </li>
          ))}
        </ol>
      )}
    </fieldset>
  );
}
