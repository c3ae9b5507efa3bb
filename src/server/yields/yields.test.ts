import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { packedOf } from '@/core/yields/rates';
import { PACKED, WENT } from '@/core/yields/yieldRow';
import { yieldRows } from '@/data/yields';
import { packAll } from '../tests/packAll';
import { TestShop } from '../tests/testShop';
import { completeYields } from './yieldsOfShares';

let shop: TestShop;
let shareId: ShareId;
beforeEach(async () => {
  shop = await TestShop.open();
  shareId = await shop.onTheBlock();
});
afterEach(() => shop.close());

async function close(): Promise<void> {
  await packAll(shop, shareId);
  await shop.get('closeShare', { clientId: randomUUID(), shareId, note: '' });
}

describe('the year', () => {
  it('says what was hung, packed and charged, and nothing of a year without work', async () => {
    await close();
    const report = await shop.get('reportView', {});
    expect(report).toMatchObject({ year: 2026, years: [2026], unit: 'lb' });
    expect(report.whole).toMatchObject({ shares: 1, animals: 1, hot: 92_500 });
    expect(report.months.map(({ of }) => of)).toEqual(['2026-11']);
    expect(report.species.map(({ of }) => of)).toEqual(['Hog']);
    const { bill } = (await shop.file(shareId)).closing!;
    const farm = bill.farm.reduce((sum, { amount }) => sum + amount, 0);
    expect(report.charges.total).toBe(bill.total + farm);
    const { name, text } = await shop.get('reportFileView', { year: 2026 });
    expect(name).toBe('year-2026.csv');
    expect(text).toContain('month,2026-11,hung hot,lb,92.500');
    expect(text).toMatch(/species,Hog,packed on hot,percent,\d\d\.\d\d/);
    const charged = text.split('\n').filter((line) => line.includes(',money,'));
    const sum = charged.reduce((total, line) => total + Number(line.split(',').at(-1)), 0);
    expect(Math.round(100 * sum)).toBe(report.charges.total);
    expect(report.days).toEqual([]);
    const month = await shop.get('reportView', { month: '2026-11' });
    expect(month.days.map(({ sums }) => sums)).toEqual([report.whole]);
    const before = await shop.get('reportView', { year: 2025 });
    expect(before).toMatchObject({ whole: { shares: 0 }, months: [], charges: { total: 0, kinds: [] } });
  }, 60_000);
});

describe('what a finished share gave', () => {
  it('is written when it is closed, adds up to its cold weight, and is the same worked out anew', async () => {
    expect((await shop.get('yieldsView', { species: 'hog' })).shares).toBe(0);
    await close();
    const [row] = await yieldRows(shop.db, 'hog');
    const went = WENT.reduce((sum, each) => sum + row!.went[each], 0);
    expect(packedOf(row!) + went).toBe(row!.cold);
    expect(row!.cuts.reduce((sum, cut) => sum + cut.packed, 0)).toBe(packedOf(row!));
    expect(row).toMatchObject({ hot: 92_500, cold: 91_000, farm: 'Low Tarn', part: 'left half', live: null });
    const written = await shop.db('yields').first('row');
    await shop.db('yields').delete();
    expect(await completeYields(shop.db, shop.setUps)).toBe(1);
    expect(await shop.db('yields').first('row')).toEqual(written);
    expect(await completeYields(shop.db, shop.setUps)).toBe(0);
  }, 60_000);

  it('is shown by who cut it to the owner alone', async () => {
    const taken = { name: 'Odda', role: 'cutter', secret: 'fish-on-friday' } as const;
    const { personId } = await shop.get('takeOn', { clientId: randomUUID(), ...taken });
    await shop.get('sayWhoDid', { clientId: randomUUID(), shareId, hand: 'left', task: 'cut', personId });
    await close();
    const { cutters } = await shop.get('yieldsView', { species: 'hog' });
    expect(cutters).toMatchObject([{ name: 'Odda', shares: 1, packedOnHot: { of: 1 } }]);
    const told = await shop.get('yieldsView', { species: 'hog' }, 'counter');
    expect([told.cutters, told.choices.cutterId]).toEqual([[], []]);
    const asked = await shop.get('yieldsView', { species: 'hog', cutterId: 'nobody' }, 'counter');
    expect(asked.shares).toBe(1);
    const own = await shop.get('yieldsView', { species: 'hog', cutterId: personId });
    expect([own.shares, own.choices.cutterId]).toEqual([1, [{ id: personId, label: 'Odda', of: 1 }]]);
    expect((await shop.get('yieldsView', { species: 'hog', cutterId: 'nobody' })).shares).toBe(0);
  }, 60_000);

  it('is told piece by piece down to its packs, with every rate and what it stands on', async () => {
    expect(await shop.ask('shareYieldView', { shareId })).toMatchObject({ reason: 'not-closed' });
    await close();
    const view = await shop.get('shareYieldView', { shareId });
    expect(view).toMatchObject({ hot: 92_500, cold: 91_000, ofAnimal: 0.5, unit: 'lb' });
    expect(view.hands).toMatchObject([{ words: 'left side', hot: 92_500 }]);
    const { pieces } = view.hands[0]!;
    expect(pieces.reduce((sum, { cold }) => sum + cold, 0)).toBe(91_000);
    const cuts = [...pieces.flatMap((piece) => piece.cuts), ...view.besides];
    expect(cuts.reduce((sum, { packed }) => sum + packed, 0)).toBe(view.packed);
    for (const cut of new Set(cuts.map((each) => each.cut))) {
      const sumOf = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0);
      const packed = sumOf(cuts.filter((each) => each.cut === cut).map((each) => each.packed));
      expect(sumOf(view.packs.filter((pack) => pack.cut === cut).map(({ net }) => net))).toBe(packed);
    }
    const { share, animal } = view.rates['packed-hot'];
    expect(share.pct).toBeCloseTo((100 * view.packed) / 92_500, 9);
    expect(animal).toEqual(share);
    expect(view.rates['packed-live'].share.pct).toBeNull();
  }, 60_000);

  it('that cannot be worked out any more holds up no other, and no start', async () => {
    await close();
    await shop.db('yields').delete();
    const broken = { at: () => Promise.reject(new Error('a step that is gone')) };
    expect(await completeYields(shop.db, { ...shop.setUps, ...broken } as never)).toBe(0);
    expect(await completeYields(shop.db, shop.setUps)).toBe(1);
  }, 60_000);

  it('is shown with what each figure stands on, by choices that count', async () => {
    await close();
    const view = await shop.get('yieldsView', { species: 'hog' });
    expect(view).toMatchObject({ shares: 1, animals: 1, animal: 'hog', unit: 'lb' });
    const packs = PACKED.reduce((sum, part) => sum + view.spreads[part]!.mean, 0);
    expect(packs).toBeCloseTo(view.spreads['packed-hot']!.mean, 6);
    expect(view.pooled['packed-live']).toEqual({ pct: null, of: 0, leftOut: 1 });
    expect(view.choices.farmId).toEqual([{ id: expect.any(String), label: 'Low Tarn', of: 1 }]);
    const beef = await shop.get('yieldsView', { shareId: 'nobody' });
    expect(beef.why).toBeNull();
    const asked = await shop.get('yieldsView', { shareId });
    expect(asked).toMatchObject({ filter: { species: 'hog' }, why: { shareId, likes: 0, against: null } });
    const elsewhere = await shop.get('yieldsView', { species: 'hog', farmId: 'nobody' });
    expect(elsewhere).toMatchObject({ shares: 0, strokes: [] });
    expect(elsewhere.spreads['packed-hot']).toBeNull();
    const file = await shop.get('yieldsFileView', { species: 'hog' });
    expect(file.name).toBe('yields-hog.csv');
    expect(file.text.trim().split('\n')).toHaveLength(2);
    expect(await shop.ask('yieldsView', { species: 'heron' })).toMatchObject({ reason: 'not-found' });
    expect(await shop.ask('yieldsView', { species: 'hog' }, 'cutter')).toMatchObject({
      reason: 'not-allowed',
    });
  }, 60_000);
});
