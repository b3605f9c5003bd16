import type { Vehicle } from '../api/types';
import { Field } from '../components/Field';
import { Panel } from '../components/Panel';
import { SelectField } from '../components/SelectField';
import { TextField } from '../components/TextField';
import { useVocabulary } from '../words/words';
import { useVehicleEdit } from './useVehicleEdit';

/** Axles, tracks and the outline that the scene draws. */
export function BodyCard() {
  const { job, vehicle, edit, line } = useVehicleEdit();
  const vocabulary = useVocabulary();
  const word = (term: string) => vocabulary(job.region, term).word;
  const o = vehicle.outline;
  const bodies: { value: Vehicle['outline']['body']; label: string }[] = [
    { value: 'wagon', label: 'wagon' },
    { value: 'tub', label: word('tub') },
    { value: 'tray', label: word('tray') },
  ];
  return (
    <Panel title="Axles and body" className="wide">
      <div className="form form-wide">
        <Field label="Vehicle">
          <TextField
            label="Vehicle"
            value={vehicle.name}
            maxLength={200}
            onCommit={(name) => edit('Vehicle name', (v) => (v.name = name), 'vehicle name')}
          />
        </Field>
        {line('Wheelbase', vehicle.wheelbase, 'length', (v, mm) => (v.wheelbase = mm))}
        {line('Front track', vehicle.trackFront, 'length', (v, mm) => (v.trackFront = mm))}
        {line('Rear track', vehicle.trackRear, 'length', (v, mm) => (v.trackRear = mm))}
        {line(`Radius of the ${word('tyre')}`, vehicle.tyreRadius, 'length', (v, mm) => (v.tyreRadius = mm))}
        {line(
          `Width of the ${word('tyre')}`,
          vehicle.tyreWidth,
          'length',
          (v, mm) => (v.tyreWidth = mm),
          'As it stands; what it reaches is then looked at',
          true,
        )}
        {line('Front wheels turn by', vehicle.steeringLock, 'angle', (v, a) => (v.steeringLock = a), undefined, true)}
        <Field label="Load space">
          <SelectField
            label="Load space"
            value={o.body}
            options={bodies}
            onCommit={(body) => edit('Load space', (v) => (v.outline.body = body))}
          />
        </Field>
        {line('Front overhang', o.frontOverhang, 'length', (v, mm) => (v.outline.frontOverhang = mm))}
        {line('Rear overhang', o.rearOverhang, 'length', (v, mm) => (v.outline.rearOverhang = mm))}
        {line('Height', o.height, 'length', (v, mm) => (v.outline.height = mm))}
        {line('Width without mirrors', o.width, 'length', (v, mm) => (v.outline.width = mm), undefined, true)}
        {line(
          'Width over the mirrors',
          vehicle.mirrorWidth,
          'length',
          (v, mm) => (v.mirrorWidth = mm),
          undefined,
          true,
        )}
        {line(`Height of the ${word('bonnet')}`, o.bonnetHeight, 'length', (v, mm) => (v.outline.bonnetHeight = mm))}
        {line('Windscreen foot, behind front axle', o.cabFront, 'length', (v, mm) => (v.outline.cabFront = mm))}
        {line('Cab back, behind front axle', o.cabRear, 'length', (v, mm) => (v.outline.cabRear = mm))}
        {line('Headboard, behind front axle', o.headboard, 'length', (v, mm) => (v.outline.headboard = mm))}
        {line('Load floor height', o.floorHeight, 'length', (v, mm) => (v.outline.floorHeight = mm))}
        {line('Sill height', o.sillHeight, 'length', (v, mm) => (v.outline.sillHeight = mm))}
      </div>
    </Panel>
  );
}
