import { useState } from 'react';

import type { ScaleState } from '../api/types';

type Plate = ScaleState['plates'][number];

/** How many steps of the scale a reading differs by before it is another load, and not its drift. */
const steps = 3;

/** The step of a scale that does not say its own, kg. */
const unknown = 0.1;

/** What outlasts the part that is weighed: the tare, and the part that was taken last and may still be on. */
export function usePlatform() {
  const [tare, setTare] = useState(0);
  const [taken, setTaken] = useState<{ id: string; name: string; kg: number }>();
  const other = (kg: number, plate: Plate) => {
    const apart = Math.abs(plate.kg - kg);
    return plate.steady ? apart > steps * (plate.resolution || unknown) : apart > kg / 2;
  };
  return {
    tare,
    setTare,
    setTaken,
    /** Name of a part before that the plate still reads; empty when it reads another load, or nothing. */
    stillOn: (part: string, plate: Plate | undefined) =>
      taken && taken.id !== part && plate && !other(taken.kg, plate) ? taken.name : '',
    /** What the plate reads now: once it is another load, the part before is off. */
    seen: (plate: Plate | undefined) => {
      if (taken && plate && other(taken.kg, plate)) setTaken(undefined);
    },
  };
}

export type Platform = ReturnType<typeof usePlatform>;
