import { useMemo, useState } from 'react';

import type { Stand } from '../scene/projection';
import type { Sizes } from './window';

/** Three views beside each other, one that fills the sheet, or the model to walk round. */
export type Arrangement = 'three' | Stand | 'round';

/** The paper of each view, px. */
const three: Sizes = {
  left: { width: 560, height: 210 },
  behind: { width: 256, height: 210 },
  above: { width: 824, height: 228 },
};
const single = { width: 824, height: 470 };

/** Where a view is cut. */
export interface Plane {
  /** Along the view's own axis, mm. */
  at: number;
  /** Its near side when nothing was cut, mm, and how deep it was then. */
  near: number;
  whole: number;
}

/** From where one looks at the bench, at what of it, and how deep; nothing of it is part of the job. */
export function useSeeing() {
  const [arrangement, setArrangement] = useState<Arrangement>('three');
  /** Id of a space or a part; empty for all. */
  const [focus, setFocus] = useState('');
  /** What is not in focus goes; else it is a thin outline. */
  const [only, setOnly] = useState(false);
  /** What lies in compartments is drawn, even where they are shut. */
  const [gear, setGear] = useState(false);
  /** Who stands before it. */
  const [person, setPerson] = useState('');
  const [planes, setPlanes] = useState<Partial<Record<Stand, Plane>>>({});
  const sizes = useMemo<Sizes>(
    () => (arrangement === 'three' ? three : arrangement === 'round' ? {} : { [arrangement]: single }),
    [arrangement],
  );
  return {
    arrangement,
    setArrangement,
    sizes,
    stands: Object.keys(sizes) as Stand[],
    focus,
    setFocus,
    only,
    setOnly,
    gear,
    setGear,
    person,
    setPerson,
    planes,
    setPlane: (stand: Stand, at: Plane | undefined) => setPlanes((now) => ({ ...now, [stand]: at })),
  };
}

export type Seeing = ReturnType<typeof useSeeing>;
