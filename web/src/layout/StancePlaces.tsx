import type { GroundThing, Placed, Stance } from '../api/types';
import { AddButton, RemoveButton } from '../components/ListButtons';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { drop, newId, on } from '../document/things';
import { does, groundKinds } from '../words/layout';
import type { Bench } from './useBench';

interface Props {
  bench: Bench;
  stance: Stance;
  edit: (label: string, change: (s: Stance) => void, key?: string) => void;
}

/** Three fields of a place: rearward of the job's datum, right of the centre line, above the ground. */
function PlaceFields({
  bench,
  name,
  at,
  set,
}: {
  bench: Bench;
  name: string;
  at: Placed['at'];
  set: (key: 'x' | 'y' | 'z', value: number) => void;
}) {
  const { job, assessment } = bench;
  const origin = assessment?.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const field = (key: 'x' | 'y' | 'z', label: string, hint: string) => (
    <Field label={label} hint={hint}>
      <QuantityField
        label={`${label} of ${name}`}
        value={key === 'x' ? at.x - origin : at[key]}
        kind="length"
        system={job.units}
        onCommit={(v) => set(key, key === 'x' ? v + origin : v)}
      />
    </Field>
  );
  return (
    <>
      {field('x', 'Station', 'Rearward')}
      {field('y', 'Side', 'Right; left is negative')}
      {field('z', 'Height', 'What it stands on')}
    </>
  );
}

/** Who stands, sits, dresses, passes or works where in a stance. */
export function StancePeople({ bench, stance, edit }: Props) {
  const { job, all } = bench;
  const people = job.brief.travellers.filter((t) => t.kind === 'person');
  const free = people.filter((t) => !stance.people.some((p) => p.traveller === t.id));
  const tops = all.filter((p) => p.item.module && !p.item.in);
  const nameOf = (id: string) => people.find((t) => t.id === id)?.name ?? id;
  const { outline } = job.vehicle;
  return (
    <fieldset data-people>
      <legend>People in it</legend>
      {stance.people.map((p) => {
        const name = nameOf(p.traveller);
        const one = (label: string, change: (x: Placed) => void) =>
          edit(`${label} of ${name}`, (s) => s.people.filter((x) => x.traveller === p.traveller).forEach(change));
        return (
          <div key={p.traveller} className="placed" data-thing={p.traveller}>
            <div className="loose-line">
              <span>{name}</span>
              <SelectField
                label={`What ${name} does`}
                value={p.does}
                options={does}
                onCommit={(v) => one('What is done', (x) => (x.does = v))}
              />
              <RemoveButton
                label={`Take ${name} out of the stance`}
                onClick={() =>
                  edit(`Take ${name} out`, (s) => (s.people = s.people.filter((x) => x.traveller !== p.traveller)))
                }
              />
            </div>
            {p.does === 'works' && (
              <Field label="At">
                <SelectField
                  label={`What ${name} works at`}
                  value={p.on}
                  options={[
                    { value: '', label: 'Nothing yet' },
                    ...tops.map(({ item }) => ({ value: item.id, label: item.name })),
                  ]}
                  onCommit={(v) => one('Worktop', (x) => (x.on = v))}
                />
              </Field>
            )}
            <PlaceFields bench={bench} name={name} at={p.at} set={(key, v) => one('Place', (x) => (x.at[key] = v))} />
          </div>
        );
      })}
      {people.length === 0 && <p className="hint">Say in the brief who travels.</p>}
      {free.map((t) => (
        <AddButton
          key={t.id}
          label={`Place ${t.name}`}
          onClick={() =>
            edit(`Place ${t.name}`, (s) =>
              s.people.push({
                traveller: t.id,
                does: 'stands',
                at: { x: job.vehicle.wheelbase, y: -(outline.width || 1900) / 2 - 600, z: 0 },
                on: '',
              }),
            )
          }
        />
      ))}
    </fieldset>
  );
}

/** What stands on the ground around the vehicle in a stance. */
export function StanceGround({ bench, stance, edit }: Props) {
  const { job } = bench;
  const add = () =>
    edit('Add a thing on the ground', (s) =>
      s.ground.push({
        id: newId(s.ground, 'ground'),
        name: 'New thing',
        kind: 'table',
        at: { x: job.vehicle.wheelbase, y: -(job.vehicle.outline.width || 1900) / 2 - 1000, z: 0 },
        size: { length: 800, width: 600, height: 720 },
      }),
    );
  return (
    <fieldset data-ground>
      <legend>On the ground around it</legend>
      {stance.ground.map((g) => {
        const one = (label: string, change: (x: GroundThing) => void, key?: string) =>
          edit(`${label} of ${g.name}`, (s) => on(s.ground, g.id, change), key);
        const side = (key: 'length' | 'width' | 'height', label: string) => (
          <Field label={label}>
            <QuantityField
              label={`${label} of ${g.name}`}
              value={g.size[key]}
              kind="length"
              system={job.units}
              onCommit={(v) => one(label, (x) => (x.size[key] = v))}
            />
          </Field>
        );
        return (
          <div key={g.id} className="placed" data-thing={g.id}>
            <div className="loose-line">
              <TextField
                label={`Name of ${g.name}`}
                value={g.name}
                maxLength={120}
                required
                onCommit={(name) => one('Name', (x) => (x.name = name), `ground ${g.id}`)}
              />
              <SelectField
                label={`Kind of ${g.name}`}
                value={g.kind}
                options={groundKinds}
                onCommit={(kind) => one('Kind', (x) => (x.kind = kind))}
              />
              <RemoveButton
                label={`Remove ${g.name}`}
                onClick={() => edit(`Remove ${g.name}`, (s) => drop(s.ground, g.id))}
              />
            </div>
            {side('length', 'Own length')}
            {side('width', 'Own width')}
            {side('height', 'Own height')}
            <PlaceFields bench={bench} name={g.name} at={g.at} set={(key, v) => one('Place', (x) => (x.at[key] = v))} />
          </div>
        );
      })}
      {stance.ground.length === 0 && (
        <p className="hint">Awning, tent, table, ladder, fire: what opens must not meet them.</p>
      )}
      <AddButton label="Add a thing on the ground" onClick={add} />
    </fieldset>
  );
}
