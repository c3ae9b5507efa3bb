import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { writeSend } from '@/data/links';
import { instant } from '@/core/time/shopTime';
import { answered, form, house } from '@/core/tests/halfHog';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let sheetId: ShareId;
let bareId: ShareId;
beforeEach(async () => {
  shop = await TestShop.open();
  const [left, right] = await shop.book(hogDocument({ weights: { left: { hot: 92.5 } } }));
  [sheetId, bareId] = [left!.share.id, right!.share.id];
});
afterEach(() => shop.close());

const clashing = answered(house, 'back-ribs', form('back-ribs', 'slab'));
const save = (sheet: typeof house, baseVersion: number, shareId = sheetId) =>
  shop.get('saveSheet', { shareId, baseVersion, sheet });
const approve = (version: number, overrideReason = '') =>
  shop.get('approveSheet', { clientId: randomUUID(), shareId: sheetId, version, overrideReason });
const call = (shareId: ShareId, reached: 'nobody' | 'message' = 'nobody', said = '') =>
  shop.get('noteCall', { clientId: randomUUID(), shareId, reached, said });
const rows = async () => (await shop.get('callsView', {})).rows;
const takeHouse = (shareId: ShareId, version: number, reason = 'Rang twice, nobody there') =>
  shop.ask('takeHouseWay', { clientId: randomUUID(), shareId, version, reason });
const rule = (does: 'wait' | 'house', calls: number) =>
  shop.get('changeSetUp', {
    clientId: randomUUID(),
    change: { kind: 'rules', rules: { noAnswer: { does, calls } } },
  });

describe('the call list', () => {
  it('has who has no sheet and whose sheet is open, the most urgent first, with how the last call went', async () => {
    await save(clashing, 1);
    await shop.book(
      hogDocument({
        animal: { tag: 'H901', species: 'hog', killDate: '2026-11-20', inspection: 'custom-exempt' },
      }),
    );
    await call(bareId);
    await call(bareId, 'message', 'Please ring back');
    expect(await rows()).toMatchObject([
      { about: 'hog H901', daysLeft: -3, why: 'no sheet yet', last: '' },
      { shareId: sheetId, by: '23 Nov', daysLeft: -1, why: '1 question open' },
      { shareId: bareId, why: 'no sheet yet', last: '2 calls; left a message 24 Nov 12:00' },
    ]);
  });

  it('calls one of those who are cut as one, for all of them', async () => {
    const half = (name: string, sharePct: number) => ({ part: 'left' as const, sharePct, owner: { name } });
    const animal = { ...hogDocument().animal, tag: 'H902' };
    await shop.book(hogDocument({ animal, shares: [half('Isolde Wray', 60), half('Tobit Lane', 40)] }));
    const called = (await rows()).filter(({ about }) => about === 'hog H902');
    expect(called).toMatchObject([
      { name: expect.stringContaining('Isolde Wray'), why: 'no sheet yet, decides for Tobit Lane as well' },
    ]);
  });

  it('has who sent a sheet that nobody has read back, until it is approved', async () => {
    expect((await rows()).map(({ shareId }) => shareId)).toEqual([bareId]);
    await writeSend(shop.db, {
      id: randomUUID(),
      shareId: sheetId,
      version: 1,
      at: instant(shop.now),
      actorId: 'link',
    });
    expect((await rows())[0]).toMatchObject({ shareId: sheetId, why: 'they sent it: read it back' });
    expect(await shop.get('callView', { shareId: sheetId })).toMatchObject({
      asks: [{ title: 'Their sheet' }],
    });
    const today = await shop.get('todayView', {});
    expect(today.tasks.find(({ shareIds }) => shareIds[0] === sheetId)).toBeDefined();
    expect(today.tasks.map(({ words }) => words)).toContainEqual(
      expect.stringMatching(/^they sent their sheet/),
    );
    await approve(1);
    expect((await rows()).map(({ shareId }) => shareId)).toEqual([bareId]);
  });

  it('has whose promise no longer holds, once the animal is weighed', async () => {
    await approve(1);
    expect((await rows()).map(({ shareId }) => shareId)).toEqual([bareId]);
    shop.now = new Date('2026-11-24T13:00:00Z');
    const side = (await shop.file(sheetId)).sides[0]!.side.id;
    await shop.get('weighSide', {
      clientId: randomUUID(),
      sideId: side,
      kind: 'cold',
      gross: 72_000,
      tare: 0,
      reason: '',
      sure: true,
    });
    expect((await rows())[0]).toMatchObject({ shareId: sheetId, why: '1 doubt' });
    const { asks } = await shop.get('callView', { shareId: sheetId });
    expect(asks).toHaveLength(1);
    expect(asks[0]!.words).toMatch(
      /^It weighs 72\.0 lb, not about 9\d, .+ come home, not \d+ to \d+; about \$/,
    );
  });

  it('of a call says what to ask, and what happens if nobody answers', async () => {
    await save(clashing, 1);
    expect(await shop.get('callView', { shareId: sheetId })).toMatchObject({
      contact: 'Ottilie Brandreth',
      asks: [{ decision: 'back-ribs', waits: true }],
      ifNobody: 'It waits on the rail: due on the block 24 Nov, and no longer than 27 Nov.',
      house: null,
      version: 2,
    });
  });
});

describe('nobody answers', () => {
  it('and the shop waits: the house’s way is not taken', async () => {
    expect(await takeHouse(bareId, 0)).toMatchObject({ reason: 'not-yet' });
  });

  it('after the day and the calls that the rule names, the house’s way is taken with a reason', async () => {
    await rule('house', 2);
    expect((await shop.get('callView', { shareId: bareId })).ifNobody).toBe(
      'From 23 Nov 12:00 and 2 calls on, our usual way is taken for what is open.',
    );
    await call(bareId);
    expect(await takeHouse(bareId, 0)).toMatchObject({
      reason: 'not-yet',
      message: 'Not before 1 call more.',
    });
    await call(bareId);
    expect(await takeHouse(bareId, 0, '-')).toMatchObject({ reason: 'invalid', field: 'reason' });
    expect(await takeHouse(bareId, 1)).toMatchObject({ reason: 'changed-elsewhere' });
    expect(await takeHouse(bareId, 0)).toEqual({ ok: true, value: { version: 1 } });
    const { sheet } = await shop.file(bareId);
    expect(sheet).toMatchObject({ approved: true, sheet: { answers: house.answers } });
    expect(sheet!.overrideReason).toMatch(/^No answer by 23 Nov: our usual way for \d+ rows\. Rang twice/);
    expect(await takeHouse(bareId, 1)).toMatchObject({ reason: 'approved' });
    expect(await rows()).toEqual([]);
  });

  it('leaves what they had answered, and names what it took', async () => {
    await rule('house', 0);
    const { butt: _, ...answers } = answered(house, 'ham', form('ham', 'whole')).answers;
    await save({ ...house, answers }, 0, bareId);
    expect((await shop.get('callView', { shareId: bareId })).house).toMatchObject({
      rows: [expect.stringMatching(/^Butt: /)],
      notYet: '',
    });
    await takeHouse(bareId, 1);
    const { sheet } = await shop.file(bareId);
    expect(sheet!.sheet.answers).toEqual({ ...answers, butt: house.answers.butt });
    expect(sheet!.overrideReason).toContain('our usual way for butt.');
  });

  it('before the day: not yet', async () => {
    await rule('house', 0);
    shop.now = new Date('2026-11-23T11:59:00Z');
    expect(await takeHouse(bareId, 0)).toMatchObject({
      reason: 'not-yet',
      message: 'Not before 23 Nov 12:00.',
    });
    shop.now = new Date('2026-11-23T12:00:00Z');
    expect(await takeHouse(bareId, 0)).toMatchObject({ ok: true });
  });
});
