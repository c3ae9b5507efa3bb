import { randomUUID } from 'node:crypto';
import type { ShareFile } from '@/core/order/shareFile';
import type { InputOf } from '../useCases';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let left: ShareFile;

beforeEach(async () => {
  shop = await TestShop.open();
  for (const [id, size] of [['north', 12] as const, ['south', 6] as const]) {
    const place = { id, kind: 'rail' as const, name: `The ${id} rail`, size };
    await shop.get('changeSetUp', { clientId: randomUUID(), change: { kind: 'place', place } });
  }
  const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
  [left] = (await shop.book(hogDocument({ weights }))) as [ShareFile];
});
afterEach(() => shop.close());

const board = () => shop.get('hangView', {}).then(({ rails }) => rails);
const does = (change: Partial<InputOf<'doOnRail'>>, sideId = left.sides[0]!.side.id) => {
  const usual = { kind: 'moved', rail: 'south', foot: 2, reason: '' } as const;
  return shop.ask('doOnRail', { clientId: randomUUID(), sideId, ...usual, ...change }, 'cutter');
};

describe('the plan of the rails', () => {
  it('is only looked at by who does not handle what hangs', async () => {
    expect((await board()).mayHandle).toBe(true);
    expect((await shop.get('hangView', {}, 'wrapper')).rails.mayHandle).toBe(false);
  });

  it('hangs what nobody has hung in the first gap, and says how many feet are in use', async () => {
    const { rails, sides, without } = await board();
    expect(rails[0]).toMatchObject({ name: 'The north rail', used: 2.5 });
    expect(rails[0]!.hung.map(({ from, said }) => [from, said])).toEqual([
      [0, false],
      [1.25, false],
    ]);
    expect(without).toEqual([]);
    expect(sides.map(({ days, targetDays, weight }) => [days, targetDays, weight])).toEqual([
      [2, 2, '91.0'],
      [2, 2, '89.6'],
    ]);
  });

  it('hangs a side where it was moved, and nothing over it or beyond the rail', async () => {
    expect(await does({})).toMatchObject({ ok: true });
    const { rails } = await board();
    expect(rails[1]!.hung).toEqual([expect.objectContaining({ from: 2, feet: 1.25, said: true })]);
    const right = left.otherSides[0]!.side.id;
    expect(await does({ foot: 3 }, right)).toMatchObject({
      reason: 'no-room',
      message: expect.stringMatching(/There hangs H900/),
    });
    expect(await does({ foot: 5.5 }, right)).toMatchObject({
      reason: 'no-room',
      message: expect.stringMatching(/has 6 feet/),
    });
    expect(await does({ rail: 'west' }, right)).toMatchObject({ reason: 'not-found' });
    expect(await does({ foot: 3.25 }, right)).toMatchObject({ ok: true });
  });

  it('says what is covered', async () => {
    await does({ kind: 'covered' });
    expect((await board()).sides.map(({ covered }) => covered)).toEqual([true, false]);
    await does({ kind: 'bared' });
    expect((await board()).sides.map(({ covered }) => covered)).toEqual([false, false]);
  });

  it('keeps what is held off the block until somebody lets it go, or says why', async () => {
    expect(await does({ kind: 'held' })).toMatchObject({ ok: false, reason: 'invalid' });
    await does({ kind: 'held', reason: 'Waits for the inspector' });
    expect((await board()).sides[0]!.held).toBe('Waits for the inspector');
    const { version } = (await shop.file(left.share.id)).sheet!;
    const shareId = left.share.id;
    await shop.get('approveSheet', { clientId: randomUUID(), shareId, version, overrideReason: '' });
    const start = (reason: string) => shop.ask('startBlock', { clientId: randomUUID(), shareId, reason });
    expect(await start('')).toMatchObject({ reason: 'on-hold', field: 'reason' });
    await does({ kind: 'let go' });
    expect(await start('')).toMatchObject({ ok: true });
  });

  it('says how a side dries, day by day, and what it weighed', async () => {
    const { sides } = await board();
    const { drying } = sides.find(({ sideId }) => sideId === left.sides[0]!.side.id)!;
    expect(drying!.expected[0]).toBe(92_500);
    expect(drying!.expected).toHaveLength(6);
    expect(drying!.weighed.map(({ weight }) => weight)).toEqual([92_500, 91_000]);
    for (const [day, weight] of drying!.expected.slice(1).entries()) {
      expect(weight).toBeLessThan(drying!.expected[day]!);
    }
  });
});
