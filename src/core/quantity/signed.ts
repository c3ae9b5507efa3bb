/**
 * A difference in words, with its sign; nothing where there is less than matters.
 *
 * @param words - of its size, without a sign
 * @param least - the smallest difference that is said
 * @example signed(-1210, '1.2') // => '−1.2'
 */
export function signed(by: number, words: string, least = 1): string {
  return Math.abs(by) < least ? '' : `${by < 0 ? '−' : '+'}${words}`;
}

/**
 * What became of a number, as a percentage of what it was, with one decimal; nothing where it was nothing.
 *
 * @example percentMore(200, 211) // => '+5.5'
 */
export function percentMore(was: number, now: number): string {
  if (was === 0) return '';
  const pct = (100 * (now - was)) / was;
  return signed(pct, Math.abs(pct).toFixed(1), SEEN_PCT) || '+0.0';
}

/** Rounds to a tenth that is seen. */
const SEEN_PCT = 0.05;
