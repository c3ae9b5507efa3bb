import { bookProblems, trialBalanceAt } from '@/data/ledger';
import { NOON, TestShop } from '../tests/testShop';

let shop: TestShop;

beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const NOW = NOON.toISOString();

describe('the book of the shop', () => {
  it('proves itself from its postings, and says what every kind of account held', async () => {
    const shareId = await shop.onTheBlock();
    const purpose = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' } as const;
    const pack = await shop.get('weigh', shop.weighing(shareId, purpose, 1_290));
    await shop.get('weigh', shop.weighing(shareId, purpose, 1_310));
    await shop.get('voidWeighing', { clientId: crypto.randomUUID(), weighingId: pack.id, reason: '' });
    const { kinds, sum } = await trialBalanceAt(shop.db, NOW);
    expect(sum).toBe(0);
    const of = (kind: string) => kinds.find((each) => each.kind === kind)?.weight;
    expect(of('package')).toBe(1_310);
    expect(of('share')).toBe(91_000 - 1_310);
    expect(of('intake')).toBe(-(92_500 + 91_000));
    expect(await bookProblems(shop.db, NOW)).toEqual([]);
  });

  it('is as it was at a moment that has passed', async () => {
    await shop.onTheBlock();
    const before = await trialBalanceAt(shop.db, '2026-11-23T00:00:00.000Z');
    expect(before.kinds).toEqual([]);
    expect(await bookProblems(shop.db, '2026-11-23T00:00:00.000Z')).toEqual([]);
  });

  it('names what somebody changed behind it', async () => {
    const shareId = await shop.onTheBlock();
    const purpose = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' } as const;
    await shop.get('weigh', shop.weighing(shareId, purpose, 1_290));
    for (const table of ['ledgerPostings', 'sideWeights'])
      await shop.db.raw(`DROP TRIGGER ${table}_no_update`);
    await shop.db('ledgerPostings').where({ kind: 'package' }).update({ weight: 1_190 });
    await shop.db('sideWeights').where({ kind: 'hot' }).limit(1).update({ gross: 80_000 });
    const problems = await bookProblems(shop.db, NOW);
    expect(problems).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^transaction .* is off by -0\.100$/),
        expect.stringMatching(/^package \d+ was weighed as 1\.290 and its account holds 1\.190$/),
        expect.stringMatching(/^side .* has a hot ticket of 80\.000/),
      ]),
    );
  });
});
