import { useState } from 'react';
import { Link } from 'react-router';

import { discard, post } from '../api/outbox';
import type { Entry } from '../api/types';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';
import { FileButton, PHOTOS } from '../handover/FileButton';
import { useFiles } from '../handover/useHandover';
import type { Kind } from '../quantity/units';
import { entryKinds } from '../words/handover';
import { blank } from './SeasonsSheet';
import { useSeason } from './useSeason';

const now = () => {
  const at = new Date();
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};

/** A line of the log on the phone: what it is about, the figures, done. It is kept until the server has it. */
export function LogPage() {
  const session = useSession();
  const { job } = useSnapshot();
  const { letters, view } = useSeason();
  const files = useFiles();
  const [entry, setEntry] = useState<Entry>(() => ({ ...blank(), kind: 'fuel', full: true }));
  const [round, setRound] = useState(0);
  const [said, setSaid] = useState('');
  const variant = chosenVariant(job);
  const { kind } = entry;
  const waits = letters.filter((l) => l.refused === undefined);
  const refused = letters.filter((l) => l.refused !== undefined);
  const set = (change: Partial<Entry>) => {
    setSaid('');
    setEntry((e) => ({ ...e, ...change }));
  };
  const figure = (label: string, key: 'km' | 'litres' | 'nights' | 'people' | 'wh', unit: Kind) => (
    <Field label={label}>
      <QuantityField
        label={label}
        value={entry[key]}
        kind={unit}
        system={job.units}
        emptyForZero
        onCommit={(v) => set({ [key]: v })}
      />
    </Field>
  );
  const things =
    kind === 'done'
      ? job.handover.intervals.map((n) => ({ value: n.id, label: n.name }))
      : variant.items.map((i) => ({ value: i.id, label: i.name }));
  const about = !['fuel', 'water', 'nights', 'power'].includes(kind);
  const keep = () => {
    const row: Entry = { ...entry, at: entry.at === '' ? now() : entry.at };
    if (kind !== 'fuel') row.surfaces = [];
    post({ to: 'log', job: job.id, row });
    if (kind === 'done' && row.of !== '')
      session.edit(`Checked: ${things.find((t) => t.value === row.of)?.label ?? ''}`, (j) => {
        for (const n of j.handover.intervals)
          if (n.id === row.of) {
            n.lastOn = row.at.slice(0, 10);
            if (row.km > 0) n.lastKm = row.km;
          }
      });
    setEntry({ ...blank(), kind, full: true, by: row.by });
    setRound((n) => n + 1);
    setSaid(`Kept: ${entryKinds.find((k) => k.value === kind)?.label ?? ''}.`);
  };
  /** What the server refused comes back into the form, as it was typed. */
  const mend = (row: Entry) => {
    discard(row.id);
    setEntry({ ...row, id: blank().id });
    setRound((n) => n + 1);
    setSaid('');
  };
  return (
    <main className="bench-page log-page">
      <header>
        <Link className="btn btn-outline-secondary" to={`/jobs/${job.id}/handover/seasons`}>
          Seasons
        </Link>
        <b>{job.name}</b>
      </header>
      <div className="log-kinds" role="group" aria-label="What it is about">
        {entryKinds.map((k) => (
          <button
            key={k.value}
            type="button"
            className={`btn ${k.value === kind ? 'btn-primary' : 'btn-outline-secondary'}`}
            aria-pressed={k.value === kind}
            onClick={() => set({ kind: k.value, of: '' })}
          >
            <i className={`bi ${k.icon}`} aria-hidden />
            {k.label}
          </button>
        ))}
      </div>
      <div key={round} className="form log-form" role="group" aria-label="Line of the log">
        {(kind === 'fuel' || kind === 'done' || kind === 'water') && figure('On the clock', 'km', 'distance')}
        {(kind === 'fuel' || kind === 'water') && (
          <>
            {figure('Filled in', 'litres', 'volume')}
            <label className="switch-line">
              <input
                type="checkbox"
                className="form-check-input"
                checked={entry.full}
                onChange={(event) => set({ full: event.target.checked })}
              />
              full afterwards
            </label>
          </>
        )}
        {kind === 'fuel' && (
          <>
            <Field label={`Paid${job.brief.currency ? `, ${job.brief.currency}` : ''}`}>
              <QuantityField
                bare
                label="Paid"
                value={entry.cost / 100}
                kind="plain"
                system={job.units}
                emptyForZero
                onCommit={(v) => set({ cost: Math.round(v * 100) })}
              />
            </Field>
            <fieldset className="log-surfaces">
              <legend>Mostly on, since the last fuel</legend>
              <div className="log-kinds">
                {job.brief.surfaces.map((s) => {
                  const chosen = entry.surfaces.some((o) => o.surface === s.id);
                  return (
                    <button
                      key={s.id}
                      type="button"
                      className={`btn btn-sm ${chosen ? 'btn-primary' : 'btn-outline-secondary'}`}
                      aria-pressed={chosen}
                      onClick={() =>
                        set({
                          surfaces: chosen
                            ? entry.surfaces.filter((o) => o.surface !== s.id)
                            : [...entry.surfaces, { surface: s.id, share: 1 }],
                        })
                      }
                    >
                      {s.name}
                    </button>
                  );
                })}
              </div>
            </fieldset>
          </>
        )}
        {kind === 'nights' && figure('Nights', 'nights', 'plain')}
        {(kind === 'nights' || kind === 'water') && figure('People', 'people', 'plain')}
        {kind === 'power' && (
          <>
            {figure('Drawn in a day', 'wh', 'energy')}
            <Field label="State of charge, %">
              <QuantityField
                bare
                label="State of charge, %"
                value={entry.charge * 100}
                kind="plain"
                system={job.units}
                emptyForZero
                onCommit={(v) => set({ charge: Math.min(1, Math.max(0, v / 100)) })}
              />
            </Field>
          </>
        )}
        {about && kind !== 'note' && (
          <Field label="What">
            <SelectField
              label="What it is about"
              value={things.some((t) => t.value === entry.of) ? entry.of : ''}
              options={[{ value: '', label: 'something else' }, ...things]}
              onCommit={(of) => set({ of })}
            />
          </Field>
        )}
        <Field label={about ? 'In a few words' : 'Note'}>
          <TextField label="In a few words" value={entry.text} maxLength={1000} onCommit={(text) => set({ text })} />
        </Field>
        <Field label="When">
          <input
            type="datetime-local"
            className="form-control form-control-sm"
            aria-label="When"
            value={entry.at || now()}
            onChange={(event) => set({ at: event.target.value })}
          />
        </Field>
        <div className="weigh-actions">
          <FileButton
            label={entry.photo === '' ? 'Photo' : 'Photo is kept'}
            accept={PHOTOS}
            onFile={(file) =>
              void files.add(file, `log/${entry.id}`).then((id) => {
                if (id !== undefined) set({ photo: id });
              })
            }
          />
          <button type="button" className="btn btn-primary btn-lg log-keep" onClick={keep}>
            Keep
          </button>
        </div>
        <p role="status" className="log-said">
          {said}
          {waits.length > 0 &&
            ` ${waits.length} ${waits.length === 1 ? 'line waits' : 'lines wait'} for the server; ${waits.length === 1 ? 'it is' : 'they are'} kept here.`}
        </p>
        {refused.map((l) => (
          <p key={l.row.id} className="notice" role="alert">
            Refused: {l.refused}{' '}
            <button type="button" className="btn btn-sm btn-outline-secondary" onClick={() => mend(l.row)}>
              Mend it
            </button>
          </p>
        ))}
      </div>
      {view && view.entries[0] && (
        <p className="hint">
          Last: {entryKinds.find((k) => k.value === view.entries[0]?.kind)?.label} on{' '}
          {view.entries[0].at.replace('T', ' ')}
          {view.entries[0].km > 0 && `, ${view.entries[0].km} km`}
        </p>
      )}
    </main>
  );
}
