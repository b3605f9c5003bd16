import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';

import { answer, api, Refused } from '../api/client';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { BringIn } from './BringIn';
import { CoursePicture } from './CoursePicture';
import { moment, percent, usePower } from './usePower';

const zoneWords = { bench: 'on the bench', bed: 'in the bed', ground: 'on the ground', inside: 'inside' };

const nights = (n: number) => (n < 0 ? 'no end' : String(Math.round(n * 10) / 10));

/** The course of the days in one picture, and the figures that people ask for. */
export function CourseCard() {
  const { job, electrics, power, say } = usePower();
  const [shown, setShown] = useState('');
  const { data: course, error } = useQuery({
    queryKey: ['power-course', job],
    queryFn: ({ signal }) => answer(api.POST('/api/power/course', { body: job, signal })),
    placeholderData: keepPreviousData,
  });
  const usual = electrics.systems.find((s) => s.kind === 'house') ?? electrics.systems[0];
  const system = course?.systems.find((s) => s.id === shown) ?? course?.systems.find((s) => s.id === usual?.id);
  const figures = power?.systems.find((s) => s.id === system?.id);
  return (
    <Panel
      title="Days"
      className="wide"
      note={
        power ? `${power.nights} nights, ${say(power.low, 'temperature')} to ${say(power.high, 'temperature')}` : ''
      }
      actions={
        <>
          {(course?.systems.length ?? 0) > 1 && (
            <SelectField
              label="Battery shown"
              value={system?.id ?? ''}
              options={(course?.systems ?? []).map((s) => ({ value: s.id, label: s.name }))}
              onCommit={setShown}
            />
          )}
          <BringIn />
        </>
      }
    >
      {error ? (
        <p className="empty" role="alert">
          {error instanceof Refused ? error.message : 'The server does not answer; the days appear when it does.'}
        </p>
      ) : electrics.systems.length === 0 ? (
        <p className="empty">
          No battery is planned yet. Press <b>Bring in what has a plug</b> to take what the layout and the brief have,
          or choose a battery below.
        </p>
      ) : !course || !system || !figures ? (
        <p className="empty" aria-busy="true">
          Counting…
        </p>
      ) : (
        <>
          <CoursePicture course={course} system={system} />
          <ul className="big-figures" aria-label={`Figures of ${system.name}`}>
            <li>
              <b className="figure">{nights(system.dark)}</b> nights without sun
              <small>driven as planned; {nights(system.parked)} parked</small>
            </li>
            <li>
              <b className="figure">{figures.hours < 0 ? 'no end' : say(figures.hours, 'time')}</b> at this draw
              <small>
                {say(figures.used, 'charge')} a day out of {say(figures.usable, 'charge')} usable
              </small>
            </li>
            <li>
              <b className="figure">{figures.toFull < 0 ? 'never' : say(figures.toFull, 'time')}</b> of driving to full
              <small>from its lowest; {say(figures.offered, 'charge')} a day come in</small>
            </li>
            <li data-lowest>
              <b className="figure">{percent(figures.lowest)}</b> at the lowest
              <small>
                {figures.outAt >= 0
                  ? `empty on ${moment(course.begin, figures.outAt)}`
                  : `on ${moment(course.begin, figures.lowestAt)}; ${percent(system.clouded)} if overcast`}
              </small>
            </li>
          </ul>
          {((power?.lights.length ?? 0) > 0 || (power?.engine ?? -1) >= 0) && (
            <p className="hint light-line">
              {power?.lights.map((z) => (
                <span key={z.zone} data-zone={z.zone}>
                  Light {zoneWords[z.zone]}: {Math.round(z.lux)} lx of {z.wanted}
                  {z.lux < z.wanted ? `, ${z.needed} such lamps would do. ` : '. '}
                </span>
              ))}
              {power &&
                power.engine >= 0 &&
                `With the alternator dead the engine runs ${say(power.engine, 'time')} on its battery.`}
            </p>
          )}
          {system.sentences.length > 0 && (
            <ul className="turns-list">
              {system.sentences.map((s) => (
                <li key={s}>{s}</li>
              ))}
            </ul>
          )}
        </>
      )}
    </Panel>
  );
}
