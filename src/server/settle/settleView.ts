import { toldOf } from '@/core/block/told';
import { differences } from '@/core/charges/bill';
import { animalWords, shareName } from '@/core/order/naming';
import { dueOf, finalBill, isOwn, paidOf, reconciliationOf } from '@/core/order/settling';
import type { ShareFile } from '@/core/order/shareFile';
import { stageRowOf } from '@/core/order/stageRow';
import { estimateOf, hotWeight, planOf } from '@/core/order/standing';
import { cents } from '@/core/quantity/money';
import { group } from 'd3-array';
import { inUnits, sumWeights, type Weight } from '@/core/quantity/weight';
import { keepsWords } from '@/core/label/label';
import { dayIn } from '@/core/time/shopTime';
import type { Reconciliation } from '@/core/reconcile/reconcile';
import type { PackedCut, Settlement } from '@/core/order/settlement';
import { defineShareView } from '../house/shareView';
import { OFFICE } from '../house/useCase';

/** The bill beside its estimate, what was paid, and what the statement says. */
export const settleView = defineShareView<Settlement>({
  name: 'settleView',
  roles: OFFICE,
  show: (_, file) => settlementOf(file),
});

/** The settlement of a share, as its file stands. */
export function settlementOf(file: ShareFile): Settlement {
  const { share, priceList, closing } = file;
  const estimate = estimateOf(file);
  const bill = closing?.bill ?? (file.start ? finalBill(file) : estimate);
  const reconciliation = reconciliationOf(file);
  const paid = paidOf(file);
  const cutOf = (key: string) => reconciliation.lines.find((line) => line.lineKey === key)?.cut ?? key;
  return {
    shareId: share.id,
    name: shareName(file),
    about: animalWords(file),
    shopName: file.shop.name,
    unit: file.shop.unit,
    sign: priceList.sign,
    priceList: `${priceList.name}, in force from ${priceList.effectiveFrom}`,
    stage: stageRowOf(file).stage,
    inspection: file.animal.inspection,
    people: { owner: share.owner.name, payer: share.payer.name, contact: share.contact.name },
    hot: hotWeight(file),
    reconciliation,
    packs: packsOf(file, reconciliation),
    estimate,
    bill,
    final: closing !== undefined,
    differences: differences(estimate, bill),
    payments: file.payments,
    paid,
    due: closing ? dueOf(file) : cents(bill.due - paid),
    pickUp: file.pickUp
      ? { takenBy: file.pickUp.takenBy, day: dayIn(file.shop.zone, new Date(file.pickUp.at)) }
      : null,
    notes: [...toldOf(file), ...file.notes.map((note) => ({ cut: cutOf(note.lineKey), note: note.note }))],
    wrap: planOf(file).wrap,
    keeps: keepsWords(planOf(file).wrap, file.situation.species.months),
  };
}

function packsOf(file: ShareFile, { lines }: Reconciliation): PackedCut[] {
  const own = group(
    file.weighings.filter((each) => each.kind === 'package' && isOwn(file, each)),
    (each) => each.lineKey,
  );
  return lines.flatMap((line) => {
    const packs = own.get(line.lineKey) ?? [];
    const net = sumWeights(packs.map((each) => each.net));
    if (inUnits(net) <= 0) return [];
    const green = file.allotted ? 0 : line.green;
    const { cut, destination } = line;
    return [{ cut, destination, packs: packs.length, net, green: green > 0 ? (green as Weight) : null }];
  });
}
