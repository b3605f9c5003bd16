import { replaceEqualDeep } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';

import { answer, api } from '../api/client';
import type { Box, DrawingWish, DrawnSheet, Job } from '../api/types';
import { useSnapshot } from '../document/SessionContext';
import { shownOnly } from '../document/liveAssessment';
import { Newest } from '../document/newest';

export interface Drawn {
  sheet: DrawnSheet;
  /** Where things stood when they were drawn. */
  boxes: ReadonlyMap<string, Box>;
  /** Another drawing is on its way. */
  busy: boolean;
}

interface Question {
  job: Job;
  wish: DrawingWish;
  boxes: ReadonlyMap<string, Box>;
}

const nowhere: ReadonlyMap<string, Box> = new Map();

/**
 * The drawing of the job as the core makes it. While something is in the hand the last one
 * stays, and what was moved is shown where it is by its offset from boxes. Of another job
 * than the one that is open, where it is given.
 */
export function useDrawing(
  wish: DrawingWish | undefined,
  boxes: ReadonlyMap<string, Box> = nowhere,
  of?: Job,
): Drawn | undefined {
  const { job: open, dragging } = useSnapshot();
  const job = of ?? open;
  const [drawn, setDrawn] = useState<Omit<Drawn, 'busy'> & { job: Job; asked: string }>();
  const newest = useMemo(
    () =>
      new Newest<Question, DrawnSheet>(
        (q) => answer(api.POST('/api/drawing', { body: { job: shownOnly(q.job), wish: q.wish } })),
        (q, sheet) =>
          setDrawn((before) => ({
            sheet: before ? replaceEqualDeep(before.sheet, sheet) : sheet,
            boxes: q.boxes,
            job: q.job,
            asked: JSON.stringify(q.wish),
          })),
        () => undefined, // the assessment of the same job tells why
      ),
    [],
  );
  const asked = JSON.stringify(wish);
  useEffect(() => {
    if (wish && !dragging) newest.ask({ job, wish, boxes });
    // boxes and wish follow from the job and from asked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [job, asked, dragging, newest]);
  return useMemo(() => drawn && { ...drawn, busy: drawn.job !== job || drawn.asked !== asked }, [drawn, job, asked]);
}
