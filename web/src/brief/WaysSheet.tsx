import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import type { School, Units, Way } from '../api/types';
import { TextField } from '../components/TextField';
import { formatQuantity } from '../quantity/format';
import { useBriefEdit } from './useBriefEdit';

/** The judgement calls on which good people differ, each weighed for this brief. */
export function WaysSheet() {
  const { job } = useBriefEdit();
  const [open, setOpen] = useState<'all' | 'undecided'>('all');
  const { data, error } = useQuery({
    // The load plays in through what the payload leaves; where things stand does not.
    queryKey: ['schools', job.id, job.brief, job.vehicle, job.units, job.region],
    queryFn: () => answer(api.POST('/api/schools', { body: job })),
    placeholderData: keepPreviousData,
  });
  if (error)
    return (
      <p className="empty wide" role="alert">
        {error instanceof Refused ? error.message : 'The server does not answer; the ways appear when it does.'}
      </p>
    );
  if (!data)
    return (
      <p className="empty wide" aria-busy="true">
        Weighing the ways…
      </p>
    );
  const decided = data.filter((s) => s.choice !== '').length;
  const shown = data.filter((s) => open === 'all' || s.choice === '');
  return (
    <section className="sheet wide ways" aria-label="Ways of doing it">
      <header className="sheet-head">
        <h2>Ways of doing it</h2>
        <span className="hint">
          {decided} of {data.length} decided. Good people differ; the case is made for this brief.
        </span>
        <div className="sheet-actions" role="group" aria-label="Which to show">
          {(['all', 'undecided'] as const).map((which) => (
            <button
              key={which}
              type="button"
              className="chip"
              aria-pressed={open === which}
              onClick={() => setOpen(which)}
            >
              {which === 'all' ? 'All' : 'Undecided'}
            </button>
          ))}
        </div>
      </header>
      {shown.length === 0 && <p className="empty">Everything is decided.</p>}
      {shown.map((school) => (
        <OneSchool key={school.id} school={school} units={job.units} />
      ))}
    </section>
  );
}

function OneSchool({ school, units }: { school: School; units: Units }) {
  const { brief, edit } = useBriefEdit();
  const choice = brief.choices.find((c) => c.school === school.id);
  const choose = (way: string) =>
    edit(`${school.title} decided`, (b) => {
      const own = b.choices.find((c) => c.school === school.id);
      if (way === '') b.choices = b.choices.filter((c) => c.school !== school.id);
      else if (own) own.choice = way;
      else b.choices.push({ school: school.id, choice: way, why: '' });
    });
  const recommended = school.ways.find((w) => w.id === school.recommended);
  return (
    <article className="school" data-school={school.id} aria-label={school.title}>
      <h3>
        {school.title} <span className="hint">{school.question}</span>
      </h3>
      <div className="school-ways" role="radiogroup" aria-label={`${school.title}: decision`}>
        {school.ways.map((way) => (
          <OneWay
            key={way.id}
            way={way}
            units={units}
            school={school}
            chosen={choice?.choice === way.id}
            onChoose={() => choose(way.id)}
          />
        ))}
      </div>
      <p className="school-foot">
        <span>
          <i className="bi bi-signpost-2" aria-hidden /> For this brief: <b>{recommended?.label}</b>. {school.reason}
        </span>
        <label className="switch-line">
          <input
            type="radio"
            name={school.id}
            className="form-check-input"
            checked={!choice}
            onChange={() => choose('')}
          />
          Undecided
        </label>
      </p>
      {choice && (
        <TextField
          label={`Why ${school.title}`}
          placeholder="Why, in your words"
          value={choice.why}
          maxLength={1000}
          onCommit={(why) =>
            edit(
              `Why ${school.title}`,
              (b) => b.choices.filter((c) => c.school === school.id).forEach((c) => (c.why = why)),
              `why ${school.id}`,
            )
          }
        />
      )}
    </article>
  );
}

function OneWay({
  way,
  units,
  school,
  chosen,
  onChoose,
}: {
  way: Way;
  units: Units;
  school: School;
  chosen: boolean;
  onChoose: () => void;
}) {
  return (
    <div className={`way ${chosen ? 'way-chosen' : ''}`} data-way={way.id}>
      <label className="way-label">
        <input type="radio" name={school.id} className="form-check-input" checked={chosen} onChange={onChoose} />
        <b>{way.label}</b>
        {way.id === school.recommended && <span className="way-mark">recommended</span>}
      </label>
      <ul className="way-numbers">
        {way.numbers.map((n) => (
          <li key={n.label}>
            {n.label}{' '}
            <span className="figure">
              {n.kind === 'price'
                ? `${n.value} of 4`
                : n.kind === 'percent'
                  ? `${Math.round(n.value)}\u202f%`
                  : formatQuantity(n.value, n.kind, units)}
            </span>
          </li>
        ))}
      </ul>
      <ul className="way-case">
        {way.for.map((a) => (
          <li key={a.text} className="way-for">
            <span className="visually-hidden">For: </span>
            {a.text}
          </li>
        ))}
        {way.against.map((a) => (
          <li key={a.text} className="way-against">
            <span className="visually-hidden">Against: </span>
            {a.text}
          </li>
        ))}
      </ul>
    </div>
  );
}
