import { randomUUID } from 'node:crypto';
import type { ShareId, SideId } from '@/core/order/animal';
import { balancesOf } from '@/data/ledger';
import type { InputOf } from '../useCases';
import { NOON, TestShop } from '../tests/testShop';

let shop: TestShop;
let sideId: SideId;
beforeEach(async () => {
  shop = await TestShop.open();
  const [order] = await shop.book();
  sideId = order!.sides[0]!.side.id;
});
afterEach(() => shop.close());

function ticket(kind: 'hot' | 'cold', gross: number, tare = 0): InputOf<'weighSide'> {
  return { clientId: randomUUID(), sideId, kind, gross, tare, reason: '', sure: false };
}

const board = async () => (await shop.get('hangView', {})).animals[0]!;
const side = async () => (await board()).sides.find((each) => each.sideId === sideId)!;

describe('the rail scale', () => {
  it('hot, then cold: shrink in weight and percent, expected beside it', async () => {
    await shop.get('weighSide', ticket('hot', 97_000, 4_500), 'cutter');
    expect(await side()).toMatchObject({ hot: 92_500, hotTare: 4_500, cold: null, shrink: null });
    expect(await board()).toMatchObject({ days: 2, chilling: false, weighedIn: [] });
    shop.now = new Date(NOON.getTime() + 25 * 3_600_000);
    await shop.get('weighSide', ticket('cold', 95_500, 4_500));
    const weighed = await side();
    expect(weighed).toMatchObject({ cold: 91_000, shrink: 1_500 });
    expect(weighed.shrinkPct).toBeCloseTo(1.62, 2);
    expect(weighed.expectedShrinkPct).toBeCloseTo(2.39, 2);
    expect(await board()).toMatchObject({ days: 3 });
  });

  it('a later ticket corrects the earlier one, and both stay in the book', async () => {
    await shop.get('weighSide', { ...ticket('hot', 29_250), sure: true });
    await shop.get('weighSide', ticket('hot', 92_500));
    expect(await side()).toMatchObject({ hot: 92_500 });
    expect(await shop.db('sideWeights')).toHaveLength(2);
    expect(await balancesOf(shop.db, [sideId])).toEqual([
      { kind: 'intake', owner: sideId, weight: -92_500 },
      { kind: 'side', owner: sideId, weight: 92_500 },
    ]);
  });

  it('that waited for the network stands at the moment it was weighed', async () => {
    const takenAt = new Date(shop.now.getTime() - 3 * 3_600_000).toISOString();
    await shop.get('weighSide', { ...ticket('hot', 92_500), takenAt });
    expect(await shop.db('sideWeights').select('at')).toEqual([{ at: takenAt }]);
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
    ['not-found', () => ({ ...ticket('hot', 90_000), sideId: randomUUID() as SideId })],
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
    await shop.get('weighSide', ticket('hot', 92_500));
    await shop.get('weighSide', ticket('cold', 91_000));
    const { id } = await shop.db('shares').where({ part: 'left' }).first();
    await shop.approveAndStart(id as ShareId);
    expect(await shop.ask('weighSide', ticket('cold', 90_000))).toMatchObject({ reason: 'on-the-block' });
  });
});

describe('warm meat', () => {
  it('is counted from the kill, not from when its weight was typed', async () => {
    await shop.get('weighSide', ticket('hot', 92_500));
    expect(await board()).toMatchObject({ chilling: false });
  });

  it('killed today is chilling, whatever is corrected later, and not cut without a reason', async () => {
    shop.now = new Date('2026-11-22T10:00:00Z');
    await shop.get('weighSide', ticket('hot', 92_500));
    shop.now = new Date('2026-11-23T09:00:00Z');
    await shop.get('weighSide', { ...ticket('hot', 92_600), reason: 'hook was tared twice' });
    await shop.get('weighSide', ticket('cold', 91_000));
    expect(await board()).toMatchObject({ chilling: true });
    const { id } = await shop.db('shares').where({ part: 'left' }).first();
    const shareId = id as ShareId;
    await shop.get('approveSheet', { clientId: randomUUID(), shareId, version: 1, overrideReason: '' });
    const start = (reason: string) =>
      shop.ask('startBlock', { clientId: randomUUID(), shareId, reason }, 'owner');
    expect(await start('')).toMatchObject({ reason: 'still-chilling', field: 'reason' });
    expect(await start('the ferry leaves tomorrow')).toMatchObject({ ok: true });
    expect(await shop.db('blockStarts')).toMatchObject([{ reason: 'the ferry leaves tomorrow' }]);
  });

  it('of yesterday noon is cold at noon', async () => {
    shop.now = new Date('2026-11-22T10:00:00Z');
    await shop.get('weighSide', ticket('hot', 92_500));
    shop.now = new Date('2026-11-23T10:30:00Z');
    expect(await board()).toMatchObject({ chilling: false });
  });
});

/** A ticket whose weight comes from the rail scale. */
function fromScale(kind: 'hot' | 'cold') {
  return { clientId: randomUUID(), sideId, kind, tare: 0, reason: '', sure: false };
}

describe('how warm a side is inside', () => {
  const measure = (typed?: number) =>
    shop.ask('noteTemperature', {
      clientId: randomUUID(),
      sideId,
      ...(typed === undefined ? {} : { typed }),
    });

  it('by the probe says whether it is chilled, whatever the clock says', async () => {
    shop.now = new Date('2026-11-22T10:00:00Z');
    await shop.get('weighSide', ticket('hot', 92_500));
    shop.now = new Date('2026-11-23T08:00:00Z');
    expect(await board()).toMatchObject({ chilling: true });
    shop.probeReads = { probeId: 'probe', tenths: 384, scale: 'F', steady: true };
    expect(await measure()).toEqual({ ok: true, value: { words: '38.4 °F', cold: true } });
    expect(await board()).toMatchObject({ chilling: false });
    shop.now = new Date('2026-11-25T08:00:00Z');
    expect(await measure(52)).toMatchObject({ value: { cold: false } });
    expect(await board()).toMatchObject({ chilling: true });
    expect(await shop.db('deepTemperatures').orderBy('rowid').select('tenthsF', 'origin')).toEqual([
      { tenthsF: 384, origin: 'probe' },
      { tenthsF: 520, origin: 'typed' },
    ]);
  });

  it('is not taken while the probe moves', async () => {
    await shop.get('weighSide', ticket('hot', 92_500));
    shop.probeReads = { probeId: 'probe', tenths: 700, scale: 'F', steady: false };
    expect(await measure()).toMatchObject({ reason: 'not-steady' });
  });
});

describe('what hangs on the rail scale', () => {
  it('is taken as the scale says it, less hook and trolley, and stands in the book as weighed', async () => {
    const said = fromScale('hot');
    const reading = shop.reading(95_000, { scaleId: 'rail', gross: 95_000, tare: 0 });
    await shop.get('weighSide', { ...said, reading, tare: 2_500 }, 'cutter');
    expect(await shop.db('sideWeights')).toMatchObject([{ gross: 95_000, tare: 2_500, origin: 'scale' }]);
  });

  it('is nobody’s word: what the scale did not say, or says while it moves, is not taken', async () => {
    const said = fromScale('hot');
    const reading = shop.reading(95_000, { scaleId: 'rail', gross: 95_000, tare: 0 });
    const asked = (change: object) => shop.ask('weighSide', { ...said, reading: { ...reading, ...change } });
    expect(await asked({ net: 99_000 })).toMatchObject({ reason: 'not-the-scale' });
    const moving = shop.reading(95_000, { gross: 95_000, tare: 0, state: 'moving' });
    expect(await asked(moving)).toMatchObject({ reason: 'not-steady' });
  });
});

describe('a weight that can hardly be', () => {
  it('is taken with a second yes, which is kept', async () => {
    const heavy = ticket('hot', 180_000);
    expect(await shop.ask('weighSide', heavy)).toMatchObject({ reason: 'unusual', field: 'gross' });
    await shop.get('weighSide', { ...heavy, sure: true }, 'cutter');
    expect(await shop.db('sideWeights')).toMatchObject([
      { actorId: 'id-cutter', origin: 'typed', remark: '180.00 lb for a half hog, where 91 lb is usual.' },
    ]);
  });

  it('far below the hot one is asked about, whichever is written last', async () => {
    await shop.get('weighSide', ticket('hot', 92_000));
    const cold = ticket('cold', 70_000);
    expect(await shop.ask('weighSide', cold)).toMatchObject({
      reason: 'unusual',
      message: 'Cold is 24 % less than hot, which no rail takes. Are both weights right?',
    });
    await shop.get('weighSide', { ...cold, sure: true });
    await shop.get('weighSide', { ...ticket('cold', 90_000), reason: 'read wrong' });
    const hot = { ...ticket('hot', 120_000), reason: 'read wrong' };
    expect(await shop.ask('weighSide', hot)).toMatchObject({ reason: 'unusual' });
  });

  it('is not taken at all when no such animal weighs it', async () => {
    expect(await shop.ask('weighSide', { ...ticket('hot', 900_000), sure: true })).toMatchObject({
      reason: 'not-that-animal',
    });
  });
});

describe('whose hands', () => {
  it.each([
    ['wrapper', false],
    ['smoker', false],
    ['cutter', true],
    ['counter', true],
  ] as const)('the %s may write a rail weight: %s', async (role, may) => {
    expect((await shop.ask('weighSide', ticket('hot', 92_500), role)).ok).toBe(may);
  });

  it('correct a ticket with a reason, or are the owner', async () => {
    await shop.get('weighSide', ticket('hot', 92_500), 'cutter');
    expect(await shop.ask('weighSide', ticket('hot', 92_600), 'cutter')).toMatchObject({
      reason: 'needs-a-reason',
    });
    await shop.get('weighSide', { ...ticket('hot', 92_600), reason: 'misread' }, 'cutter');
    await shop.get('weighSide', ticket('hot', 92_700), 'owner');
  });
});
