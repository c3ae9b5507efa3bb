import { randomUUID } from 'node:crypto';
import { billFor } from '@/core/charges/bill';
import type { PriceChange } from '@/core/charges/changes';
import { TestShop } from '../tests/testShop';

describe('the prices of a shop', () => {
  let shop: TestShop;
  beforeAll(async () => {
    shop = await TestShop.open();
  });
  afterAll(() => shop.close());

  const view = () => shop.get('pricesView', {});
  const begin = async (name: string, effectiveFrom: string) => {
    const baseId = (await view()).standing.at(-1)!.list.id;
    return (await shop.get('startPriceList', { clientId: randomUUID(), baseId, name, effectiveFrom }))
      .draftId;
  };
  const change = (draftId: string, said: PriceChange) =>
    shop.ask('changePrices', { clientId: randomUUID(), draftId, change: said });
  const inHand = async (draftId: string) => (await view()).inHand.find((each) => each.id === draftId)!;
  const rateOf = async (draftId: string, id: string) =>
    (await inHand(draftId)).list.rules.find((rule) => rule.id === id)?.rateCents;

  it('are copied, changed step by step, and each step taken back by itself', async () => {
    const draftId = await begin('Winter prices', '2099-02-01');
    await change(draftId, { kind: 'rate', rule: 'cut-and-wrap', rateCents: 104 });
    await change(draftId, { kind: 'rate', rule: 'slaughter', rateCents: 8200 });
    await change(draftId, { kind: 'rate', rule: 'cut-and-wrap', rateCents: 110 });
    const { history } = await inHand(draftId);
    expect(history.map((step) => step.words)).toEqual([
      'Cut and wrap 1.04 to 1.10',
      'Slaughter 78.00 to 82.00',
      'Cut and wrap 0.98 to 1.04',
    ]);
    await shop.get('takeBackPrice', { clientId: randomUUID(), draftId, changeId: history[0]!.id });
    expect(await rateOf(draftId, 'cut-and-wrap')).toBe(104);
    expect(await rateOf(draftId, 'slaughter')).toBe(8200);
    const again = { clientId: randomUUID(), draftId, changeId: history[0]!.id };
    expect(await shop.ask('takeBackPrice', again)).toMatchObject({ ok: false, reason: 'not-found' });
  });

  it('come in force once, on a day that is free, and never change again', async () => {
    const draftId = await begin('Summer prices', '2099-06-01');
    const answer = await shop.get('putPricesInForce', { clientId: randomUUID(), draftId });
    const standing = (await view()).standing.find(({ list }) => list.id === answer.listId)!;
    expect(standing).toMatchObject({ state: 'coming', shares: 0, list: { name: 'Summer prices' } });
    expect(await change(draftId, { kind: 'rate', rule: 'slaughter', rateCents: 1 })).toMatchObject({
      ok: false,
      reason: 'not-found',
    });
    const baseId = answer.listId;
    const ask = (effectiveFrom: string) =>
      shop.ask('startPriceList', { clientId: randomUUID(), baseId, name: 'Twice', effectiveFrom });
    expect(await ask('2099-06-01')).toMatchObject({
      ok: false,
      message: expect.stringContaining('free day is 2099-06-02'),
    });
    expect(await ask('2001-01-01')).toMatchObject({ ok: false, message: expect.stringContaining('is past') });
    expect(await ask('2099-02-30')).toMatchObject({ ok: false, reason: 'invalid' });
  });

  it('refuse what no list can be and keep what stood there', async () => {
    const draftId = await begin('Odd prices', '2099-03-01');
    const refused: PriceChange[] = [
      { kind: 'rate', rule: 'cut-and-wrap', rateCents: -5 },
      { kind: 'rate', rule: 'nothing', rateCents: 5 },
      {
        kind: 'charge',
        charge: { id: 'x', label: 'X', basis: 'piece', rateCents: 5 as never, key: 'curring' },
      },
      {
        kind: 'charge',
        charge: { id: 'x', label: 'X', basis: 'piece', rateCents: 5 as never, species: ['unicorn'] },
      },
    ];
    for (const said of refused) expect(await change(draftId, said)).toMatchObject({ ok: false });
    expect((await inHand(draftId)).history).toEqual([]);
  });

  it('do not come in force without a single charge, however that came about', async () => {
    const draftId = await begin('Nothing', '2099-07-01');
    const box = { id: 'box', label: 'Boxes', basis: 'flat', rateCents: 5 as never } as const;
    await change(draftId, { kind: 'charge', charge: box });
    const added = (await inHand(draftId)).history[0]!.id;
    for (const { id } of (await inHand(draftId)).list.rules) {
      if (id !== 'box') await change(draftId, { kind: 'without', rule: id });
    }
    await shop.get('takeBackPrice', { clientId: randomUUID(), draftId, changeId: added });
    const put = await shop.ask('putPricesInForce', { clientId: randomUUID(), draftId });
    expect(put).toMatchObject({ ok: false, reason: 'invalid', field: 'rules' });
  });

  it('go out as a file and come in again', async () => {
    const draftId = await begin('From a file', '2099-04-01');
    for (const as of ['csv', 'json'] as const) {
      const { text } = await shop.get('priceFileView', { listId: draftId, as });
      const cheaper = text.replace(/Cut and wrap/, 'Cutting and wrapping');
      await shop.get('importPrices', { clientId: randomUUID(), draftId, text: cheaper });
      expect((await inHand(draftId)).list.rules.some((rule) => rule.label === 'Cutting and wrapping')).toBe(
        true,
      );
    }
    const bad = await shop.ask('importPrices', { clientId: randomUUID(), draftId, text: 'list,name\n' });
    expect(bad).toMatchObject({ ok: false, field: 'header' });
  });

  it('are worked on the orders of the shop, and on a usual half of each species where it has none', async () => {
    await shop.onTheBlock();
    const { orders, standing } = await view();
    expect(orders[0]!.name).toContain(',');
    expect(orders.map((order) => order.id)).toEqual(expect.arrayContaining(['hog', 'beef', 'lamb']));
    for (const { basis } of orders) expect(billFor(standing.at(0)!.list, basis).total).toBeGreaterThan(0);
  });

  it('are the owner’s alone', async () => {
    expect(await shop.ask('pricesView', {}, 'counter')).toMatchObject({ ok: false, reason: 'not-allowed' });
  });
});
