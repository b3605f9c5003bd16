import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { cookWhere, sleepWhere, toilet, washing, wasteWater } from '../words/brief';
import { useBriefEdit } from './useBriefEdit';

/** How they live at a stop. */
export function CampCard() {
  const { brief, edit, line } = useBriefEdit();
  const c = brief.camp;
  const choice = <K extends 'sleepWhere' | 'cookWhere' | 'washing' | 'toilet' | 'wasteWater'>(
    label: string,
    key: K,
    options: readonly { value: (typeof c)[K]; label: string }[],
  ) => (
    <Field label={label}>
      <SelectField
        label={label}
        value={c[key]}
        options={options}
        onCommit={(value) => edit(label, (b) => (b.camp[key] = value))}
      />
    </Field>
  );
  return (
    <Panel title="Living at a stop">
      <div className="form">
        {choice('They sleep', 'sleepWhere', sleepWhere)}
        {choice('They cook', 'cookWhere', cookWhere)}
        {line('Hot meals a day', c.hotMeals, 'plain', (b, n) => (b.camp.hotMeals = n))}
        {choice('They wash', 'washing', washing)}
        {choice('Toilet', 'toilet', toilet)}
        {choice('Used water', 'wasteWater', wasteWater)}
      </div>
    </Panel>
  );
}
