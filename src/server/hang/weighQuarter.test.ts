import { randomUUID } from 'node:crypto';
import type { OrderDocument } from '@/core/order/document';
import type { ShareFile } from '@/core/order/shareFile';
import { coldWeight, hotWeight } from '@/core/order/standing';
import type { InputOf } from '../useCases';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let fore: ShareFile;
let hind: ShareFile;

const beef = (change: Partial<OrderDocument['animal']> = {}, weighed = true): OrderDocument => {
  const sheet = { houseForTheRest: true };
  return hogDocument({
    animal: { ...hogDocument().animal, tag: 'B31', species: 'beef', killDate: '2026-11-08', ...change },
    ...(weighed ? { weights: { left: { hot: 366 } } } : {}),
    shares: [
      { part: 'left-fore', owner: { name: 'A' }, sheet },
      { part: 'left-hind', owner: { name: 'B' }, sheet },
      { part: 'right', owner: { name: 'C' }, sheet },
    ],
  });
};

beforeEach(async () => {
  shop = await TestShop.open();
  [fore, hind] = (await shop.book(beef())) as [ShareFile, ShareFile];
});
afterEach(() => shop.close());

const put = (quarter: 'fore' | 'hind', net: number, change: Partial<InputOf<'weighQuarter'>> = {}) => {
  const sideId = fore.sides[0]!.side.id;
  const usual = { sideId, quarter, kind: 'cold', gross: net + 4_000, tare: 4_000, sure: false } as const;
  return shop.ask('weighQuarter', { clientId: randomUUID(), ...usual, ...change }, 'cutter');
};

describe('a side that is weighed in quarters', () => {
  it('weighs what both do; each share has its own to the thousandth, at the block too', async () => {
    expect(await put('fore', 188_000)).toMatchObject({ ok: true, value: { other: 'hind' } });
    expect((await shop.file(fore.share.id)).sides[0]!.cold).toBeUndefined();
    expect(await put('hind', 172_000)).toMatchObject({ ok: true, value: { other: null } });
    const [front, back] = [await shop.file(fore.share.id), await shop.file(hind.share.id)];
    expect(front.sides[0]!.cold).toMatchObject({
      gross: 368_000,
      tare: 8_000,
      remark: 'weighed in quarters',
    });
    expect([coldWeight(front), coldWeight(back)]).toEqual([188_000, 172_000]);
    expect(hotWeight(front) + hotWeight(back)).toBe(366_000);
    for (const { share } of [front, back]) await shop.approveAndStart(share.id);
    const held = (await shop.file(fore.share.id)).held.filter(({ kind }) => kind === 'share');
    expect(held).toMatchObject([{ weight: 188_000 }]);
    expect(await put('fore', 187_000)).toMatchObject({ ok: false, reason: 'on-the-block' });
  });

  it('weighed again has its new weight; a quarter is lighter than its side', async () => {
    await put('fore', 188_000);
    await put('hind', 172_000);
    await put('hind', 173_000);
    expect(coldWeight(await shop.file(hind.share.id))).toBe(173_000);
    expect(await put('fore', 365_000)).toMatchObject({
      ok: false,
      reason: 'more-than-there-is',
      field: 'gross',
    });
    expect(await put('fore', 3_000, { tare: 9_000 })).toMatchObject({ ok: false, reason: 'tare-too-big' });
  });

  it('that would weigh more than hot is refused, and neither quarter is written', async () => {
    await put('fore', 1190_000);
    expect(await put('hind', 190_000)).toMatchObject({ ok: false, reason: 'heavier-than-hot' });
    expect(await shop.db('quarterWeights').count({ all: '*' })).toEqual([{ all: 1 }]);
  });

  it('is of a species that is quartered, and hangs in two sides', async () => {
    const [hog] = await shop.book(hogDocument());
    const wrong = await put('fore', 30_000, { sideId: hog!.sides[0]!.side.id, kind: 'hot' });
    expect(wrong).toMatchObject({ ok: false, reason: 'not-offered' });
  });
});

describe('an animal alive', () => {
  const live = (gross: number, sure = false) => {
    const sideId = fore.sides[0]!.side.id;
    return shop.ask('noteLiveWeight', { clientId: randomUUID(), sideId, gross, tare: 0, sure }, 'cutter');
  };

  it('is weighed here, which goes before what the farm said, and is asked about where it cannot be', async () => {
    const [said] = await shop.book(beef({ tag: 'B32', facts: { liveWeight: 1_290 } }));
    fore = said!;
    expect(await live(1_200_000)).toMatchObject({ ok: true });
    expect((await shop.file(fore.share.id)).animal.facts.liveWeight).toBe(1_200);
    expect(await live(800_000)).toMatchObject({ ok: false, reason: 'unusual' });
    expect(await live(200_000)).toMatchObject({ ok: false, reason: 'not-that-animal', field: 'gross' });
    expect(await live(200_000, true)).toMatchObject({ ok: false, reason: 'not-that-animal' });
    expect(await live(0)).toMatchObject({ ok: false, reason: 'invalid' });
    await live(1_225_500);
    const { animals } = await shop.get('hangView', {});
    expect(animals.find(({ tag }) => tag === 'B32')!.live).toBe('1225.5 lb alive');
  });
});
