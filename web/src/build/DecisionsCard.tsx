import { AddButton, RemoveButton } from '../components/ListButtons';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { drop, newId, on } from '../document/things';
import { useBuild } from './useBuild';

/** What is still open, who answers it, and what waits for it; and what the workshop wants done before what. */
export function DecisionsCard() {
  const { build, view, edit } = useBuild();
  const parts = [{ value: '', label: 'nothing' }, ...(view?.parts.map((p) => ({ value: p.id, label: p.name })) ?? [])];
  const steps = view?.steps.map((s) => ({ value: s.id, label: s.title })) ?? [];
  const known = (id: string) => (steps.some((s) => s.value === id) ? steps : [...steps, { value: id, label: id }]);
  return (
    <>
      <Panel
        title="Open decisions"
        className="wide"
        actions={
          <AddButton
            label="Add question"
            onClick={() =>
              edit('Add question', (b) =>
                b.decisions.push({
                  id: newId(b.decisions, 'question'),
                  question: 'New question',
                  who: '',
                  until: '',
                  before: '',
                  answer: '',
                }),
              )
            }
          />
        }
      >
        {build.decisions.length === 0 && (
          <p className="empty">
            Nothing is open. Add what the customer has still to decide, and the part that waits for it.
          </p>
        )}
        <ul className="decisions">
          {build.decisions.map((d) => (
            <li key={d.id} data-thing={d.id} className={d.answer === '' ? '' : 'is-done'}>
              <TextField
                label="Question"
                value={d.question}
                maxLength={400}
                required
                onCommit={(v) =>
                  edit('Question', (b) => on(b.decisions, d.id, (x) => (x.question = v)), `question ${d.id}`)
                }
              />
              <TextField
                label={`Who answers: ${d.question}`}
                placeholder="who"
                value={d.who}
                maxLength={120}
                onCommit={(v) => edit('Who answers', (b) => on(b.decisions, d.id, (x) => (x.who = v)), `who ${d.id}`)}
              />
              <input
                type="date"
                className="form-control form-control-sm"
                aria-label={`Until when: ${d.question}`}
                value={d.until}
                onChange={(event) =>
                  edit('Until when', (b) => on(b.decisions, d.id, (x) => (x.until = event.target.value)))
                }
              />
              <span className="with-word">
                before
                <SelectField
                  label={`What waits for: ${d.question}`}
                  value={d.before}
                  options={parts}
                  onCommit={(v) => edit('What waits', (b) => on(b.decisions, d.id, (x) => (x.before = v)))}
                />
              </span>
              <TextField
                label={`Answer: ${d.question}`}
                placeholder="answer"
                value={d.answer}
                maxLength={400}
                onCommit={(v) => edit('Answer', (b) => on(b.decisions, d.id, (x) => (x.answer = v)), `answer ${d.id}`)}
              />
              <RemoveButton
                label={`Remove question: ${d.question}`}
                onClick={() => edit('Remove question', (b) => drop(b.decisions, d.id))}
              />
            </li>
          ))}
        </ul>
      </Panel>
      <Panel
        title="Reasons of the workshop"
        className="wide"
        note="Beside those that follow from the build"
        actions={
          <AddButton
            label="Add reason"
            onClick={() =>
              edit('Add reason', (b) =>
                b.reasons.push({
                  id: newId(b.reasons, 'reason'),
                  first: steps[0]?.value ?? '',
                  then: steps[1]?.value ?? '',
                  why: '',
                }),
              )
            }
          />
        }
      >
        {build.reasons.length === 0 && (
          <p className="empty">None. Add one where the workshop wants a step done before another.</p>
        )}
        <ul className="decisions">
          {build.reasons.map((r) => (
            <li key={r.id} data-thing={r.id}>
              <SelectField
                label="This step first"
                value={r.first}
                options={known(r.first)}
                onCommit={(v) => edit('A reason', (b) => on(b.reasons, r.id, (x) => (x.first = v)))}
              />
              <span className="with-word">
                before
                <SelectField
                  label="Then this step"
                  value={r.then}
                  options={known(r.then)}
                  onCommit={(v) => edit('A reason', (b) => on(b.reasons, r.id, (x) => (x.then = v)))}
                />
              </span>
              <TextField
                label="Why"
                placeholder="why"
                value={r.why}
                maxLength={400}
                onCommit={(v) => edit('A reason', (b) => on(b.reasons, r.id, (x) => (x.why = v)), `why ${r.id}`)}
              />
              <RemoveButton label="Remove reason" onClick={() => edit('Remove reason', (b) => drop(b.reasons, r.id))} />
            </li>
          ))}
        </ul>
      </Panel>
    </>
  );
}
