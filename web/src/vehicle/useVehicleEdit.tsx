import type { ReactNode } from 'react';

import type { Point, Vehicle } from '../api/types';
import type { Column } from '../components/ThingTable';
import { useFields } from '../document/useFields';
import { datums, labelOf } from '../words/words';

/** The job's vehicle, and short ways to show and edit its fields. */
export function useVehicleEdit() {
  const fields = useFields((job) => job.vehicle);
  const { job, assessment, input, unit } = fields;
  const origin = assessment?.datums.find((d) => d.datum === job.datum)?.x ?? 0;
  /** The three fields of a place: station in the job's datum, side, height. */
  const placeFields = (
    name: string,
    at: Point,
    place: (vehicle: Vehicle) => Point | undefined,
  ): [ReactNode, ReactNode, ReactNode] => {
    const set = (key: keyof Point) => (vehicle: Vehicle, value: number) => {
      const point = place(vehicle);
      if (point) point[key] = key === 'x' ? value + origin : value;
    };
    return [
      input(`Station of ${name}`, at.x - origin, 'length', set('x')),
      input(`Side of ${name}`, at.y, 'length', set('y')),
      input(`Height of ${name}`, at.z, 'length', set('z')),
    ];
  };
  /** The three columns of a list of placed things. */
  const placeColumns = <T extends { id: string; name: string; at: Point }>(
    list: (vehicle: Vehicle) => T[],
  ): Column<T>[] => {
    const cell = (i: 0 | 1 | 2) => (thing: T) =>
      placeFields(thing.name, thing.at, (v) => list(v).find((t) => t.id === thing.id)?.at)[i];
    return [
      {
        head: `Station ${unit('length')}`,
        title: `Rearward of the ${labelOf(datums, job.datum)}; negative is ahead of it`,
        cell: cell(0),
      },
      { head: `Side ${unit('length')}`, title: 'Right of the centre line; left is negative', cell: cell(1) },
      { head: `Height ${unit('length')}`, title: 'Above the ground', cell: cell(2) },
    ];
  };
  return { ...fields, vehicle: job.vehicle, placeFields, placeColumns };
}
