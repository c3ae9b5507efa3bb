import { postWeighing } from '@/core/ledger/ledger';
import { afterWeighing } from '@/core/order/afterWeighing';
import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import { likelyReasons } from '@/core/order/likelyReasons';
import { reconciliationOf } from '@/core/order/settling';
import { planOf } from '@/core/order/standing';
import type { ForecastLine } from '@/core/forecast/types';
import { sumWeights } from '@/core/quantity/weight';
import { TestShop } from '../tests/testShop';

jest.setTimeout(60_000);

let shop: TestShop;
let shareId: ShareId;
let lines: readonly ForecastLine[];

beforeEach(async () => {
  shop = await TestShop.open();
  shareId = await shop.onTheBlock();
  lines = planOf(await shop.file(shareId)).expected.lines;
});
afterEach(() => shop.close());

type Skip = {
  readonly barrel?: 'bone' | 'fat';
  readonly green?: string;
  readonly packs?: { readonly key: string; readonly count: number };
};

/** Everything weighed as it is expected, except what is left out. */
async function workedBut({ barrel, packs, green }: Skip): Promise<void> {
  const { losses, pool } = planOf(await shop.file(shareId)).expected;
  const take = (purpose: Parameters<TestShop['weighing']>[1], net: number) =>
    shop.get('weigh', { ...shop.weighing(shareId, purpose, Math.round(net)), sure: true });
  for (const kind of ['bone', 'fat', 'skin', 'inedible'] as const) {
    if (kind !== barrel && losses[kind] > 0) await take({ kind: 'barrel', barrel: kind }, losses[kind]);
  }
  await take({ kind: 'tub' }, sumWeights([pool.lean, pool.fatUsed]));
  for (const line of lines) {
    const { key, cure, kind, packaged, cureLoss } = line;
    const from = kind === 'grind' ? ('tub' as const) : ('share' as const);
    if (cure !== null && green === key) continue;
    if (cure !== null) {
      await take({ kind: 'green', ...(from === 'tub' ? { from } : {}), lineKey: key }, packaged + cureLoss);
      continue;
    }
    const count = line.packs - (packs?.key === key ? packs.count : 0);
    for (let pack = 0; pack < count; pack += 1) {
      await take({ kind: 'package', from, lineKey: key }, packaged / line.packs);
    }
    if (packs?.key === key) {
      await shop.get('noteLine', {
        clientId: crypto.randomUUID(),
        shareId,
        lineKey: key,
        note: 'all of it is packed',
      });
    }
  }
}

describe('what nothing explains', () => {
  it('has no reasons while it is usual', async () => {
    await workedBut({});
    const file = await shop.file(shareId);
    expect(reconciliationOf(file).verdict).toBe('usual');
    expect(likelyReasons(file)).toEqual([]);
  });

  it('is most likely the bone barrel where it was not weighed', async () => {
    await workedBut({ barrel: 'bone' });
    const file = await shop.file(shareId);
    expect(['ask', 'investigate']).toContain(reconciliationOf(file).verdict);
    const [first] = likelyReasons(file);
    expect(first).toMatchObject({
      kind: 'barrel',
      words: expect.stringMatching(/^The bone barrel was not weighed/),
    });
    expect((await shop.get('balanceView', { shareId })).reasons[0]).toEqual(first);
  });

  it('is most likely the packs of a line that is light, though somebody said that all of it is packed', async () => {
    const line = lines.find(({ decision }) => decision === 'center-loin')!;
    await workedBut({ packs: { key: line.key, count: 5 } });
    const [first] = likelyReasons(await shop.file(shareId));
    expect(first).toMatchObject({ kind: 'light', lineKey: line.key });
    expect(first!.weight).toBeGreaterThan((4 * line.packaged) / line.packs);
  });

  it('is most likely what went into the cure without its green weight', async () => {
    const ham = lines.find(({ decision, cure }) => decision === 'ham' && cure !== null)!;
    await workedBut({ green: ham.key });
    for (const { key } of lines) {
      await shop.get('noteLine', {
        clientId: crypto.randomUUID(),
        shareId,
        lineKey: key,
        note: 'all is done',
      });
    }
    const reasons = likelyReasons(await shop.file(shareId));
    expect(reasons[0]).toMatchObject({
      lineKey: ham.key,
      words: expect.stringMatching(/was not weighed green/),
    });
    // Ground packs and their tub are the same pounds.
    expect(reasons.some(({ lineKey }) => lineKey.startsWith('grind'))).toBe(false);
  });

  it('below zero is most likely a load that was taken twice', async () => {
    await workedBut({});
    const file = await shop.file(shareId);
    const bones = file.weighings.find(({ kind, source }) => kind === 'barrel' && source === 'bone')!;
    const again = { ...bones, id: 'again' as WeighingId, serial: bones.serial + 900 };
    const postings = postWeighing({
      ...{ shareId, weighingId: again.id, net: again.net },
      purpose: { kind: 'barrel', barrel: 'bone' },
    });
    if (!postings.ok) throw new Error(postings.message);
    const doubled = afterWeighing(file, again, postings.value);
    expect(reconciliationOf(doubled).unaccounted).toBeLessThan(0);
    expect(likelyReasons(doubled)[0]).toMatchObject({
      kind: 'twice',
      weighingId: 'again',
      weight: -bones.net,
    });
  });
});
