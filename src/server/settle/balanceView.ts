import type { ForecastLine } from '@/core/forecast/types';
import type { ShareId } from '@/core/order/animal';
import { animalWords, cutName } from '@/core/order/naming';
import { likelyReasons, type LikelyReason } from '@/core/order/likelyReasons';
import { reconciliationOf } from '@/core/order/settling';
import { stageRowOf, type StageRow } from '@/core/order/stageRow';
import { hotWeight, isPacked, planOf } from '@/core/order/standing';
import type { VoidedWeighing } from '@/core/order/work';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import type { Reconciliation } from '@/core/reconcile/reconcile';
import { voidsOfShare } from '@/data/wrap';
import { defineShareView } from '../house/shareView';
import { OFFICE } from '../house/useCase';

export type BalanceView = {
  readonly shareId: ShareId;
  readonly name: string;
  readonly about: string;
  readonly unit: WeighingUnit;
  readonly stage: StageRow['stage'];
  readonly hot: Weight;
  readonly reconciliation: Reconciliation;
  readonly expectedLines: readonly ForecastLine[];
  readonly notes: readonly { readonly lineKey: string; readonly note: string }[];
  /** Why more is missing, or more was weighed, than is usual: the likeliest first. */
  readonly reasons: readonly LikelyReason[];
  readonly voids: readonly VoidedWeighing[];
  readonly packed: boolean;
  readonly closing: { readonly note: string; readonly at: string } | null;
};

/** Where the weight of a share went, and how the packs compare with the sheet. */
export const balanceView = defineShareView<BalanceView>({
  name: 'balanceView',
  roles: OFFICE,
  asCut: true,
  show: async (house, file) => ({
    shareId: file.share.id,
    name: cutName(file),
    about: animalWords(file),
    unit: file.shop.unit,
    stage: stageRowOf(file).stage,
    hot: hotWeight(file),
    reconciliation: reconciliationOf(file),
    expectedLines: planOf(file).expected.lines,
    notes: file.notes.map(({ lineKey, note }) => ({ lineKey, note })),
    reasons: likelyReasons(file),
    voids: await voidsOfShare(house.db, file.share.id),
    packed: isPacked(file),
    closing: file.closing ? { note: file.closing.note, at: file.closing.at } : null,
  }),
});
