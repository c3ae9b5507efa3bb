import type { ForecastLine } from '@/core/forecast/types';
import type { ShareId } from '@/core/order/animal';
import { animalWords, cutName } from '@/core/order/naming';
import { likelyReasons, type LikelyReason } from '@/core/order/likelyReasons';
import { reconciliationOf, weighedOf } from '@/core/order/settling';
import { stageRowOf, type StageRow } from '@/core/order/stageRow';
import { hotWeight, isPacked, planOf } from '@/core/order/standing';
import type { VoidedWeighing } from '@/core/order/work';
import type { Weight, WeighingUnit } from '@/core/quantity/weight';
import type { Reconciliation } from '@/core/reconcile/reconcile';
import { balanceOfKind, BARRELS, type Barrel } from '@/core/ledger/ledger';
import { DEVIATION_REASONS } from '@/core/order/deviation';
import { tapeOf, type Tape } from '@/core/reconcile/tape';
import { namesOf } from '../ticket/names';
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
  /** One weight cut finer, as asked and as done. */
  readonly tape: Tape;
  /** What left and reached no box, with where it goes. */
  readonly barrels: readonly { readonly barrel: Barrel; readonly weight: Weight; readonly to: string }[];
  /** What was asked and what was done instead, in the order it was done. */
  readonly otherwise: readonly Otherwise[];
  /** Why more is missing, or more was weighed, than is usual: the likeliest first. */
  readonly reasons: readonly LikelyReason[];
  readonly voids: readonly VoidedWeighing[];
  readonly packed: boolean;
  readonly closing: { readonly note: string; readonly at: string } | null;
};

export type Otherwise = {
  readonly asked: string;
  readonly done: string;
  readonly why: string;
  readonly who: string;
  /** Of all that there was where no weight was said. */
  readonly weight: Weight | null;
};

/** Where the weight of a share went, and how the packs compare with the sheet. */
export const balanceView = defineShareView<BalanceView>({
  name: 'balanceView',
  roles: OFFICE,
  asCut: true,
  show: async (house, file) => {
    const reconciliation = reconciliationOf(file);
    const nameOf = await namesOf(house, file);
    return {
      shareId: file.share.id,
      name: cutName(file),
      about: animalWords(file),
      unit: file.shop.unit,
      stage: stageRowOf(file).stage,
      hot: hotWeight(file),
      reconciliation,
      tape: tapeOf(planOf(file).expected, reconciliation, weighedOf(file)),
      barrels: BARRELS.map((barrel) => ({
        barrel,
        weight: balanceOfKind(file.held, barrel),
        to: file.rules.barrels[barrel],
      })).filter(({ weight }) => weight !== 0),
      otherwise: file.deviations.map(({ asked, done, reason, actorId, weight }) => ({
        ...{ asked, done, weight, who: nameOf(actorId) },
        why: DEVIATION_REASONS[reason].label,
      })),
      expectedLines: planOf(file).expected.lines,
      notes: file.notes.map(({ lineKey, note }) => ({ lineKey, note })),
      reasons: likelyReasons(file),
      voids: await voidsOfShare(house.db, file.share.id),
      packed: isPacked(file),
      closing: file.closing ? { note: file.closing.note, at: file.closing.at } : null,
    };
  },
});
