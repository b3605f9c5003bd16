import type { BuildStep, StepDone } from '../api/types';
import { chosenVariant, useSession, useSnapshot } from '../document/SessionContext';

const nothing = (step: BuildStep): StepDone => ({
  step: step.id,
  done: false,
  on: '',
  by: '',
  minutes: 0,
  kg: 0,
  trouble: '',
});

/** What is noted of steps: ticks, minutes, a mass, a trouble. */
export function useSteps() {
  const session = useSession();
  const { job } = useSnapshot();
  const note = (step: BuildStep, label: string, change: (done: StepDone) => void) =>
    session.edit(
      `${label}: ${step.title}`,
      (j) => {
        const list = chosenVariant(j).done;
        let own = list.find((d) => d.step === step.id);
        if (!own) {
          own = nothing(step);
          list.push(own);
        }
        change(own);
      },
      `${label} ${step.id}`,
    );
  return {
    note,
    /** What is noted of a step by now, also before the server has heard of it. */
    noted: (step: BuildStep): StepDone => chosenVariant(job).done.find((d) => d.step === step.id) ?? nothing(step),
    tick: (step: BuildStep, done: boolean, minutes?: number) =>
      note(step, done ? 'Done' : 'Not done', (d) => {
        d.done = done;
        d.on = done ? new Date().toISOString().slice(0, 16) : '';
        if (minutes !== undefined) d.minutes = minutes;
      }),
  };
}
