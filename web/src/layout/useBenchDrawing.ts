import { useMemo } from 'react';

import type { Box } from '../api/types';
import { useDrawing } from '../scene/useDrawing';
import { look, wishOf } from '../scene/wish';
import type { Bench } from './useBench';
import type { Seeing } from './useSeeing';
import { windowOf } from './window';

/** Height of the rule at the foot of each view, which names keep off. */
const FOOT = 42;

/** The views of the bench as the core draws them. */
export function useBenchDrawing(bench: Bench, seeing: Seeing) {
  const { sight, all, parts, open, hidden, selected, stance, posture } = bench;
  const { stands, sizes, planes, focus, only, gear, person } = seeing;
  const boxes = useMemo(() => new Map<string, Box>(all.map((p) => [p.item.id, p.box])), [all]);
  const standing = useMemo(() => new Map<string, Box>(parts.map((p) => [p.item.id, p.box])), [parts]);
  // What lies in something is looked at with it, or when all gear is.
  const shut = all.filter(
    ({ item }) =>
      item.in &&
      !gear &&
      !selected.includes(item.in.module) &&
      !selected.includes(item.id) &&
      !open.includes(item.in.module),
  );
  const wish =
    sight && stands.length > 0
      ? wishOf(
          stands.map((stand) => {
            const plane = planes[stand]?.at;
            const w = windowOf(stand, sight, sizes[stand] ?? { width: 1, height: 1 });
            return { ...look(stand, w, FOOT), slice: plane !== undefined, plane: plane ?? 0 };
          }),
          {
            stance,
            open: open.map((module) => ({ module, cell: '' })),
            focus,
            only,
            gear: true,
            hidden: [...hidden, ...shut.map((p) => p.item.id)],
            person,
          },
        )
      : undefined;
  const drawn = useDrawing(wish, posture && posture.parts.length > 0 ? standing : boxes);
  return { drawn, standing };
}
