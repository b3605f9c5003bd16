import type { BuildStep, StepDone } from '../api/types';
import { chosenVariant, useSession } from '../document/SessionContext';

/** What is noted of steps: ticks, minutes, a mass, a trouble. */
export function useSteps() {
  const session = useSession();
  const note = (step: BuildStep, label: string, change: (done: StepDone) => void) =>
    session.edit(
      `${label}: ${step.title}`,
      (j) => {
        const list = chosenVariant(j).done;
        let own = list.find((d) => d.step === step.id);
        if (!own) {
          own = { step: step.id, done: false, on: '', by: '', minutes: 0, kg: 0, trouble: '' };
          list.push(own);
        }
        change(own);
      },
      `${label} ${step.id}`,
    );
  return {
    note,
    tick: (step: BuildStep, done: boolean, minutes?: number) =>
      note(step, done ? 'Done' : 'Not done', (d) => {
        d.done = done;
        d.on = done ? new Date().toISOString().slice(0, 16) : '';
        if (minutes !== undefined) d.minutes = minutes;
      }),
  };
}
