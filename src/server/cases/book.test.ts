import { randomUUID } from 'node:crypto';
import twoHalves from '#examples/two-halves.json';
import type { OrderDocument } from '@/core/order/document';
import { balancesOfSides } from '@/data/repositories/ledger';
import { orderStage } from '../orderBook';
import { hogDocument, TestShop } from '../tests/testShop';

const example = twoHalves as unknown as OrderDocument;

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

describe('booking', () => {
  it('a hog for two households keeps farm, eater, payer and contact apart', async () => {
    const [left, right] = await shop.book(example);
    expect(left!.animal).toMatchObject({
      tag: 'H131',
      priceListId: 'autumn-2026',
      farm: { name: 'Windle Croft' },
    });
    expect(left!.share).toMatchObject({ part: 'left', deposit: 5000, payer: { name: 'Ragna Thole' } });
    expect(right!.share).toMatchObject({
      owner: { name: 'Denzil Karr', email: 'denzil.karr@example.org' },
      payer: { name: 'Karr and Daughters' },
      contact: { name: 'Denzil Karr' },
    });
    expect(right!.sheet).toMatchObject({ version: 1, approved: false });
  });

  it('takes the prices of the day it is booked, whatever comes later', async () => {
    shop.now = new Date('2026-05-02T12:00:00Z');
    const [order] = await shop.book();
    shop.now = new Date('2026-11-24T12:00:00Z');
    expect(order!.priceList.id).toBe('spring-2026');
  });

  it('with weights hangs the sides and fills the ledger', async () => {
    const [left] = await shop.book(example);
    expect(orderStage(left!)).toBe('sheet');
    expect(await balancesOfSides(shop.db, [left!.sides[0]!.side.id])).toEqual([
      { kind: 'intake', owner: left!.sides[0]!.side.id, weight: -92_500 },
      { kind: 'shrink', owner: left!.sides[0]!.side.id, weight: 1_500 },
      { kind: 'side', owner: left!.sides[0]!.side.id, weight: 91_000 },
    ]);
  });

  it('sent twice books once', async () => {
    const input = { clientId: randomUUID(), document: hogDocument() };
    const [first, second] = [await shop.get('bookOrder', input), await shop.get('bookOrder', input)];
    expect(second).toEqual(first);
    expect(await shop.db('shares')).toHaveLength(2);
  });

  it('a tag that hangs already is refused', async () => {
    await shop.book();
    const again = await shop.ask('bookOrder', { clientId: randomUUID(), document: hogDocument() });
    expect(again).toMatchObject({ ok: false, reason: 'tag-taken', field: 'animal.tag' });
  });

  it('an inspected animal needs an establishment number', async () => {
    const document = hogDocument({ animal: { ...hogDocument().animal, inspection: 'inspected' } });
    const refused = await shop.ask('bookOrder', { clientId: randomUUID(), document });
    expect(refused).toMatchObject({ ok: false, reason: 'no-establishment' });
  });

  it('a wrong sheet refuses the whole order and names the fields', async () => {
    const sheet = { answers: { butt: [{ option: 'steaks', params: { thickness: '9' } }] } };
    const document = hogDocument({ shares: [{ part: 'left', owner: { name: 'A' }, sheet }] });
    const refused = await shop.ask('bookOrder', { clientId: randomUUID(), document });
    expect(refused).toMatchObject({
      ok: false,
      reason: 'invalid',
      field: 'shares.0.sheet.answers.butt.forms[0].params.thickness',
    });
    for (const table of ['animals', 'people', 'sides', 'shares', 'sheets'])
      expect(await shop.db(table)).toEqual([]);
  });
});

describe('the rail', () => {
  it('shows each share where it hangs, with what it waits for', async () => {
    await shop.book();
    const rail = await shop.get('railView', {}, 'cutter');
    expect(rail.counts).toMatchObject({ book: 2, hang: 0, sheet: 0 });
    expect(rail.tickets.map((ticket) => [ticket.name, ticket.fact, ticket.flag])).toEqual([
      ['Ottilie Brandreth, left half', 'kill day 2026-11-22', ''],
      ['Corwin Aske, right half', 'kill day 2026-11-22', 'no sheet yet'],
    ]);
    expect(rail.shop).toEqual({ name: 'Skerry Sound Cut & Wrap', unit: 'lb', demo: true });
  });
});
