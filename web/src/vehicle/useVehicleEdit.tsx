import type { ReactNode } from 'react';

import type { Job, Point, Vehicle } from '../api/types';
import { Field } from '../components/Field';
import { QuantityField } from '../components/QuantityField';
import { useSession, useSnapshot } from '../document/SessionContext';
import { unitName, type Kind } from '../quantity/units';
import { datums, labelOf } from '../words/words';

/** The job's vehicle, and short ways to show and edit its fields. */
export function useVehicleEdit() {
  const session = useSession();
  const { job, assessment } = useSnapshot();
  const origin = assessment?.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  const edit = (label: string, change: (vehicle: Vehicle, job: Job) => void, key?: string) => session.edit(label, (j) => change(j.vehicle, j), key);
  const field = (bare: boolean, label: string, value: number, kind: Kind, set: (vehicle: Vehicle, value: number, job: Job) => void, emptyForZero = false) => (
    <QuantityField bare={bare} label={label} value={value} kind={kind} system={job.units} emptyForZero={emptyForZero} onCommit={(v) => edit(label, (vehicle, j) => set(vehicle, v, j))} />
  );
  /** A field for tables whose heads name the unit. */
  const input = (label: string, value: number, kind: Kind, set: (vehicle: Vehicle, value: number, job: Job) => void, emptyForZero = false) =>
    field(true, label, value, kind, set, emptyForZero);
  /** A labelled field for forms. */
  const line = (label: string, value: number, kind: Kind, set: (vehicle: Vehicle, value: number, job: Job) => void, hint?: string): ReactNode => (
    <Field label={label} {...(hint ? { hint } : {})}>
      {field(false, label, value, kind, set)}
    </Field>
  );
  /** The three cells of a place: station in the job's datum, side, height. */
  const placeCells = (name: string, at: Point, place: (vehicle: Vehicle) => Point | undefined): ReactNode => {
    const set = (key: keyof Point, value: number) => (vehicle: Vehicle) => {
      const point = place(vehicle);
      if (point) point[key] = value;
    };
    return (
      <>
        <td>{input(`Station of ${name}`, at.x - origin, 'length', (v, x) => set('x', x + origin)(v))}</td>
        <td>{input(`Side of ${name}`, at.y, 'length', (v, y) => set('y', y)(v))}</td>
        <td>{input(`Height of ${name}`, at.z, 'length', (v, z) => set('z', z)(v))}</td>
      </>
    );
  };
  const unit = (kind: Kind) => unitName(kind, job.units);
  const placeHeads: ReactNode = (
    <>
      <th scope="col" title={`Rearward of the ${labelOf(datums, job.datum)}; negative is ahead of it`}>
        Station {unit('length')}
      </th>
      <th scope="col" title="Right of the centre line; left is negative">
        Side {unit('length')}
      </th>
      <th scope="col" title="Above the ground">
        Height {unit('length')}
      </th>
    </>
  );
  return { session, job, vehicle: job.vehicle, assessment, edit, input, line, placeCells, placeHeads, unit };
}
