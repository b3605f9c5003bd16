import type { ReactNode } from 'react';

import type { Job, Vehicle } from '../api/types';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { useSession, useSnapshot } from '../document/SessionContext';
import type { Kind } from '../quantity/units';

/** The job's vehicle, and short ways to show and edit its fields. */
export function useVehicleEdit() {
  const session = useSession();
  const { job, assessment } = useSnapshot();
  const origin = assessment?.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const edit = (label: string, change: (vehicle: Vehicle, job: Job) => void, key?: string) => session.edit(label, (j) => change(j.vehicle, j), key);
  /** A bare field for tables. */
  const input = (label: string, value: number, kind: Kind, set: (vehicle: Vehicle, value: number, job: Job) => void, emptyForZero = false) => (
    <QuantityField label={label} value={value} kind={kind} system={job.units} emptyForZero={emptyForZero} onCommit={(v) => edit(label, (vehicle, j) => set(vehicle, v, j))} />
  );
  /** A labelled field for forms. */
  const line = (label: string, value: number, kind: Kind, set: (vehicle: Vehicle, value: number, job: Job) => void, hint?: string): ReactNode => (
    <Field label={label} {...(hint ? { hint } : {})}>
      {input(label, value, kind, set)}
    </Field>
  );
  /** A station in the job's datum. */
  const station = (label: string, x: number, set: (vehicle: Vehicle, x: number) => void) => input(label, x - origin, 'length', (vehicle, value) => set(vehicle, value + origin));
  return { session, job, vehicle: job.vehicle, assessment, edit, input, line, station };
}
