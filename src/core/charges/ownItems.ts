import type { Weight } from '../quantity/weight';
import { ownOf, type Portion } from '../shares/own';
import type { BillItem } from './bill';

/** A household's part of what is made of everything that is cut as one with it; together exactly all of it. */
export function ownItems(
  items: readonly BillItem[],
  share: Pick<Portion, 'id'>,
  together: readonly Portion[],
): readonly BillItem[] {
  const own = (whole: number) => ownOf(whole, share, together);
  return items.map((item) => ({
    ...item,
    green: own(item.green) as Weight,
    finished: own(item.finished) as Weight,
    packages: own(item.packages),
    pieces: own(item.pieces),
    racks: own(item.racks),
  }));
}
