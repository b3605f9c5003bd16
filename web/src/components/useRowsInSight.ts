import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useState, type RefObject } from 'react';

/** From how many rows on only those in sight are drawn: fewer cost nothing, and can be searched by the browser. */
const MANY = 80;

export interface RowInSight {
  index: number;
  /** Room of the rows between the one drawn before it and this one, px. */
  before: number;
}

/** Which rows of a long list are drawn: those in sight, some around, and those that must stay; all of them on paper.
 * Rows are measured as they are drawn, since they break their lines on a narrow screen. */
export function useRowsInSight(scroll: RefObject<HTMLElement | null>, count: number, height: number, stay: number[]) {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const begin = () => setPrinting(true);
    const end = () => setPrinting(false);
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
    };
  }, []);
  const kept = stay.join();
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing that it returns is kept by a memo
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroll.current,
    estimateSize: () => height,
    overscan: 12,
    rangeExtractor: useCallback(
      (range: Parameters<typeof defaultRangeExtractor>[0]) =>
        [...new Set([...defaultRangeExtractor(range), ...(kept === '' ? [] : kept.split(',').map(Number))])].sort(
          (a, b) => a - b,
        ),
      [kept],
    ),
  });
  if (count <= MANY || printing)
    return {
      rows: Array.from({ length: count }, (_, index): RowInSight => ({ index, before: 0 })),
      after: 0,
      measure: undefined,
    };
  let end = 0;
  const rows = virtual.getVirtualItems().map(({ index, start, end: next }): RowInSight => {
    const before = start - end;
    end = next;
    return { index, before };
  });
  return { rows, after: virtual.getTotalSize() - end, measure: virtual.measureElement };
}
