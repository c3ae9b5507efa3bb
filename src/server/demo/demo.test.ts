import { STAGES } from '@/core/order/stage';
import type { Posting } from '@/core/ledger/ledger';
import { convertUnits } from '@/core/quantity/weight';
import { reconciliationOf } from '@/core/order/settling';
import { isPacked } from '@/core/order/standing';
import { allShareIds } from '@/data/book';
import { readShareFiles } from '@/data/rail';
import { NOON, TestShop } from '../tests/testShop';
import { seedLiveWeek } from './liveWeek';

async function demo(unit: 'lb' | 'kg'): Promise<TestShop> {
  const shop = await TestShop.open(unit);
  shop.now = NOON;
  await seedLiveWeek(shop.around(), shop.sign);
  return shop;
}

describe('the demo shop', () => {
  let shop: TestShop;
  beforeAll(async () => {
    shop = await demo('lb');
  }, 60_000);
  afterAll(() => shop.close());

  it('has something at every stage of the rail, and something that has gone home', async () => {
    const rail = await shop.get('railView', {});
    for (const stage of STAGES) expect([stage, rail.counts[stage]]).not.toEqual([stage, 0]);
    expect((await shop.get('stageView', { stage: 'gone', page: 0 })).tickets).not.toEqual([]);
  });

  it('shows a clash, holes, a missing sheet and words for the cutter', async () => {
    const pages = await Promise.all(STAGES.map((stage) => shop.get('stageView', { stage, page: 0 })));
    const flags = pages.flatMap(({ tickets }) => tickets.map((ticket) => ticket.flag));
    expect(flags).toEqual(
      expect.arrayContaining(['1 open', '11 open', 'no sheet yet', 'read the note', 'in cure']),
    );
  });

  it('keeps every thousandth: the whole ledger adds up to zero, and nothing packed is negative', async () => {
    const totals: Posting[] = await shop
      .db('ledgerPostings')
      .groupBy('kind', 'owner')
      .select('kind', 'owner', shop.db.raw('SUM(weight) AS weight'));
    expect(totals.reduce((sum, total) => sum + total.weight, 0)).toBe(0);
    const held = totals.filter((total) => !['intake', 'cure-change', 'unaccounted'].includes(total.kind));
    expect(held.filter((total) => total.weight < 0)).toEqual([]);
  });

  it('balances every share that is packed, within what is usual', async () => {
    const files = await readShareFiles(shop.db, shop.setUps, await allShareIds(shop.db));
    for (const file of files.filter(isPacked)) {
      const { bridge, verdict } = reconciliationOf(file);
      const [cold, ...steps] = bridge;
      const left = steps.reduce((sum, step) => (step.lost ? sum - step.weight : sum), cold!.weight as number);
      expect(left).toBe(steps.at(-1)!.weight);
      expect(verdict).toBe('usual');
    }
  });

  it('prints a label for every package', async () => {
    await shop.print();
    const packages = await shop.db('weighings').where({ kind: 'package' }).count({ all: '*' });
    expect(shop.printed).toHaveLength(Number(packages[0]!.all));
  });
});

describe('the demo in kilograms', () => {
  it('is the same animals, weighed in the other unit', async () => {
    const [pounds, kilograms] = await Promise.all([demo('lb'), demo('kg')]);
    const hot = async (shop: TestShop) =>
      (await shop.db('sideWeights').where({ kind: 'hot' }).sum({ all: 'gross' }))[0]!.all as number;
    expect(convertUnits((await hot(pounds)) / 1000, 'lb', 'kg')).toBeCloseTo(
      (await hot(kilograms)) / 1000,
      1,
    );
    expect((await kilograms.get('railView', {})).counts).toEqual((await pounds.get('railView', {})).counts);
    await Promise.all([pounds.close(), kilograms.close()]);
  }, 60_000);
});
