import { useMemo } from 'react';

import type { Box, DrawingWish, Look } from '../api/types';
import { useDrawing } from '../scene/useDrawing';
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
  const wish: DrawingWish | undefined =
    sight && stands.length > 0
      ? {
          looks: stands.map((stand): Look => {
            const { from, ground, scale, width, height } = windowOf(
              stand,
              sight,
              sizes[stand] ?? { width: 1, height: 1 },
            );
            const plane = planes[stand]?.at;
            return {
              stand,
              slice: plane !== undefined,
              plane: plane ?? 0,
              width,
              height,
              from,
              ground,
              scale,
              foot: FOOT,
            };
          }),
          stance,
          open: open.map((module) => ({ module, cell: '' })),
          focus,
          only,
          gear: true,
          people: false,
          // What lies in something is looked at with it, or when all gear is.
          hidden: [
            ...hidden,
            ...all
              .filter(
                ({ item }) =>
                  item.in &&
                  !gear &&
                  !selected.includes(item.in.module) &&
                  !selected.includes(item.id) &&
                  !open.includes(item.in.module),
              )
              .map((p) => p.item.id),
          ],
          person,
        }
      : undefined;
  const drawn = useDrawing(wish, posture && posture.parts.length > 0 ? standing : boxes);
  return { drawn, standing };
}
