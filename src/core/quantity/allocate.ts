/**
 * Splits a whole number by weights so that the parts add up to it exactly (largest remainder).
 * A left-over unit goes to the largest fraction; of equal fractions, to the earlier part.
 *
 * @param total - a whole number: thousandths of the shop's unit, or cents; may be negative
 * @param ratios - at least one, none negative, not all zero
 * @throws RangeError when a ratio is negative or all are zero
 * @example allocate(1001, [1, 1]) // => [501, 500]
 * @example allocate(10001, [1, 1, 1]) // => [3334, 3334, 3333]
 */
export function allocate(total: number, ratios: readonly number[]): number[] {
  const sum = ratios.reduce((a, b) => a + b, 0);
  if (!(sum > 0) || ratios.some((r) => r < 0)) {
    throw new RangeError(`"ratios" expected non-negative numbers, not all zero, got [${ratios.join(', ')}]`);
  }
  const sign = total < 0 ? -1 : 1;
  const parts = roundToTotal(
    ratios.map((r) => (Math.abs(total) * r) / sum),
    Math.abs(total),
  );
  return sign < 0 ? parts.map((p) => (p === 0 ? 0 : -p)) : parts;
}

/**
 * Rounds exact values to whole numbers that add up to `total` (largest remainder, ties to the earlier value).
 * Values may be negative (brine gained in a cure); each result differs from its value by less than one unit
 * as long as the values themselves add up to `total`.
 *
 * @param exact - values in the same unit as `total`
 * @param total - the whole number that the results must add up to
 * @throws RangeError when the exact values miss the total by more than half a unit
 * @example roundToTotal([1.4, 2.4, 3.2], 7) // => [2, 2, 3]
 */
export function roundToTotal(exact: readonly number[], total: number): number[] {
  const drift = Math.abs(exact.reduce((a, b) => a + b, 0) - total);
  if (drift > 0.5) throw new RangeError(`"exact" values miss the total ${total} by ${drift}`);
  const rounded = exact.map((v) => Math.floor(v));
  let missing = total - rounded.reduce((a, b) => a + b, 0);
  const rest = Float64Array.from(exact, (value, index) => value - rounded[index]!);
  if (missing > 0 && missing <= rest.length) return withLargest(rounded, rest, missing);
  const order = [...rest.keys()].sort((a, b) => rest[b]! - rest[a]! || a - b);
  for (let i = 0; missing > 0; i = (i + 1) % order.length, missing -= 1) rounded[order[i]!]! += 1;
  for (let i = order.length - 1; missing < 0; i -= 1, missing += 1) rounded[order[i]!]! -= 1;
  return rounded;
}

/** One more for so many of the largest rests; of equal ones, for the earlier. */
function withLargest(rounded: number[], rest: Float64Array, many: number): number[] {
  const least = rest.slice().sort()[rest.length - many]!;
  let left = many;
  for (let at = 0; at < rest.length; at += 1) {
    if (rest[at]! <= least) continue;
    rounded[at]! += 1;
    left -= 1;
  }
  for (let at = 0; left > 0; at += 1) {
    if (rest[at] !== least) continue;
    rounded[at]! += 1;
    left -= 1;
  }
  return rounded;
}

/**
 * Rounds several lists of exact values together, so that all of them add up to one total.
 *
 * @example roundGroups({ boxes: [1.4, 2.4], lost: [3.2] }, 7) // => { boxes: [2, 2], lost: [3] }
 */
export function roundGroups<Name extends string>(
  groups: Readonly<Record<Name, readonly number[]>>,
  total: number,
): Record<Name, number[]> {
  const names = Object.keys(groups) as Name[];
  const exact: number[] = [];
  for (const name of names) for (const value of groups[name]) exact.push(value);
  const rounded = roundToTotal(exact, total);
  const parts = {} as Record<Name, number[]>;
  let start = 0;
  for (const name of names) {
    parts[name] = rounded.slice(start, start + groups[name].length);
    start += groups[name].length;
  }
  return parts;
}
