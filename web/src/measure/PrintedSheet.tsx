import type { Bay, Step } from '../api/types';
import { useSnapshot } from '../document/SessionContext';
import { measureAt } from './path';
import { shownMeasure } from './shownMeasure';
import { TapePicture } from './TapePicture';

/** The measuring sheet on paper, to be filled in with a pencil. */
export function PrintedSheet({ steps, bay }: { steps: Step[]; bay: Bay }) {
  const { job } = useSnapshot();
  return (
    <section className="printed-sheet" aria-hidden>
      <header>
        <h2>
          {bay.name}, {job.vehicle.name}
        </h2>
        <p>
          {job.name}. Measured by ____________________ on ______________. All in{' '}
          {job.units === 'us' ? 'inches' : 'millimetres'}.
        </p>
      </header>
      <ol>
        {steps.map((step) => {
          const shown = shownMeasure(step, measureAt(bay, step.path), job.units);
          return (
            <li key={step.path.join('/')}>
              <TapePicture step={step} bay={bay} />
              <div>
                <b>{step.title}</b>
                <span>{step.how}</span>
              </div>
              <span className="blank figure">{shown === '–' ? '' : shown}</span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
