import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import type { Facts } from '@/core/order/changes';
import { billBasis } from '@/core/order/standing';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const correct = (shareId: ShareId, facts: Partial<Facts>, reason = 'the farm called') =>
  shop.ask('correctFacts', { clientId: randomUUID(), shareId, facts, reason });
const cancel = (shareId: ShareId, deposit?: 'cash' | 'kept') =>
  shop.ask('cancelOrder', {
    clientId: randomUUID(),
    shareId,
    reason: 'moved away',
    ...(deposit ? { deposit } : {}),
  });
const found = async (words: string) =>
  (await shop.get('findView', { words })).tickets.map((ticket) => ticket.name);

describe('what was booked wrongly', () => {
  it('is put right with a reason, is found by it, and what stood there stays known', async () => {
    const [left] = await shop.book();
    const { id } = left!.share;
    expect(await correct(id, { tag: 'H777', killDate: '2026-11-21', sex: 'barrow' })).toMatchObject({
      ok: true,
    });
    expect((await shop.file(id)).animal).toMatchObject({
      tag: 'H777',
      killDate: '2026-11-21',
      sex: 'barrow',
    });
    expect(await found('H777')).toHaveLength(2);
    expect(await found('H900')).toEqual([]);
    const { office } = await shop.get('ticketView', { shareId: id });
    expect(office!.said.map(({ words, why }) => [words, why])).toEqual(
      expect.arrayContaining([
        ['tag: H900 became H777', 'the farm called'],
        ['kill day: 2026-11-22 became 2026-11-21', 'the farm called'],
      ]),
    );
  });

  it('another number is the same person’s everywhere; another name is somebody else', async () => {
    const [left] = await shop.book();
    const again = hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } });
    const [other] = await shop.book(again);
    expect(other!.share.owner.id).toBe(left!.share.owner.id);
    await correct(left!.share.id, { ownerPhone: '555 0177' });
    expect((await shop.file(other!.share.id)).share.owner.phone).toBe('555 0177');
    await correct(left!.share.id, { ownerName: 'Isolde Marsh', ownerPhone: '555 0170' });
    expect((await shop.file(left!.share.id)).share.owner).toMatchObject({ name: 'Isolde Marsh' });
    expect((await shop.file(other!.share.id)).share.owner.name).toBe('Ottilie Brandreth');
    expect(await found('0170')).toEqual(['Isolde Marsh, left half']);
  });

  it('who pays and who is called follow who eats it, unless they are somebody else', async () => {
    const [left] = await shop.book();
    const { id } = left!.share;
    await correct(id, { payerName: 'Marsh and Son' });
    await correct(id, { ownerName: 'Isolde Marsh' });
    const { payer, contact } = (await shop.file(id)).share;
    expect([payer.name, contact.name]).toEqual(['Marsh and Son', 'Isolde Marsh']);
    await correct(id, { payerName: '' });
    expect((await shop.file(id)).share.payer.name).toBe('Isolde Marsh');
  });

  it('is refused without a reason, without a change, empty, or with another animal’s tag', async () => {
    const [left] = await shop.book();
    await shop.book(hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } }));
    const { id } = left!.share;
    expect(await correct(id, { tag: 'H777' }, '.')).toMatchObject({ reason: 'invalid', field: 'reason' });
    expect(await correct(id, { tag: 'H900' })).toMatchObject({ reason: 'nothing-to-correct' });
    expect(await correct(id, { ownerName: ' ' })).toMatchObject({ field: 'facts.ownerName' });
    expect(await correct(id, { killDate: '2026-02-30' })).toMatchObject({ field: 'facts.killDate' });
    expect(await correct(id, { tag: 'H901' })).toMatchObject({ reason: 'tag-taken', field: 'facts.tag' });
    expect((await shop.file(id)).animal.tag).toBe('H900');
  });
});

describe('an order that is called off', () => {
  it('leaves the rail, and the deposit is given back or kept', async () => {
    const [left, right] = await shop.book();
    expect(await cancel(left!.share.id)).toMatchObject({ reason: 'needs-a-note', field: 'deposit' });
    expect(await cancel(left!.share.id, 'cash')).toMatchObject({ ok: true });
    expect(
      (await shop.get('stageView', { stage: 'book', page: 0 })).tickets.map((each) => each.name),
    ).toEqual(['Corwin Aske, right half']);
    const { cancelled, office, stage } = await shop.get('ticketView', { shareId: left!.share.id });
    expect([stage, cancelled?.why, office!.money.paid]).toEqual(['cancelled', 'moved away', -5000]);
    expect(await found('ottilie')).toEqual(['Ottilie Brandreth, left half']);
    // The farm now has the other half of the animal, and of its charges by the head.
    const file = await shop.file(right!.share.id);
    expect(billBasis(file, 1000 as never, []).headSplit).toMatchObject({
      parts: [0.5, 0.5],
      index: 0,
      sheets: 1,
    });
  });

  it('can be sold to somebody else, and the same half is never two people’s', async () => {
    const [left, right] = await shop.book();
    const sell = (part: 'left' | 'right' | 'whole') =>
      shop.ask('sellPart', {
        clientId: randomUUID(),
        animalId: left!.animal.id,
        part,
        owner: { name: 'Isolde Marsh' },
        deposit: 20,
        house: true,
      });
    expect(await sell('left')).toMatchObject({ reason: 'sold-already', field: 'part' });
    await cancel(left!.share.id, 'kept');
    expect((await shop.get('ticketView', { shareId: right!.share.id })).unsold).toEqual([
      { part: 'left', sharePct: 100 },
    ]);
    expect(await sell('whole')).toMatchObject({ reason: 'sold-already' });
    const sold = await sell('left');
    expect(sold.ok).toBe(true);
    const file = await shop.file((sold as { value: { shareId: ShareId } }).value.shareId);
    expect([file.share.part, file.share.deposit, file.sheet?.version]).toEqual(['left', 2000, 1]);
    expect(file.siblings.map((share) => share.owner.name)).toEqual(['Corwin Aske', 'Isolde Marsh']);
    expect(await sell('left')).toMatchObject({ reason: 'sold-already' });
  });

  it('is refused once it is cut, once it is off, and when nobody else has a part of what hangs', async () => {
    const shareId = await shop.onTheBlock();
    expect(await cancel(shareId, 'kept')).toMatchObject({ reason: 'on-the-block' });
    const weights = { left: { hot: 92.5 }, right: { hot: 91 } };
    const animal = { ...hogDocument().animal, tag: 'H901' };
    const [left, right] = await shop.book(hogDocument({ animal, weights }));
    expect(await cancel(right!.share.id)).toMatchObject({ ok: true });
    expect(await cancel(right!.share.id)).toMatchObject({ reason: 'cancelled' });
    expect(await cancel(left!.share.id, 'kept')).toMatchObject({ reason: 'hangs-already' });
    // The half that nobody has still hangs, and is weighed.
    const board = await shop.get('hangView', {});
    const sides = board.animals.find((each) => each.tag === 'H901')!.sides;
    expect(sides.map(({ position, unsold }) => [position, unsold])).toEqual([
      ['left', false],
      ['right', true],
    ]);
  });

  it('takes no sheet and is not cut', async () => {
    const [left] = await shop.book();
    const { id } = left!.share;
    await cancel(id, 'kept');
    const view = await shop.get('sheetView', { shareId: id });
    const save = { shareId: id, baseVersion: view.version, sheet: view.sheet };
    expect(await shop.ask('saveSheet', save)).toMatchObject({ reason: 'cancelled' });
    const start = { clientId: randomUUID(), shareId: id, reason: '' };
    expect(await shop.ask('startBlock', start)).toMatchObject({ reason: 'cancelled' });
  });
});
