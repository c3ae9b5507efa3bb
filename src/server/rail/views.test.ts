import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import { TestShop } from '../tests/testShop';

let shop: TestShop;
beforeAll(async () => {
  shop = await TestShop.open();
});
afterAll(() => shop.close());

const NOWHERE = '00000000-0000-4000-8000-000000000000' as ShareId;

describe('a share that is not there', () => {
  it.each(['sheetView', 'wrapView', 'balanceView', 'settleView'] as const)('%s says so', async (name) => {
    expect(await shop.ask(name as 'sheetView', { shareId: NOWHERE })).toMatchObject({
      ok: false,
      reason: 'not-found',
    });
    expect(await shop.ask(name as 'sheetView', { shareId: 'x' as ShareId })).toMatchObject({
      ok: false,
      reason: 'invalid',
    });
  });
});

describe('a label', () => {
  it('is for people of the shop', async () => {
    const asked = { weighingId: NOWHERE as string as WeighingId, copy: 1 };
    expect(await shop.ask('labelView', asked, null)).toMatchObject({ ok: false, reason: 'not-signed-in' });
    expect(await shop.ask('labelView', asked)).toMatchObject({ ok: false, reason: 'not-found' });
  });

  it.each(['../fractum.db', '/etc/passwd', 'constructor'])('%s is no label', async (wrong) => {
    const asked = { weighingId: wrong as WeighingId, copy: 1 };
    expect(await shop.ask('labelView', asked)).toMatchObject({ ok: false, reason: 'invalid' });
  });
});

describe('an empty shop', () => {
  it('has an empty rail', async () => {
    expect((await shop.get('stageView', { stage: 'book', page: 0 })).tickets).toEqual([]);
    expect(await shop.get('hangView', {})).toMatchObject({ animals: [], unit: 'lb', cautions: [] });
  });
});
