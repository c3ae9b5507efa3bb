import { randomUUID } from 'node:crypto';
import { balancesOfSides } from '@/data/repositories/ledger';
import type { InputOf } from '../useCases';
import { NOON, TestShop } from '../tests/testShop';

let shop: TestShop;
let sideId: string;
beforeEach(async () => {
  shop = await TestShop.open();
  const [order] = await shop.book();
  sideId = order!.sides[0]!.side.id;
});
afterEach(() => shop.close());

function ticket(kind: 'hot' | 'cold', gross: number, tare = 0): InputOf<'weighSide'> {
  return { clientId: randomUUID(), sideId, kind, gross, tare };
}

const board = async () => (await shop.get('hangView', {})).animals[0]!;
const side = async () => (await board()).sides.find((each) => each.sideId === sideId)!;

describe('the rail scale', () => {
  it('hot, then cold: shrink in weight and percent, expected beside it', async () => {
    await shop.get('weighSide', ticket('hot', 97_000, 4_500), 'cutter');
    expect(await side()).toMatchObject({ hot: 92_500, hotTare: 4_500, cold: null, shrink: null });
    expect(await board()).toMatchObject({ days: 2, chilling: true, weighedIn: [] });
    shop.now = new Date(NOON.getTime() + 25 * 3_600_000);
    await shop.get('weighSide', ticket('cold', 95_500, 4_500));
    const weighed = await side();
    expect(weighed).toMatchObject({ cold: 91_000, shrink: 1_500 });
    expect(weighed.shrinkPct).toBeCloseTo(1.62, 2);
    expect(weighed.expectedShrinkPct).toBeCloseTo(2.39, 2);
    expect(await board()).toMatchObject({ days: 3, chilling: false });
  });

  it('a later ticket corrects the earlier one, and both stay in the book', async () => {
    await shop.get('weighSide', ticket('hot', 29_250));
    await shop.get('weighSide', ticket('hot', 92_500));
    expect(await side()).toMatchObject({ hot: 92_500 });
    expect(await shop.db('sideWeights')).toHaveLength(2);
    expect(await balancesOfSides(shop.db, [sideId])).toEqual([
      { kind: 'intake', owner: sideId, weight: -92_500 },
      { kind: 'side', owner: sideId, weight: 92_500 },
    ]);
  });

  it('sent twice is written once', async () => {
    const hot = ticket('hot', 92_500);
    await shop.get('weighSide', hot);
    await shop.get('weighSide', hot);
    expect(await shop.db('sideWeights')).toHaveLength(1);
  });

  it.each<[string, () => InputOf<'weighSide'>]>([
    ['no-hot-weight', () => ticket('cold', 90_000)],
    ['tare-too-big', () => ticket('hot', 4_000, 4_000)],
    ['not-found', () => ({ ...ticket('hot', 90_000), sideId: randomUUID() })],
    ['invalid', () => ticket('hot', 0)],
    ['invalid', () => ticket('hot', 90.5)],
  ])('refuses with %s', async (reason, input) => {
    expect(await shop.ask('weighSide', input())).toMatchObject({ ok: false, reason });
    expect(await shop.db('sideWeights')).toEqual([]);
  });

  it('refuses a cold side that is heavier than hot, either way round', async () => {
    await shop.get('weighSide', ticket('hot', 92_500));
    expect(await shop.ask('weighSide', ticket('cold', 93_000))).toMatchObject({ reason: 'heavier-than-hot' });
    await shop.get('weighSide', ticket('cold', 91_000));
    expect(await shop.ask('weighSide', ticket('hot', 90_000))).toMatchObject({ reason: 'heavier-than-hot' });
  });

  it('is closed once the side is on the block', async () => {
    const shareId = await shop
      .get('weighSide', ticket('hot', 92_500))
      .then(() => shop.get('weighSide', ticket('cold', 91_000)))
      .then(async () => (await shop.db('shares').where({ part: 'left' }).first()).id as string);
    await shop.get('approveSheet', { shareId, version: 1, overrideReason: '' });
    await shop.get('startBlock', { shareId });
    expect(await shop.ask('weighSide', ticket('cold', 90_000))).toMatchObject({ reason: 'on-the-block' });
  });
});
