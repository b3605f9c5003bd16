import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { TextArea } from '../components/TextArea';
import { useBriefEdit } from './useBriefEdit';

/** Money, and what annoyed them in the last build. */
export function WishesCard() {
  const { brief, edit, line, text } = useBriefEdit();
  return (
    <Panel title="Money and memories" className="wide">
      <div className="form form-wide">
        {line(
          'Budget',
          brief.budget / 100,
          'plain',
          (b, n) => (b.budget = Math.round(n * 100)),
          'Empty means not stated',
          true,
        )}
        <Field label="Currency">{text('Currency', brief.currency, (b, c) => (b.currency = c), 8)}</Field>
        <Field label="What annoyed them in the last build">
          <TextArea
            label="What annoyed them in the last build"
            value={brief.annoyances}
            maxLength={4000}
            onCommit={(t) => edit('Annoyances', (b) => (b.annoyances = t), 'annoyances')}
          />
        </Field>
      </div>
    </Panel>
  );
}
