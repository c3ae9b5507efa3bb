import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { forecast } from '@/core/forecast/forecast';
import { keptShare } from '@/core/hang/shrink';
import { lessonRowOf } from '@/core/learning/lessonRow';
import { groundOf } from '@/core/questions/groundOf';
import { takeHomeWorking } from '@/core/working/forecastWorkings';
import { instant } from '@/core/time/shopTime';
import { kindOf } from '@/core/learning/kinds';
import { planOf } from '@/core/order/standing';
import { learntRows } from '@/data/learning';
import { packAll } from '../tests/packAll';
import { hogDocument, TestShop } from '../tests/testShop';
import { completeYields } from '../yields';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

/** A half of another animal each time. */
let animals = 0;
async function half(): Promise<ShareId> {
  animals += 1;
  const animal = { ...hogDocument().animal, tag: `H9${10 + animals}` };
  return shop.onTheBlock(undefined, { animal });
}

async function closed(how?: Parameters<typeof packAll>[2]): Promise<ShareId> {
  const shareId = await half();
  await packAll(shop, shareId, how);
  await shop.get('closeShare', { clientId: randomUUID(), shareId, note: '' });
  return shareId;
}

const after = (at: string, minutes: number) => instant(new Date(Date.parse(at) + minutes * 60_000));

const expectedOf = async (shareId: ShareId) => planOf(await shop.file(shareId)).expected;

describe('what a closed share taught', () => {
  it('is written when it is closed, is the same worked out anew, and moves the forecast of the next', async () => {
    const before = await expectedOf(await half());
    expect(before.lines.every(({ evidence }) => evidence === 0)).toBe(true);
    const shareId = await closed();
    const [row] = await learntRows(shop.db, 'hog');
    expect(row).toMatchObject({ shareId, ...kindOf((await shop.file(shareId)).situation) });
    expect([...new Set(row!.lessons.map(({ of }) => of))].sort()).toEqual(['cure', 'cut', 'grind', 'whole']);
    const written = await shop.db('lessons').first('row');
    await shop.db('lessons').delete();
    expect(await completeYields(shop.db, shop.setUps)).toBe(1);
    expect(await shop.db('lessons').first('row')).toEqual(written);
    const after = await expectedOf(await half());
    expect(after.lines.filter(({ kind }) => kind === 'cut').some(({ evidence }) => evidence > 0)).toBe(true);
    expect(after.takeHome).not.toBe(before.takeHome);
  }, 60_000);

  it('of three orders narrows the range of what comes home, and moves it towards them', async () => {
    const before = await expectedOf(await half());
    for (let i = 0; i < 3; i += 1) await closed({ times: 0.93 });
    const after = await expectedOf(await half());
    const width = ({ takeHomeHigh, takeHomeLow, takeHome }: typeof after) =>
      (takeHomeHigh - takeHomeLow) / takeHome;
    const cut = (of: typeof after, name: string) => of.lines.find(({ ownCut }) => ownCut === name)!;
    expect(width(after)).toBeLessThan(width(before));
    expect(after.takeHome).toBeLessThan(before.takeHome);
    const roast = before.lines.find(
      ({ kind, destination }) => kind === 'cut' && destination === 'roasts',
    )!.ownCut;
    expect(cut(after, roast).packaged).toBeLessThan(cut(before, roast).packaged);
    expect(cut(after, roast).relativeSd).toBeLessThan(cut(before, roast).relativeSd);
    expect(cut(after, roast).evidence).toBeGreaterThan(0.4);
  }, 120_000);

  it('is in the sheet as it is answered in a browser, to the thousandth', async () => {
    await closed();
    const [waiting] = await shop.book(hogDocument({ animal: { ...hogDocument().animal, tag: 'H899' } }));
    const shareId = waiting!.share.id;
    const view = await shop.get('sheetView', { shareId });
    const { situation, coldSides } = groundOf(JSON.parse(JSON.stringify(view)), waiting!.situation.species);
    const there = forecast(situation, view.sheet, coldSides);
    expect(there).toEqual(await expectedOf(shareId));
    expect(there.lines.some(({ evidence }) => evidence > 0)).toBe(true);
    expect(takeHomeWorking(there, situation).source).toContain('From 1 of your finished hog shares');
  }, 60_000);

  it('is shown against the reference; left out with a reason it teaches no more, taken in again it does', async () => {
    const shareId = await closed();
    const view = await shop.get('learningView', { species: 'hog' });
    expect(view).toMatchObject({ asked: 'hog', shares: 1, leftOut: [] });
    const bacon = view.figures.find(({ taught, name }) => taught === 'cut' && name.includes('acon'))!;
    expect(bacon.orders).toBe(1);
    expect(bacon.lowPct).toBeLessThan(bacon.pct);
    const taught = await expectedOf(await half());
    const say = (leftOut: boolean, reason: string, role?: 'counter') =>
      shop.ask('leaveOut', { clientId: randomUUID(), shareId, leftOut, reason }, role);
    expect(await say(true, '')).toMatchObject({ ok: false });
    expect(await say(true, 'The scale was off', 'counter')).toMatchObject({ reason: 'not-allowed' });
    await say(true, 'The scale was off');
    const without = await shop.get('learningView', { species: 'hog' });
    expect(without).toMatchObject({
      shares: 0,
      figures: [],
      leftOut: [{ shareId, reason: 'The scale was off' }],
    });
    expect((await expectedOf(await half())).lines.every(({ evidence }) => evidence === 0)).toBe(true);
    await say(false, '');
    expect((await expectedOf(await half())).takeHome).toBe(taught.takeHome);
    expect(await shop.ask('learningView', { species: 'heron' })).toMatchObject({ reason: 'not-found' });
  }, 60_000);

  it('says how it dried, how many pieces it made, and how long it took, where that was measured', async () => {
    const file = await shop.file(await closed());
    const [first] = file.sides;
    const days = 5;
    const later = { ...first!, cold: { ...first!.cold!, at: after(first!.hot!.at, days * 24 * 60) } };
    const counted = file.weighings.map((each, at) => ({ ...each, pieces: 3, at: after(file.start!.at, at) }));
    const steps = [0, 5, 12, 90, 100].map((minutes) => new Date(after(file.start!.at, minutes)));
    const { lessons } = lessonRowOf({ ...file, sides: [later], weighings: counted }, shop.now, steps);
    const of = (taught: string) => lessons.filter((lesson) => lesson.of === taught);
    const curve = file.situation.species.shrink[0]!;
    const hot = 92_500;
    expect(of('shrink')).toEqual([expect.objectContaining({ name: curve.covering, got: hot - 91_000 })]);
    expect(of('shrink')[0]!.expected).toBeCloseTo(hot * (1 - keptShare(curve, days)), 6);
    expect(of('pieces').length).toBeGreaterThan(5);
    // The pause of 78 minutes is none of the block's.
    expect(of('block')).toEqual([expect.objectContaining({ got: 22, expected: 27.5 })]);
    const packs = counted.filter(({ kind }) => kind === 'package').length;
    expect(of('wrap')[0]!.expected).toBe(packs / 2.5);
  }, 60_000);

  it('of a share that is not closed is nothing', async () => {
    const shareId = await half();
    const input = { clientId: randomUUID(), shareId, leftOut: true, reason: 'too early' };
    expect(await shop.ask('leaveOut', input)).toMatchObject({ reason: 'not-found' });
  }, 60_000);
});
