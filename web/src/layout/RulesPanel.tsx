import type { Practice } from '../api/types';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { useSession } from '../document/SessionContext';
import type { Kind } from '../quantity/units';
import type { Bench } from './useBench';

type Plain = Exclude<keyof Practice, 'restraint' | 'uncertainty'>;

const rules: { key: Plain; label: string; kind: Kind; hint: string }[] = [
  {
    key: 'runnerFactor',
    label: 'Runners used to',
    kind: 'plain',
    hint: 'share of their rating that is used; less off road',
  },
  { key: 'clearance', label: 'Beside what slides', kind: 'length', hint: 'least room on each side' },
  { key: 'headroom', label: 'Above a bed', kind: 'length', hint: 'over the platform, mattress not counted' },
  { key: 'step', label: 'A step is', kind: 'length', hint: 'high; what it brings within reach' },
  { key: 'oneLifts', label: 'One person lifts', kind: 'mass', hint: 'out of the vehicle' },
  { key: 'standing', label: 'A person weighs', kind: 'mass', hint: 'who sits or stands on something' },
  { key: 'heavyFrom', label: 'Heavy is from', kind: 'mass', hint: 'a single thing' },
  { key: 'highFrom', label: 'High is from', kind: 'length', hint: 'above ground; only light things there' },
  { key: 'close', label: 'Close is', kind: 'plain', hint: 'share of a limit that is left' },
  { key: 'frontShare', label: 'On the front axle', kind: 'plain', hint: 'least share of the gross, for steering' },
  { key: 'sideShare', label: 'Sides may differ', kind: 'plain', hint: 'by this share of the gross' },
  { key: 'tipLoss', label: 'Tip angle lost', kind: 'plain', hint: '° that the load may take' },
  { key: 'ballLeast', label: 'On the ball at least', kind: 'plain', hint: 'share of the trailer; less sways' },
  { key: 'ballMost', label: 'On the ball at most', kind: 'plain', hint: 'share of the trailer' },
  {
    key: 'upgradeShare',
    label: 'An upgrade gives',
    kind: 'plain',
    hint: 'share of a rating at most; certified people decide',
  },
  { key: 'longestCut', label: 'Longest extension', kind: 'length', hint: 'of the wheelbase that is thought of' },
  { key: 'wind', label: 'Wind under a lid', kind: 'plain', hint: 'N/m²' },
];

const ways = [
  { key: 'forward', label: 'Forward' },
  { key: 'rearward', label: 'Rearward' },
  { key: 'sideways', label: 'Sideways' },
  { key: 'upward', label: 'Upward' },
] as const;

const sources: { key: keyof Practice['uncertainty']; label: string; kind: Kind; hint: string }[] = [
  { key: 'weighed', label: 'Weighed', kind: 'plain', hint: 'share of the mass' },
  { key: 'resolution', label: 'Step of the scale', kind: 'mass', hint: 'at least this over √12' },
  { key: 'dataSheet', label: 'Plate, data sheet', kind: 'plain', hint: 'share' },
  { key: 'material', label: 'From material', kind: 'plain', hint: 'share; parts of one material err together' },
  { key: 'estimate', label: 'Estimate', kind: 'plain', hint: 'share' },
  { key: 'station', label: 'Station', kind: 'length', hint: 'along the vehicle' },
  { key: 'split', label: 'Assumed axle split', kind: 'plain', hint: 'share of the total' },
];

/** The workshop's own rules, and what was let stand. */
export function RulesPanel({ bench }: { bench: Bench }) {
  const session = useSession();
  const { job } = bench;
  return (
    <div className="form" data-panel="rules">
      <p className="hint">Held against where no plate or data sheet says otherwise. Each is kept in this job.</p>
      {rules.map(({ key, label, kind, hint }) => (
        <Field key={key} label={label} hint={hint}>
          <QuantityField
            label={label}
            value={job.practice[key]}
            kind={kind}
            system={job.units}
            onCommit={(v) => session.edit(label, (j) => (j.practice[key] = v))}
          />
        </Field>
      ))}
      <fieldset>
        <legend>Cargo is held against</legend>
        <p className="hint">
          Shares of its weight: cargo practice of the region, not a crash rating. Local rules come first.
        </p>
        {ways.map(({ key, label }) => (
          <Field key={key} label={label}>
            <QuantityField
              label={`Restraint ${label.toLowerCase()}`}
              value={job.practice.restraint[key]}
              kind="plain"
              system={job.units}
              onCommit={(v) => session.edit(`Restraint ${label.toLowerCase()}`, (j) => (j.practice.restraint[key] = v))}
            />
          </Field>
        ))}
      </fieldset>
      <fieldset>
        <legend>How sure masses are</legend>
        <p className="hint">Standard uncertainties by where a mass comes from.</p>
        {sources.map(({ key, label, kind, hint }) => (
          <Field key={key} label={label} hint={hint}>
            <QuantityField
              label={`Uncertainty: ${label}`}
              value={job.practice.uncertainty[key]}
              kind={kind}
              system={job.units}
              onCommit={(v) => session.edit(`Uncertainty: ${label}`, (j) => (j.practice.uncertainty[key] = v))}
            />
          </Field>
        ))}
      </fieldset>
    </div>
  );
}
