import { randomUUID } from 'node:crypto';
import twoHalves from '#examples/two-halves.json';
import type { OrderDocument } from '@/core/order/document';
import { stageRowOf } from '@/core/order/stageRow';
import { balancesOf } from '@/data/ledger';
import { billBasis } from '@/core/order/standing';
import type { Weight } from '@/core/quantity/weight';
import { restage, unread } from '../rail/restage';
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
    expect(stageRowOf(left!).stage).toBe('sheet');
    expect(await balancesOf(shop.db, [left!.sides[0]!.side.id])).toEqual([
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

  it('tells whoever can be told, and names whom it cannot', async () => {
    const tagged = (tag: string, shares = hogDocument().shares) =>
      hogDocument({ animal: { ...hogDocument().animal, tag }, shares });
    const documents = [tagged('H1', example.shares), tagged('H2'), tagged('H3')];
    const booked = await shop.get('bookAnimals', { clientId: randomUUID(), documents, confirm: true });
    expect(booked).toMatchObject({ untold: ['Ottilie Brandreth', 'Corwin Aske'] });
    const told = (await shop.get('messagesView', {})).map(({ recipient }) => recipient);
    expect(told.sort()).toEqual(['555 0161', '555 0162', 'denzil.karr@example.org']);
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
      field: 'shares.0.sheet.answers.butt[0].params.thickness',
    });
    for (const table of ['animals', 'people', 'sides', 'shares', 'sheets'])
      expect(await shop.db(table)).toEqual([]);
  });
});

describe('people', () => {
  const bookWith = (tag: string, owner: { name: string; phone?: string }) =>
    shop.book(hogDocument({ animal: { ...hogDocument().animal, tag }, shares: [{ part: 'whole', owner }] }));

  it('who come again are found again, however they are written', async () => {
    const [first] = await bookWith('H1', { name: 'Ottilie Brandreth', phone: '555 0141' });
    const [second] = await bookWith('H2', { name: 'ottilie brandreth', phone: '555-0141' });
    const [third] = await bookWith('H3', { name: 'Ottilie Brandreth' });
    expect([second!.share.owner.id, third!.share.owner.id]).toEqual([
      first!.share.owner.id,
      first!.share.owner.id,
    ]);
    expect(second!.animal.farm.id).toBe(first!.animal.farm.id);
  });

  it('of one name are told apart by their telephones', async () => {
    const [first] = await bookWith('H1', { name: 'Ann Birch', phone: '555 0141' });
    const [second] = await bookWith('H2', { name: 'Ann Birch', phone: '555 0199' });
    const [third] = await bookWith('H3', { name: 'Ann Birch' });
    expect(new Set([first, second, third].map((file) => file!.share.owner.id)).size).toBe(3);
  });

  it('get the telephone that was missing', async () => {
    await bookWith('H1', { name: 'Ann Birch' });
    const [again] = await bookWith('H2', { name: 'Ann Birch', phone: '555 0141' });
    expect(again!.share.owner.phone).toBe('555 0141');
    expect(await shop.db('people').where({ name: 'Ann Birch' })).toMatchObject([{ phone: '555 0141' }]);
  });
});

describe('two that are the same', () => {
  it('become one with both histories, and are found under one name', async () => {
    const hog = (tag: string, name: string) =>
      shop.book(
        hogDocument({
          animal: { ...hogDocument().animal, tag },
          shares: [{ part: 'whole', owner: { name } }],
        }),
      );
    const [first] = await hog('H1', 'Ann Birch');
    const [second] = await hog('H2', 'Anne Birch');
    const [keepId, doubleId] = [first!.share.owner.id, second!.share.owner.id];
    await shop.get('noteHousehold', { clientId: randomUUID(), personId: doubleId, notes: 'rings after six' });
    const son = {
      clientId: randomUUID(),
      personId: doubleId,
      name: 'Jorun, the son',
      phone: '555 0177',
      email: '',
    };
    await shop.get('addHouseholdContact', son);
    const merge = { clientId: randomUUID(), keepId, doubleId };
    expect(await shop.ask('mergeHouseholds', merge, 'counter')).toMatchObject({ reason: 'not-allowed' });
    await shop.get('mergeHouseholds', merge);
    const household = await shop.get('householdView', { personId: keepId });
    expect(household.tickets.map(({ tag }) => tag)).toEqual(['H2', 'H1']);
    expect(household.notes).toBe('rings after six');
    expect(household.contacts).toMatchObject([{ name: 'Jorun, the son', phone: '555 0177', email: null }]);
    expect(await shop.ask('householdView', { personId: doubleId })).toMatchObject({ reason: 'not-found' });
    expect((await shop.get('householdsView', { words: 'birch' })).map(({ id }) => id)).toEqual([keepId]);
    const [third] = await hog('H3', 'Anne Birch');
    expect(third!.share.owner.id).not.toBe(doubleId);
    const latest = await shop.get('householdsView', { words: '' });
    expect(latest.map(({ name, last }) => [name, last?.words.split(',')[0]])).toEqual([
      [third!.share.owner.name, 'whole of hog H3'],
      ['Ann Birch', 'whole of hog H2'],
    ]);
  });
});

describe('a tag', () => {
  it('is free again when its animal has gone home', async () => {
    const [left, right] = await shop.book();
    const again = () => shop.ask('bookOrder', { clientId: randomUUID(), document: hogDocument() });
    for (const file of [left!, right!]) {
      expect(await again()).toMatchObject({ reason: 'tag-taken' });
      const by = { shareId: file.share.id, at: shop.now.toISOString(), actorId: 'x' };
      await shop.db('closings').insert({ ...by, clientId: randomUUID(), bill: '{"due":0}', note: '' });
      await shop.db('pickUps').insert({ ...by, clientId: randomUUID(), takenBy: 'A' });
      await restage(shop.db, shop.setUps, unread([file.share.id]));
    }
    expect(await again()).toMatchObject({ ok: true });
  });
});

describe('a half sold alone', () => {
  it('pays half the slaughter, and the other half hangs and is weighed all the same', async () => {
    const [sold] = await shop.book(hogDocument({ shares: [{ part: 'left', owner: { name: 'Ann Birch' } }] }));
    expect(billBasis(sold!, 0 as Weight, []).headSplit).toEqual({ parts: [0.5, 0.5], index: 0, sheets: 1 });
    const [animal] = (await shop.get('hangView', {})).animals;
    expect(animal!.sides.map(({ position, unsold }) => [position, unsold])).toEqual([
      ['left', false],
      ['right', true],
    ]);
    const { sideId } = animal!.sides[1]!;
    const hot = {
      clientId: randomUUID(),
      sideId,
      kind: 'hot' as const,
      gross: 90_000,
      tare: 0,
      reason: '',
      sure: false,
    };
    expect(await shop.ask('weighSide', hot)).toMatchObject({ ok: true });
  });
});

describe('what cannot be read', () => {
  it.each([{}, 1, null, 'x', { animal: null }])(
    'as an order is refused, the second time too: %j',
    async (document) => {
      const { clientId } = { clientId: randomUUID() };
      await shop.get('bookOrder', { clientId, document: hogDocument() });
      expect(await shop.ask('bookOrder', { clientId, document })).toMatchObject({
        ok: false,
        reason: 'id-reused',
      });
      expect(await shop.ask('bookOrder', { clientId: randomUUID(), document })).toMatchObject({
        reason: 'invalid',
      });
    },
  );

  it('an answer that every object has is not booked', async () => {
    const sheet = {
      houseForTheRest: true,
      answers: { ham: [{ option: 'whole', params: { cure: 'constructor' } }] },
    };
    const document = hogDocument({ shares: [{ part: 'left', owner: { name: 'A' }, sheet }] });
    expect(await shop.ask('bookOrder', { clientId: randomUUID(), document })).toMatchObject({
      reason: 'invalid',
      field: 'shares.0.sheet.answers.ham[0].params.cure',
    });
  });
});

describe('the rail', () => {
  it('shows each share where it hangs, with what it waits for', async () => {
    await shop.book();
    const rail = await shop.get('railView', {}, 'cutter');
    expect(rail.counts).toMatchObject({ book: 2, hang: 0, sheet: 0 });
    expect(rail.shop).toEqual({ name: 'Skerry Sound Cut & Wrap', unit: 'lb', demo: true });
    const { tickets } = await shop.get('stageView', { stage: 'book', page: 0 }, 'cutter');
    expect(tickets.map((ticket) => [ticket.number, ticket.name, ticket.fact, ticket.flag])).toEqual([
      [1, 'Ottilie Brandreth, left half', 'kill day 2026-11-22', ''],
      [2, 'Corwin Aske, right half', 'kill day 2026-11-22', 'no sheet yet'],
    ]);
  });

  it('keeps a share that cannot be worked out as a red ticket, and goes on', async () => {
    const [left] = await shop.book();
    const sheet = JSON.stringify({
      ...left!.sheet!.sheet,
      answers: { butt: { forms: [{ option: 'no such' }] } },
    });
    await shop
      .db('sheets')
      .insert({ shareId: left!.share.id, version: 9, sheet, approved: false, at: 'now', actorId: 'x' });
    await restage(shop.db, shop.setUps, unread([left!.share.id]));
    const { tickets } = await shop.get('stageView', { stage: 'sheet', page: 0 });
    expect(tickets).toMatchObject([
      { name: 'Ottilie Brandreth, left half', broken: true, flag: 'cannot be worked out' },
    ]);
    expect((await shop.get('railView', {})).counts).toMatchObject({ book: 1, sheet: 1 });
    expect(await shop.ask('wrapView', { shareId: left!.share.id })).toMatchObject({ reason: 'unexpected' });
  });
});

describe('finding', () => {
  const found = async (words: string) =>
    (await shop.get('findView', { words })).tickets.map((ticket) => ticket.name);

  it('goes by the beginnings of names, tag, farm, order number and the end of a telephone', async () => {
    await shop.book(example);
    await shop.book();
    const [karr] = await found('denz');
    expect(karr).toMatch(/^Denzil Karr/);
    expect(await found('karr daugh')).toEqual([karr]);
    expect(await found('h131')).toHaveLength(2);
    expect(await found('131')).toHaveLength(2);
    expect(await found('windle')).toHaveLength(2);
    expect(await found('3')).toContain('Ottilie Brandreth, left half');
    expect(await found('nobody')).toEqual([]);
    expect(await found('')).toEqual([]);
    expect(await found('"; DROP (')).toEqual([]);
  });

  it('finds a telephone by its last digits', async () => {
    const owner = { name: 'Ann Birch', phone: '555 0144 71' };
    await shop.book(hogDocument({ shares: [{ part: 'whole', owner }] }));
    expect(await found('4471')).toEqual(['Ann Birch, whole']);
  });
});

describe('others who can be reached for a household', () => {
  it('are found by, and gone when they are not any more', async () => {
    const [file] = await shop.book();
    const { id: personId, name } = file!.share.owner;
    const add = (said: object) =>
      shop.ask('addHouseholdContact', {
        clientId: randomUUID(),
        personId,
        name: 'Jorun',
        phone: '',
        email: '',
        ...said,
      });
    expect(await add({})).toMatchObject({ reason: 'invalid', field: 'phone' });
    expect(await add({ email: 'jorun at home' })).toMatchObject({ reason: 'invalid', field: 'email' });
    const added = await add({ phone: '555 0177' });
    const found = async (words: string) =>
      (await shop.get('householdsView', { words })).map((each) => each.name);
    expect(await found('joru')).toEqual([name]);
    expect(await found('0177')).toEqual([name]);
    const { contactId } = (added as { value: { contactId: string } }).value;
    const end = { clientId: randomUUID(), contactId };
    await shop.get('endHouseholdContact', end);
    expect(await found('joru')).toEqual([]);
    expect(await shop.ask('endHouseholdContact', { ...end, clientId: randomUUID() })).toMatchObject({
      reason: 'not-found',
    });
  });
});
