import { useState } from 'react';
import { Link } from 'react-router';

import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { download } from '../document/download';
import { useSession } from '../document/SessionContext';
import { formatNumber } from '../quantity/format';
import { DayStrip } from './DayStrip';
import { DecisionsCard } from './DecisionsCard';
import { MakersCard } from './MakersCard';
import { PaceCard } from './PaceCard';
import { useBuild } from './useBuild';
import { useSteps } from './useSteps';

/** The steps in their order, as a strip of days and as a list. */
export function OrderSheet() {
  const { view, job, build, edit } = useBuild();
  const session = useSession();
  const steps = useSteps();
  const [who, setWho] = useState('');
  const [open, setOpen] = useState('');
  if (!view) return null;
  const shown = view.steps.filter((s) => who === '' || s.day === 0 || s.makers.includes(who));
  const days = [...new Set(shown.map((s) => s.day))];
  return (
    <>
      <Panel
        title="Order of work"
        className="wide"
        note={`${formatNumber(view.hours, 'plain', job.units)} h in ${view.days} ${view.days === 1 ? 'day' : 'days'}, an estimate`}
        actions={
          <>
            <label className="start-day">
              Begins
              <input
                type="date"
                className="form-control form-control-sm"
                aria-label="Day on which the build begins"
                value={build.start}
                onChange={(event) => edit('Begin', (b) => (b.start = event.target.value))}
              />
            </label>
            <SelectField
              label="Whose steps"
              value={who}
              options={[
                { value: '', label: 'Everybody' },
                ...build.makers.map((m) => ({ value: m.name, label: m.name })),
              ]}
              onCommit={setWho}
            />
            <Link className="btn btn-sm btn-primary" to={`/jobs/${job.id}/build/bench`}>
              One step at a time
            </Link>
            <button
              type="button"
              className="btn btn-sm btn-outline-secondary"
              onClick={() =>
                void download(
                  session,
                  `/api/jobs/${job.id}/steps.pdf${who === '' ? '' : `?who=${encodeURIComponent(who)}`}`,
                )
              }
            >
              PDF
            </button>
          </>
        }
      >
        {view.ring.length > 0 && (
          <div className="trouble" role="alert">
            <p>These wait for each other, so none of them can begin:</p>
            <ul>
              {view.ring.map((r) => (
                <li key={r}>{r}</li>
              ))}
            </ul>
          </div>
        )}
        {view.steps.length === 0 && view.ring.length === 0 ? (
          <p className="empty">Nothing is built yet. Place parts on the bench, and their steps appear here.</p>
        ) : (
          <DayStrip steps={shown.filter((s) => s.day > 0)} day={build.shop.day} days={view.days} />
        )}
        {days.map((day) => (
          <section key={day} className="day" aria-label={day > 0 ? `Day ${day}` : 'Without a day'}>
            <h3>
              {day > 0 ? `Day ${day}` : 'Without a day'}
              <small className="figure">
                {day > 0 ? shown.find((s) => s.day === day)?.date : 'they hang on what runs in a ring'}
              </small>
            </h3>
            <ol className="steps">
              {shown
                .filter((s) => s.day === day)
                .map((s) => (
                  <li key={s.id} data-step={s.id} className={steps.noted(s).done ? 'is-done' : ''}>
                    <input
                      type="checkbox"
                      className="form-check-input"
                      aria-label={`Done: ${s.title}`}
                      checked={steps.noted(s).done}
                      onChange={(event) => steps.tick(s, event.target.checked)}
                    />
                    <button
                      type="button"
                      className="link"
                      aria-expanded={open === s.id}
                      onClick={() => setOpen(open === s.id ? '' : s.id)}
                    >
                      {s.title}
                    </button>
                    <span className="hint figure">
                      {formatNumber(s.minutes, 'plain', job.units)} min
                      {s.people > 1 && `, ${s.people} people`}
                      {s.makers.length > 0 && `, ${s.makers.join(' and ')}`}
                      {s.wait > 0 && `, then ${formatNumber(s.wait, 'plain', job.units)} h: ${s.why}`}
                    </span>
                    {steps.noted(s).trouble !== '' && <span className="step-trouble">{steps.noted(s).trouble}</span>}
                    {s.caution !== '' && (
                      <span className="step-caution">
                        <i className="bi bi-exclamation-triangle" aria-hidden="true" /> {s.caution}
                      </span>
                    )}
                    {open === s.id && (
                      <dl className="step-more">
                        {(
                          [
                            ['Parts', s.parts.join(' ')],
                            ['Takes', s.takes.join('; ')],
                            ['Tools', s.tools],
                            ['After', s.after.join('; ')],
                          ] as const
                        )
                          .filter(([, text]) => text !== '')
                          .map(([name, text]) => (
                            <div key={name}>
                              <dt>{name}</dt>
                              <dd>{text}</dd>
                            </div>
                          ))}
                      </dl>
                    )}
                  </li>
                ))}
            </ol>
          </section>
        ))}
      </Panel>
      <DecisionsCard />
      <MakersCard />
      <PaceCard />
    </>
  );
}
