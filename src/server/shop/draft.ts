import { copyOf, withChanges } from '@/core/charges/changes';
import type { PriceList } from '@/core/charges/priceList';
import type { PriceDraft } from '@/data/setUp';

/** A list in hand as it stands: its copy with every change that was not taken back. */
export function listInHand(lists: readonly PriceList[], draft: PriceDraft): PriceList {
  const base = lists.find((list) => list.id === draft.baseId)!;
  const standing = draft.changes.filter(({ takenBack }) => !takenBack).map(({ change }) => change);
  return withChanges(copyOf(base, draft), standing);
}
