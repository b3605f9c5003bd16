/** A probability, with a space that does not break. */
export const percent = (p: number) =>
  p > 0 && p < 0.001
    ? 'less than 0.1\u00a0%'
    : p < 1 && p > 0.999
      ? 'more than 99.9\u00a0%'
      : `${(100 * p).toFixed(1)}\u00a0%`;
