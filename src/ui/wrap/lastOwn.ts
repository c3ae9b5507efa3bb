import type { WeighingId } from '@/core/order/work';
import type { Weight } from '@/core/quantity/weight';

export type Own = { readonly id: WeighingId; readonly cut: string; readonly net: Weight };

type Listed = Own & { readonly mine: boolean };

/**
 * The last weighing of one's own that stands: what was just taken counts before the table has been read again, what was
 * just taken back does not, and another station's never do.
 *
 * @param listed - as the table was last read, in order
 * @param taken - taken on this page, in order
 * @param takenBack - taken back on this page
 */
export function lastOwn(
  listed: readonly Listed[],
  taken: readonly Own[],
  takenBack: ReadonlySet<string>,
): Own | undefined {
  const known = new Set(listed.map((each) => each.id));
  const unread = taken.filter((each) => !known.has(each.id));
  return [...listed.filter((each) => each.mine), ...unread].findLast((each) => !takenBack.has(each.id));
}
