import type { WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { planOf } from '@/core/order/standing';
import type { TestShop } from './testShop';

/** The bench of the tests carries a little more, thousandths of a pound. */
const MOST_OF_A_LOAD = 29_000;

/**
 * Weighs all that a share's plan says, each pack as it is expected, tub and barrels too.
 *
 * @param said - whether what is cured comes out of the smoke as well; how much of the fat is missing, thousandths; how
 *   many times as heavy as expected fresh cuts are, the rest going into the fat
 */
export async function packAll(
  shop: TestShop,
  shareId: ShareId,
  {
    finished = true,
    short = 0,
    times = 1,
  }: { readonly finished?: boolean; readonly short?: number; readonly times?: number } = {},
): Promise<void> {
  const weigh = async (purpose: WeighingPurpose, said: number) => {
    const total = Math.round(said);
    const loads = Math.max(1, Math.ceil(total / MOST_OF_A_LOAD));
    for (let load = 0; load < loads; load += 1) {
      const net = Math.floor(total / loads) + (load < total % loads ? 1 : 0);
      if (net > 0) await shop.get('weigh', { ...shop.weighing(shareId, purpose, net), sure: true });
    }
  };
  const { lines, losses, pool } = planOf(await shop.file(shareId)).expected;
  await weigh({ kind: 'tub' }, pool.lean + pool.fatUsed);
  let trimmed = 0;
  for (const line of lines) {
    const from = line.cure ? 'cure' : line.kind === 'grind' ? 'tub' : 'share';
    if (line.cure) await weigh({ kind: 'green', lineKey: line.key }, line.packaged + line.cureLoss);
    if (line.cure && !finished) continue;
    for (let pack = 0; pack < line.packs; pack += 1) {
      const expected = line.packaged / line.packs;
      const net = Math.round(from === 'share' ? expected * times : expected);
      trimmed += from === 'share' ? Math.round(expected) - net : 0;
      await weigh({ kind: 'package', from, lineKey: line.key }, net);
    }
  }
  for (const barrel of ['bone', 'skin', 'inedible'] as const)
    await weigh({ kind: 'barrel', barrel }, losses[barrel]);
  await weigh({ kind: 'barrel', barrel: 'fat' }, losses.fat - short + trimmed);
}
