import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import type { Item, Module } from '../api/types';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { drop, newId } from '../document/things';
import { useSession } from '../document/SessionContext';
import { formatQuantity } from '../quantity/format';
import type { Kind } from '../quantity/units';
import { locks, openings, runners, stacks, substances, walls, works } from '../words/layout';
import { massSources } from '../words/words';
import { CellList } from './CellList';
import { HandlingFields } from './HandlingFields';
import { HoldFields } from './HoldFields';
import { MarkButton } from '../training/MarkButton';
import { partIn, type Part } from './parts';
import type { Bench } from './useBench';
import { useBenchEdit } from './useBenchEdit';

/** Everything about the part that was chosen last. */
export function PartPanel({ bench }: { bench: Bench }) {
  const part = bench.all.find((p) => p.item.id === bench.selected.at(-1));
  if (!part) return <p className="empty">Choose a part in one of the views, or add one from the catalogue.</p>;
  return <OnePart key={part.item.id} part={part} bench={bench} />;
}

function OnePart({ part, bench }: { part: Part; bench: Bench }) {
  const session = useSession();
  const { item, figures } = part;
  const { job, assessment } = bench;
  const [trouble, setTrouble] = useState('');
  const derive = useBenchEdit(setTrouble);
  const client = useQueryClient();
  const [kept, setKept] = useState(false);
  /** Makes the part a component of the workshop's own; the core takes off what ties it to this job. */
  const keep = async () => {
    try {
      await answer(
        api.PUT('/api/components/{id}', {
          params: { path: { id: item.id } },
          body: { id: item.id, why: 'Kept from a job', own: true, item },
        }),
      );
      setKept(true);
      setTrouble('');
      await client.invalidateQueries({ queryKey: ['components'] });
    } catch (error) {
      setTrouble(error instanceof Refused ? error.message : 'The server does not answer; the part was not kept.');
    }
  };
  const edit = (label: string, change: (item: Item) => void, key?: string) =>
    session.edit(
      `${label} of ${item.name}`,
      (j) => {
        const target = partIn(j, item.id);
        if (target) change(target);
      },
      key,
    );
  const editModule = (label: string, change: (m: Module) => void) => edit(label, (i) => i.module && change(i.module));
  const quantity = (
    label: string,
    value: number,
    kind: Kind,
    set: (value: number) => void,
    hint?: string,
    disabled = false,
  ) => (
    <Field label={label} {...(hint ? { hint } : {})}>
      <QuantityField
        label={`${label} of ${item.name}`}
        value={value}
        kind={kind}
        system={job.units}
        onCommit={set}
        disabled={disabled}
      />
    </Field>
  );
  const m = item.module;
  const bay = assessment?.bays.find((b) => b.id === item.bay);
  const origin = assessment?.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const built = m !== undefined && m.wall !== 'none';
  const byMaterial = built && item.source === 'material';
  const size = (label: string, key: keyof Item['size']) =>
    quantity(label, item.size[key], 'length', (v) =>
      m && !item.in
        ? void derive('resize', `${label} of ${item.name}`, item.id, (now) => ({ ...now, [key]: v }))
        : edit(label, (i) => (i.size[key] = v)),
    );
  // A place is told by its near face, as it is measured: from the front of its space, or from the datum.
  const face = (axis: 'x' | 'y' | 'z', label: string) => {
    const zero = bay ? bay.room.from[axis] : axis === 'x' ? origin : 0;
    return quantity(
      label,
      part.box.from[axis] - zero,
      'length',
      (v) => edit(label, (i) => (i.at[axis] = i.at[axis] + v + zero - part.box.from[axis])),
      undefined,
      !!item.in,
    );
  };
  return (
    <div className="form" data-panel="part">
      <MarkButton item={item} />
      <Field label="Name">
        <TextField
          label="Name of the part"
          value={item.name}
          maxLength={120}
          required
          onCommit={(text) => edit('Name', (i) => (i.name = text), `name ${item.id}`)}
        />
      </Field>
      {trouble !== '' && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      <fieldset>
        <legend>
          {bay
            ? `From the corner of ${job.vehicle.bays.find((b) => b.id === bay.id)?.name ?? 'its space'}`
            : 'Where it stands'}
        </legend>
        {face('x', bay ? 'Behind its front' : 'Front face')}
        {face('y', bay ? 'From its left' : 'Left face')}
        {face('z', bay ? 'Above its floor' : 'Underside')}
      </fieldset>
      <fieldset>
        <legend>Outside</legend>
        {size('Length', 'length')}
        {size('Width', 'width')}
        {size('Height', 'height')}
        {built && !item.in && (
          <button
            type="button"
            className="btn btn-sm btn-outline-primary"
            onClick={() => void derive('fill', `Fill what is left with ${item.name}`, item.id)}
          >
            Fill what is left of its space
          </button>
        )}
      </fieldset>
      <fieldset>
        <legend>Mass</legend>
        {byMaterial ? (
          <p className="hint">
            <b className="figure" data-figure="built-mass">
              {formatQuantity(figures?.mass ?? 0, 'mass', job.units)}
            </b>{' '}
            by its panels, runners and lining, an estimate until it is weighed.
          </p>
        ) : (
          quantity('Mass', item.mass, 'mass', (v) => edit('Mass', (i) => (i.mass = v)))
        )}
        <Field label="Mass from">
          <SelectField
            label="Mass from"
            value={item.source}
            options={massSources}
            onCommit={(source) => edit('Source', (i) => (i.source = source))}
          />
        </Field>
        <Field label="Fitted">
          <SelectField
            label="Fitted"
            value={item.work}
            options={works}
            onCommit={(work) => edit('Who fits', (i) => (i.work = work))}
          />
        </Field>
      </fieldset>
      {m && (
        <fieldset>
          <legend>How it is built and opens</legend>
          <Field label="Opens">
            <SelectField
              label="Opens"
              value={m.faces}
              options={openings}
              onCommit={(faces) => editModule('Opening', (x) => (x.faces = faces))}
            />
          </Field>
          <Field label="Holds">
            <SelectField
              label={`What ${item.name} holds`}
              value={item.substance}
              options={substances}
              onCommit={(substance) => edit(`What ${item.name} holds`, (i) => (i.substance = substance))}
            />
          </Field>
          <Field label="Built of">
            <SelectField
              label="Built of"
              value={m.wall}
              options={walls}
              onCommit={(wall) => editModule('Material', (x) => (x.wall = wall))}
            />
          </Field>
          {built && quantity('Panels', m.panel, 'length', (v) => editModule('Panels', (x) => (x.panel = v)))}
          {m.wall === 'extrusion' &&
            quantity(
              'Profile',
              m.profile,
              'length',
              (v) => editModule('Profile', (x) => (x.profile = v)),
              '0: the usual width',
            )}
          {built && quantity('Lining', m.lining, 'length', (v) => editModule('Lining', (x) => (x.lining = v)))}
          {m.cells.length > 0 && built && (
            <Field label="Runs on">
              <SelectField
                label="Runs on"
                value={m.runner}
                options={runners}
                onCommit={(runner) => editModule('Runners', (x) => (x.runner = runner))}
              />
            </Field>
          )}
          {m.runner !== 'none' && (
            <Field label="Locks">
              <SelectField
                label="Locks"
                value={m.lock}
                options={locks}
                onCommit={(lock) => editModule('Lock', (x) => (x.lock = lock))}
              />
            </Field>
          )}
          {quantity(
            'Comes out by',
            m.travel,
            'length',
            (v) => editModule('Travel', (x) => (x.travel = v)),
            '0: as far as it is deep',
          )}
          {quantity('Comes down by', m.drop, 'length', (v) => editModule('Drop', (x) => (x.drop = v)))}
          {m.kind === 'fridge-slide' &&
            quantity(
              'Tips by',
              m.tilt,
              'plain',
              (v) => editModule('Tilt', (x) => (x.tilt = v)),
              '° toward its face, when it is out',
            )}
          {m.kind === 'platform' &&
            quantity(
              'Piece that unfolds',
              m.unfolds,
              'length',
              (v) => editModule('Unfolding piece', (x) => (x.unfolds = v)),
              'over the edge that it faces; 0: none',
            )}
          {m.cells.length > 1 && (
            <Field label="Compartments">
              <SelectField
                label="Compartments"
                value={m.stack}
                options={stacks}
                onCommit={(stack) => editModule('Compartments', (x) => (x.stack = stack))}
              />
            </Field>
          )}
        </fieldset>
      )}
      {m && !item.in && (
        <HoldFields
          item={item}
          module={m}
          job={job}
          opens={(figures?.leaves.length ?? 0) > 0}
          hand={figures?.hand ?? []}
          onEdit={(label, change) => editModule(label, change)}
        />
      )}
      {m && (
        <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => void keep()}>
          {kept ? 'Kept in the catalogue' : 'Keep in the catalogue'}
        </button>
      )}
      {m && m.cells.length > 0 && (
        <CellList
          part={part}
          bench={bench}
          onRename={(id, name) =>
            editModule('Compartment', (x) => x.cells.filter((c) => c.id === id).forEach((c) => (c.name = name)))
          }
          onShare={(id, share) =>
            editModule('Share', (x) => x.cells.filter((c) => c.id === id).forEach((c) => (c.share = share)))
          }
          onWalls={(id, n) =>
            editModule('Partitions', (x) => x.cells.filter((c) => c.id === id).forEach((c) => (c.walls = n)))
          }
          onCover={(id, cover) =>
            editModule('Cover', (x) => x.cells.filter((c) => c.id === id).forEach((c) => (c.cover = cover)))
          }
          onAdd={() =>
            editModule('Add compartment', (x) =>
              x.cells.push({
                id: newId(x.cells, 'cell'),
                name: `Drawer ${x.cells.length + 1}`,
                share: 1,
                walls: 0,
                cover: false,
              }),
            )
          }
          onRemove={(id) =>
            session.edit(`Remove compartment of ${item.name}`, (j) => {
              const target = partIn(j, item.id);
              if (!target?.module) return;
              drop(target.module.cells, id);
              for (const lying of bench.all) {
                const loose = partIn(j, lying.item.id);
                if (loose?.in?.module === item.id && loose.in.cell === id) {
                  loose.at = { ...target.at };
                  delete loose.in;
                }
              }
            })
          }
        />
      )}
      <HandlingFields item={item} edit={edit} />
      {!m?.cells.length && (
        <fieldset>
          <legend>Lies in</legend>
          <SelectField
            label="Lies in"
            value={item.in ? `${item.in.module}/${item.in.cell}` : ''}
            options={[
              { value: '', label: 'Stands free' },
              ...bench.all.flatMap((p) =>
                (p.item.module?.cells ?? []).map((c) => ({
                  value: `${p.item.id}/${c.id}`,
                  label: `${p.item.name}: ${c.name}`,
                })),
              ),
            ]}
            onCommit={(value) =>
              edit('Place', (i) => {
                const [module = '', cell = ''] = value.split('/');
                i.at = {
                  ...i.at,
                  x: (part.box.from.x + part.box.to.x) / 2,
                  y: (part.box.from.y + part.box.to.y) / 2,
                  z: (part.box.from.z + part.box.to.z) / 2,
                };
                if (value === '') delete i.in;
                else i.in = { module, cell };
              })
            }
          />
          {!item.in && (
            <button
              type="button"
              className="btn btn-sm btn-outline-primary"
              onClick={() => void derive('put-away', `Put ${item.name} away`, item.id)}
            >
              Put away where it fits
            </button>
          )}
        </fieldset>
      )}
    </div>
  );
}
