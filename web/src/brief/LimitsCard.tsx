import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { useBriefEdit } from './useBriefEdit';

/** Where the finished vehicle has to pass. */
export function LimitsCard() {
  const { brief, line, text } = useBriefEdit();
  const e = brief.envelope;
  return (
    <Panel title="Where it has to pass" note="Empty means no limit">
      <div className="form">
        {line('Most height', e.height, 'length', (b, mm) => (b.envelope.height = mm), undefined, true)}
        {line('Most width', e.width, 'length', (b, mm) => (b.envelope.width = mm), undefined, true)}
        {line('Most length', e.length, 'length', (b, mm) => (b.envelope.length = mm), undefined, true)}
        {line(
          'Most rear overhang',
          e.rearOverhang,
          'length',
          (b, mm) => (b.envelope.rearOverhang = mm),
          'By the rule that holds there',
          true,
        )}
        <Field label="Because of">{text('Because of', e.note, (b, note) => (b.envelope.note = note), 1000)}</Field>
      </div>
    </Panel>
  );
}
