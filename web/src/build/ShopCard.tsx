import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { screwKinds } from '../words/build';
import { yesses } from '../words/range';
import { useBuild } from './useBuild';

/** The workshop's own figures, by which hardware is counted. */
export function ShopCard() {
  const { build, line, edit, tick } = useBuild();
  const s = build.shop;
  return (
    <Panel title="Figures of the workshop" className="wide" note="By these hardware, glue and paint are counted">
      <div className="shop-form">
        {line('A screw for each', s.screwEvery, 'length', (b, v) => (b.shop.screwEvery = v), 'of joint')}
        {line(
          ['Runner screws from', 'First screw of a runner from its end'],
          s.runnerInset,
          'length',
          (b, v) => (b.shop.runnerInset = v),
          'its ends, and as often between as in a joint',
        )}
        {line(['Screws start in', 'Diameter of screw holes'], s.pilot, 'length', (b, v) => (b.shop.pilot = v))}
        {line('A hinge for each', s.hingeEvery, 'length', (b, v) => (b.shop.hingeEvery = v), 'of lid; two at least')}
        {line('A hinge bears', s.hingeBears, 'mass', (b, v) => (b.shop.hingeBears = v))}
        {line(
          ['Glue', 'Glue, litres to a metre of joint'],
          s.adhesive,
          'plain',
          (b, v) => (b.shop.adhesive = v),
          'L to a metre of joint',
        )}
        {line(
          ['Paint', 'Paint, litres to a square metre'],
          s.paint,
          'plain',
          (b, v) => (b.shop.paint = v),
          'L to a m² and coat',
        )}
        {line('Coats', s.coats, 'plain', (b, v) => (b.shop.coats = v))}
        {line('Glue dries', s.glueDries, 'time', (b, v) => (b.shop.glueDries = v))}
        {line('Paint dries', s.paintDries, 'time', (b, v) => (b.shop.paintDries = v))}
        {line('A day of work', s.day, 'time', (b, v) => (b.shop.day = v))}
        <Field label="Screws">
          <SelectField
            label="Screws"
            value={s.screws}
            options={screwKinds}
            onCommit={(v) => edit('Screws', (b) => (b.shop.screws = v))}
          />
        </Field>
        <Field label="Salt" hint="on roads or in the air">
          <SelectField
            label="Salt"
            value={s.salt}
            options={yesses}
            onCommit={(v) => edit('Salt', (b) => (b.shop.salt = v))}
          />
        </Field>
        <Field label="Metals kept apart" hint="aluminium and steel, by tape, paint or washers">
          <SelectField
            label="Metals kept apart"
            value={s.parted}
            options={yesses}
            onCommit={(v) => edit('Metals kept apart', (b) => (b.shop.parted = v))}
          />
        </Field>
        {tick(
          'Slot nuts swing in',
          'slot nuts can be swung into a closed slot',
          s.swingIn,
          (b, v) => (b.shop.swingIn = v),
        )}
      </div>
    </Panel>
  );
}
