import type { Bay, Finding, Step } from '../api/types';
import { Scroll } from '../components/Scroll';
import { useSnapshot } from '../document/SessionContext';
import { measureAt } from './path';
import { shownMeasure } from './shownMeasure';

interface Props {
  steps: Step[];
  bay: Bay;
  at: number;
  doubts: Finding[];
  onGo: (to: number) => void;
}

/** All measures in their order, with what was read so far. */
export function StepList({ steps, bay, at, doubts, onGo }: Props) {
  const { job } = useSnapshot();
  return (
    <Scroll label="Measures in their order">
      <ol className="steps">
        {steps.map((step, i) => {
          const value = measureAt(bay, step.path);
          const again = doubts.some((f) => f.severity !== 'note' && f.subject.measure === step.path.join('/'));
          return (
            <li key={step.path.join('/')}>
              {step.group !== steps[i - 1]?.group && <h3>{step.group}</h3>}
              <button
                type="button"
                className={`step ${again ? 'step-again' : ''}`}
                aria-current={i === at ? 'step' : undefined}
                data-step={step.path.join('/')}
                onClick={() => onGo(i)}
              >
                <span>{step.title}</span>
                <span className="figure">
                  {again ? 'again: ' : ''}
                  {shownMeasure(step, value, job.units)}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </Scroll>
  );
}
