import type { HandoverTest } from '../api/types';
import { Panel } from '../components/Panel';
import { QuantityField } from '../components/QuantityField';
import { TextField } from '../components/TextField';
import { chosenVariant } from '../document/SessionContext';
import { formatNumber } from '../quantity/format';
import { FileButton, PHOTOS } from './FileButton';
import { useFiles, useHandover } from './useHandover';

const groups = [
  ['motion', 'What is fixed, slides and shuts'],
  ['water', 'Water, fuel and air'],
  ['gas', 'Gas and fire'],
  ['power', 'Power'],
  ['vehicle', 'The vehicle, loaded and driven'],
] as const;

const states = { open: 'open', passed: 'passed', failed: 'failed', outside: 'measures otherwise' } as const;

type Result = HandoverTest['result'];

/** Everything that is tried before it is handed over, as it follows from the plan. */
export function TestsSheet() {
  const { view, session, job } = useHandover();
  const files = useFiles();
  if (!view) return null;
  const set = (test: HandoverTest, label: string, change: (r: Result) => void) =>
    session.edit(
      `${label}: ${test.title}`,
      (j) => {
        const list = chosenVariant(j).tests;
        let own = list.find((r) => r.test === test.id);
        if (!own) {
          own = { ...test.result };
          list.push(own);
        }
        change(own);
      },
      `${label} ${test.id}`,
    );
  const judge = (test: HandoverTest, passed: Result['passed']) =>
    set(test, passed === 'yes' ? 'Passed' : passed === 'no' ? 'Failed' : 'Open again', (r) => {
      r.passed = passed;
      r.on = passed === '' ? '' : new Date().toISOString().slice(0, 16);
      r.tagged = passed === 'no';
    });
  const matter = view.tests.filter((t) => t.matters && t.state !== 'passed').length;
  return (
    <>
      <p className="handover-state" role="status">
        {view.tests.filter((t) => t.state === 'passed').length} of {view.tests.length} passed
        {matter > 0
          ? `; nothing is handed over while ${matter} that matter are not.`
          : '; nothing that matters is open.'}
      </p>
      {groups.map(([group, title]) => {
        const tests = view.tests.filter((t) => t.group === group);
        if (tests.length === 0) return null;
        return (
          <Panel key={group} title={title} className="wide">
            <ul className="test-list">
              {tests.map((test) => (
                <li key={test.id} data-test={test.id} className={`is-${test.state}`}>
                  <div className="test-what">
                    <b>{test.title}</b>
                    <span className="test-state">
                      {states[test.state]}
                      {test.matters && test.state !== 'passed' && ', matters'}
                      {test.result.tagged && ', locked out and tagged'}
                    </span>
                    <span className="hint">
                      {test.expected}
                      {test.unit !== '' &&
                        test.most > 0 &&
                        `; at most ${formatNumber(test.most, 'plain', job.units)} ${test.unit}`}
                      {test.unit !== '' &&
                        test.least > 0 &&
                        `; at least ${formatNumber(test.least, 'plain', job.units)} ${test.unit}`}
                      {test.licensed !== '' && `. Tried by: ${test.licensed}`}
                    </span>
                  </div>
                  <div className="test-do">
                    {test.unit !== '' && (
                      <label className="test-measured">
                        <QuantityField
                          bare
                          label={`${test.title}, measured, ${test.unit}`}
                          value={test.result.measured}
                          kind="plain"
                          system={job.units}
                          emptyForZero
                          onCommit={(v) => set(test, 'Measured', (r) => (r.measured = v))}
                        />
                        {test.unit}
                      </label>
                    )}
                    <div className="btn-group btn-group-sm" role="group" aria-label={`Result of ${test.title}`}>
                      <button
                        type="button"
                        className={`btn ${test.result.passed === 'yes' ? 'btn-primary' : 'btn-outline-secondary'}`}
                        aria-pressed={test.result.passed === 'yes'}
                        onClick={() => judge(test, test.result.passed === 'yes' ? '' : 'yes')}
                      >
                        Passed
                      </button>
                      <button
                        type="button"
                        className={`btn ${test.result.passed === 'no' ? 'btn-danger' : 'btn-outline-secondary'}`}
                        aria-pressed={test.result.passed === 'no'}
                        onClick={() => judge(test, test.result.passed === 'no' ? '' : 'no')}
                      >
                        Failed
                      </button>
                    </div>
                    <FileButton
                      label={test.result.photo === '' ? 'Photo' : 'Another photo'}
                      accept={PHOTOS}
                      onFile={(file) =>
                        void files.add(file, `test/${test.id}`).then((id) => {
                          if (id !== undefined) set(test, 'Photo', (r) => (r.photo = id));
                        })
                      }
                    />
                    {test.result.passed !== '' && (
                      <>
                        <TextField
                          label={`By whom: ${test.title}`}
                          placeholder="By"
                          value={test.result.by}
                          maxLength={120}
                          onCommit={(v) => set(test, 'By whom', (r) => (r.by = v))}
                        />
                        <TextField
                          label={`Note: ${test.title}`}
                          placeholder="Note"
                          value={test.result.note}
                          maxLength={1000}
                          onCommit={(v) => set(test, 'Note', (r) => (r.note = v))}
                        />
                        {test.result.passed === 'no' && (
                          <label className="switch-line">
                            <input
                              type="checkbox"
                              className="form-check-input"
                              aria-label={`Locked out and tagged: ${test.title}`}
                              checked={test.result.tagged}
                              onChange={(event) => set(test, 'Tagged', (r) => (r.tagged = event.target.checked))}
                            />
                            locked out and tagged
                          </label>
                        )}
                      </>
                    )}
                    {test.result.photo !== '' && (
                      <a href={files.address(test.result.photo)} target="_blank" rel="noreferrer">
                        <img className="thumb" alt={test.title} src={files.address(test.result.photo)} />
                      </a>
                    )}
                  </div>
                </li>
              ))}
            </ul>
          </Panel>
        );
      })}
    </>
  );
}
