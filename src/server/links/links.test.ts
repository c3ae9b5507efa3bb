import { randomBytes, randomUUID } from 'node:crypto';
import type { ShareFile } from '@/core/order/shareFile';
import type { FarmSeason } from '@/core/yields/farmSeason';
import type { Result } from '@/core/quantity/result';
import { withAnswer } from '@/core/sheet/houseSheet';
import { passDoorway } from '../house/doorway';
import { packAll } from '../tests/packAll';
import { hogDocument, TestShop } from '../tests/testShop';
import { USE_CASES, type InputOf, type UseCaseName } from '../useCases';
import { admitVisitor, visitorOf, type Visitor } from '.';

let shop: TestShop;
let mine: ShareFile;
let other: ShareFile;
beforeEach(async () => {
  shop = await TestShop.open();
  const [left, right] = hogDocument().shares;
  const owner = { name: 'Ottilie Brandreth', phone: '555 0161' };
  const booked = await shop.book(hogDocument({ shares: [{ ...left!, owner }, right!] }));
  [mine, other] = booked as [ShareFile, ShareFile];
});
afterEach(() => shop.close());

const give = async (more: object = {}): Promise<string> => {
  const secret = randomBytes(32).toString('base64url');
  const asked = {
    clientId: randomUUID(),
    shareId: mine.share.id,
    days: 14,
    prices: true,
    origin: 'https://shop.example.org',
    secret,
    ...more,
  };
  await shop.get('giveLink', asked);
  return secret;
};
const visit = (token: string) => visitorOf(shop.db, token, shop.now);
const ask = <Name extends UseCaseName>({ actor }: Visitor, name: Name, input: InputOf<Name>) =>
  passDoorway(USE_CASES[name] as never, input, actor, shop.around());

describe('a private link', () => {
  it('opens the household’s own sheet, and keeps no token', async () => {
    const token = await give();
    const visitor = (await visit(token))!;
    const view = await ask(visitor, 'householdSheetView', { shareId: mine.share.id });
    expect(view).toMatchObject({
      ok: true,
      value: {
        household: 'Ottilie Brandreth',
        animal: { species: 'hog', farm: 'Low Tarn' },
        prices: true,
        sent: null,
      },
    });
    // It stands in the message that was sent, and nowhere else.
    for (const table of ['links', 'answers', 'audit']) {
      expect(JSON.stringify(await shop.db(table))).not.toContain(token);
    }
    const [message] = await shop.get('messagesView', {});
    expect(message!.body).toContain(`https://shop.example.org/mine/${token}`);
    const again = { clientId: randomUUID(), shareId: mine.share.id, days: 1, prices: true };
    const asked = { ...again, origin: 'https://shop.example.org', secret: token };
    expect(await shop.ask('giveLink', asked)).toMatchObject({ reason: 'id-reused' });
    expect(JSON.stringify(view)).not.toContain('Corwin Aske');
  });

  it('opens nothing of anybody else, and nothing of the shop', async () => {
    const visitor = (await visit(await give()))!;
    const theirs = { shareId: other.share.id };
    expect(await ask(visitor, 'householdSheetView', theirs)).toMatchObject({ reason: 'not-allowed' });
    for (const name of ['sheetView', 'ticketView', 'linksView', 'householdsView', 'pricesView'] as const) {
      expect(await ask(visitor, name, { shareId: mine.share.id } as never)).toMatchObject({
        reason: 'not-allowed',
      });
    }
  });

  it('that is wrong, ended or expired opens nothing', async () => {
    const token = await give();
    expect(await visit(`${token.slice(1)}A`)).toBeUndefined();
    expect(await visit('../../etc')).toBeUndefined();
    expect(await visit('')).toBeUndefined();
    const { links } = await shop.get('linksView', { shareId: mine.share.id });
    const end = { clientId: randomUUID(), linkId: links[0]!.id };
    await shop.get('endLink', end);
    expect(await visit(token)).toBeUndefined();
    expect(await shop.ask('endLink', { ...end, clientId: randomUUID() })).toMatchObject({
      reason: 'not-found',
    });

    const short = await give({ days: 1 });
    expect(await visit(short)).toBeDefined();
    shop.now = new Date(shop.now.getTime() + 25 * 3_600_000);
    expect(await visit(short)).toBeUndefined();
    const states = (await shop.get('linksView', { shareId: mine.share.id })).links.map(({ state }) => state);
    expect(states).toEqual(['expired', 'ended']);
  });

  it('shows what it costs only where the shop wants it', async () => {
    const visitor = (await visit(await give({ prices: false })))!;
    const view = await ask(visitor, 'householdSheetView', { shareId: mine.share.id });
    expect(view).toMatchObject({
      value: { prices: false, sheet: { priceList: { rules: [] }, bill: { deposit: 0 } } },
    });
  });
});

describe('households that are cut as one', () => {
  it('see one sheet, each with its own bill, and nothing of each other', async () => {
    const half = (name: string, sharePct: number, deposit: number) => ({
      part: 'left' as const,
      sharePct,
      owner: { name, phone: '555 0199' },
      deposit,
    });
    const shares = [half('Isolde Wray', 60, 75), half('Tobit Lane', 40, 20)];
    const animal = { ...hogDocument().animal, tag: 'H902' };
    const files = await shop.book(hogDocument({ animal, shares }));
    const tobit = files.find(({ share }) => share.owner.name === 'Tobit Lane')!;
    const visitor = (await visit(await give({ shareId: tobit.share.id })))!;
    const view = await ask(visitor, 'householdSheetView', { shareId: tobit.share.id });
    expect(view).toMatchObject({
      ok: true,
      value: {
        household: 'Tobit Lane',
        shareId: tobit.share.id,
        sheet: { bill: { deposit: 2000, headSplit: { index: 1 } } },
      },
    });
    expect(JSON.stringify(view)).not.toContain('Isolde');
    const { sheet, version } = await shop.get('sheetView', { shareId: files[0]!.share.id });
    const saved = await ask(visitor, 'saveSheet', {
      shareId: tobit.share.id,
      baseVersion: version,
      sheet: { ...sheet, wrap: 'paper' },
    });
    expect(saved).toMatchObject({ ok: true });
    expect(await shop.get('sheetView', { shareId: files[0]!.share.id })).toMatchObject({
      sheet: { wrap: 'paper' },
    });
  });
});

describe('a farmer', () => {
  const giveFarm = async (more: object = {}): Promise<Visitor> => {
    const secret = randomBytes(32).toString('base64url');
    const asked = { clientId: randomUUID(), personId: mine.animal.farm.id, days: 14, prices: true };
    await shop.get('giveFarmLink', { ...asked, origin: 'https://shop.example.org', secret, ...more });
    return (await visit(secret))!;
  };
  const elsewhere = async () => {
    const animal = { ...hogDocument().animal, tag: 'H903' };
    const [file] = await shop.book(hogDocument({ animal, farm: { name: 'Brackenhow' } }));
    return file!;
  };

  it('sees the sheets of the own animals, fills one in, gives it to another, and sends it', async () => {
    const farmer = await giveFarm();
    const [from, to] = [mine.share.id, other.share.id];
    const view = await ask(farmer, 'farmSheetsView', { personId: mine.animal.farm.id });
    expect(view).toMatchObject({
      ok: true,
      value: {
        prices: true,
        buyers: [
          {
            name: 'Ottilie Brandreth',
            part: 'left half',
            cost: expect.stringMatching(/^\$/),
            linkUntil: null,
          },
          { name: 'Corwin Aske', takeHome: 0, cost: '' },
        ],
      },
    });
    expect(JSON.stringify(view)).not.toContain('555 0161');
    const { sheet, version } = await shop.get('sheetView', { shareId: from });
    const paper = { ...sheet, wrap: 'paper' as const };
    expect(
      await ask(farmer, 'saveSheet', { shareId: from, baseVersion: version, sheet: paper }),
    ).toMatchObject({
      ok: true,
    });
    const copy = { clientId: randomUUID(), fromShareId: from, toShareIds: [to], rows: [] };
    expect(await ask(farmer, 'copySheet', copy)).toMatchObject({ ok: true });
    expect(await shop.get('sheetView', { shareId: to })).toMatchObject({ sheet: { wrap: 'paper' } });
    expect(await ask(farmer, 'sendSheet', { clientId: randomUUID(), shareId: to, version: 1 })).toMatchObject(
      {
        ok: true,
      },
    );
    // What the farmer drafted stays, under the farm's name, when the counter goes on with it.
    await shop.get('saveSheet', { shareId: from, baseVersion: version + 1, sheet });
    const versions = await shop.get('otherSheetsView', { shareId: from });
    expect(versions.map(({ words }) => words)).toContainEqual(expect.stringContaining('Low Tarn'));
  });

  it('gives a buyer of the own animals a link, and is shown no number', async () => {
    const farmer = await giveFarm();
    const asked = { days: 14, prices: true, origin: 'https://shop.example.org' };
    const link = (shareId: ShareFile['share']['id']) => ({
      ...asked,
      clientId: randomUUID(),
      shareId,
      secret: randomBytes(32).toString('base64url'),
    });
    expect(await ask(farmer, 'giveLink', link(mine.share.id))).toEqual({
      ok: true,
      value: { told: ['text'] },
    });
    const theirs = await elsewhere();
    expect(await ask(farmer, 'giveLink', link(theirs.share.id))).toMatchObject({ reason: 'not-allowed' });
  });

  it('sees the own season and what is remembered of it, and no other farm’s', async () => {
    const farmer = await giveFarm();
    const personId = mine.animal.farm.id;
    expect(await ask(farmer, 'farmSeasonView', { personId })).toMatchObject({ value: { species: [] } });
    const animal = { ...hogDocument().animal, tag: 'H905' };
    const shareId = await shop.onTheBlock(undefined, { animal });
    await packAll(shop, shareId);
    await shop.get('closeShare', { clientId: randomUUID(), shareId, note: '' });
    const season = (await ask(farmer, 'farmSeasonView', { personId })) as Result<FarmSeason, string>;
    const [hog] = season.ok ? season.value.species : [];
    expect(hog!.year).toMatchObject({ animals: 1, shares: 1 });
    const { cut } = hog!.cuts[0]!;
    const note = { personId, species: 'hog', cut, pace: 'slowly', note: 'half as much' } as const;
    expect(await ask(farmer, 'noteSeason', { clientId: randomUUID(), ...note })).toMatchObject({ ok: true });
    const sheets = await ask(farmer, 'farmSheetsView', { personId });
    expect(sheets).toMatchObject({
      value: { species: [{ remembered: [`${cut}: sold slowly; half as much`] }] },
    });
    const file = await ask(farmer, 'farmSeasonFileView', { personId });
    expect(file).toMatchObject({ value: { text: expect.stringContaining('sold slowly,half as much') } });
    expect(await ask(farmer, 'noteSeason', { clientId: randomUUID(), ...note, cut: 'Wings' })).toMatchObject({
      reason: 'not-found',
    });
    const theirs = (await elsewhere()).animal.farm.id;
    for (const name of ['farmSeasonView', 'farmSeasonFileView'] as const) {
      expect(await ask(farmer, name, { personId: theirs })).toMatchObject({ reason: 'not-allowed' });
    }
  }, 60_000);

  it('gives no prices on that are not shown to themselves, and sees none', async () => {
    const farmer = await giveFarm({ prices: false });
    const view = await ask(farmer, 'farmSheetsView', { personId: mine.animal.farm.id });
    expect(JSON.stringify(view)).not.toContain('$');
    const secret = randomBytes(32).toString('base64url');
    const asked = {
      clientId: randomUUID(),
      days: 14,
      prices: true,
      origin: 'https://shop.example.org',
      secret,
    };
    await ask(farmer, 'giveLink', { ...asked, shareId: mine.share.id });
    const visitor = (await visit(secret))!;
    expect(await ask(visitor, 'householdSheetView', { shareId: mine.share.id })).toMatchObject({
      value: { prices: false },
    });
  });

  it('opens nothing of another farm, and nothing of the shop', async () => {
    const farmer = await giveFarm();
    const theirs = await elsewhere();
    const personId = theirs.animal.farm.id;
    const [own, shareId] = [mine.share.id, theirs.share.id];
    const row = { shareId, version: 1, decision: 'ham', answer: { forms: [] as never } };
    const refused: [UseCaseName, object][] = [
      ['farmSheetsView', { personId }],
      ['householdSheetView', { shareId }],
      ['saveSheet', { shareId, baseVersion: 1, sheet: theirs.sheet!.sheet }],
      ['copySheet', { clientId: randomUUID(), fromShareId: own, toShareIds: [shareId], rows: [] }],
      ['copySheet', { clientId: randomUUID(), fromShareId: shareId, toShareIds: [own], rows: [] }],
      ['wantedView', { personId, species: 'hog', wants: [{ cut: 'Ham', packs: 1, inFreezer: 0 }] }],
      ['farmLinksView', { personId: mine.animal.farm.id }],
      ['ticketView', { shareId: own }],
      ['householdStatementView', { shareId: own }],
    ];
    for (const [name, input] of refused) {
      expect([name, await ask(farmer, name, input as never)]).toEqual([
        name,
        expect.objectContaining({ ok: false }),
      ]);
    }
    const answer = { forms: [{ option: 'grind', amount: { kind: 'rest' as const }, params: {} }] };
    const changes = [
      { ...row, shareId: own, answer },
      { ...row, answer },
    ];
    expect(await ask(farmer, 'changeRows', { clientId: randomUUID(), changes })).toMatchObject({
      reason: 'not-allowed',
    });
  });
});

describe('guessing', () => {
  it('rests for a while, from one place and no other, and a right link from there rests with it', async () => {
    const token = await give();
    const from = (address: string, tried: string) =>
      admitVisitor(shop.db, { token: tried, address }, shop.now);
    for (let tries = 0; tries < 20; tries += 1) {
      expect(await from('10.0.0.9', randomBytes(32).toString('base64url'))).toMatchObject({
        reason: 'not-found',
      });
    }
    expect(await from('10.0.0.9', token)).toMatchObject({ reason: 'locked' });
    expect(await from('10.0.0.8', token)).toMatchObject({ ok: true });
  });

  it('ten thousand times does nothing: twenty are looked up, and others are let in meanwhile', async () => {
    const token = await give();
    const place = randomBytes(4).toString('hex');
    let lookedUp = 0;
    const db = ((table: string) => {
      if (table === 'links') lookedUp += 1;
      return shop.db(table);
    }) as unknown as typeof shop.db;
    for (let tries = 0; tries < 10_000; tries += 1) {
      const tried = randomBytes(32).toString('base64url');
      expect((await admitVisitor(db, { token: tried, address: place }, shop.now)).ok).toBe(false);
    }
    expect(lookedUp).toBe(20);
    expect(await admitVisitor(shop.db, { token, address: `${place} next door` }, shop.now)).toMatchObject({
      ok: true,
    });
    expect(await shop.db('audit').where({ action: 'householdSheetView' })).toEqual([]);
  });
});

describe('a household at its sheet', () => {
  it('answers, sends it, and the shop sees what came', async () => {
    const visitor = (await visit(await give()))!;
    const shareId = mine.share.id;
    const { sheet, version } = await shop.get('sheetView', { shareId });
    const grind = withAnswer(sheet, 'jowl', {
      forms: [{ option: 'grind', amount: { kind: 'rest' }, params: {} }],
    });
    const saved = await ask(visitor, 'saveSheet', { shareId, baseVersion: version, sheet: grind });
    expect(saved).toMatchObject({ ok: true });
    const stale = { clientId: randomUUID(), shareId, version };
    expect(await ask(visitor, 'sendSheet', stale)).toMatchObject({ reason: 'changed-elsewhere' });
    const send = { clientId: randomUUID(), shareId, version: version + 1 };
    const sent = await ask(visitor, 'sendSheet', send);
    expect(await ask(visitor, 'sendSheet', send)).toEqual(sent);
    expect(await shop.get('linksView', { shareId })).toMatchObject({
      sent: [{ version: version + 1 }],
    });
    expect((await shop.get('sheetView', { shareId })).sheet.answers.jowl!.forms[0]!.option).toBe('grind');
    expect(await shop.ask('sendSheet', { ...send, clientId: randomUUID() })).toMatchObject({
      reason: 'not-allowed',
    });
  });

  it('changes nothing any more once the shop has approved it, or has begun', async () => {
    const visitor = (await visit(await give()))!;
    const shareId = mine.share.id;
    const { sheet, version } = await shop.get('sheetView', { shareId });
    const approve = { clientId: randomUUID(), shareId, version, overrideReason: 'they said so' };
    await shop.get('approveSheet', approve);
    const saved = await ask(visitor, 'saveSheet', {
      shareId,
      baseVersion: version + 1,
      sheet: { ...sheet, wrap: 'paper' },
    });
    expect(saved).toMatchObject({ reason: 'approved' });
  });

  it('is a copy to keep once it is approved, with what it costs where the link shows prices', async () => {
    const [dear, plain] = [(await visit(await give()))!, (await visit(await give({ prices: false })))!];
    const { id: shareId } = mine.share;
    expect(await ask(dear, 'householdCopyView', { shareId })).toMatchObject({ reason: 'not-approved' });
    const { version } = await shop.get('sheetView', { shareId });
    await shop.get('approveSheet', { clientId: randomUUID(), shareId, version, overrideReason: '' });
    expect(await ask(dear, 'householdCopyView', { shareId })).toMatchObject({
      ok: true,
      value: { costs: expect.stringMatching(/^About \$\d/), approved: '24 Nov 12:00' },
    });
    const copy = await ask(plain, 'householdCopyView', { shareId });
    expect(copy).toMatchObject({ ok: true, value: { costs: null } });
    expect(JSON.stringify(copy)).not.toContain('$');
    expect(await ask(dear, 'householdStatementView', { shareId })).toMatchObject({ reason: 'not-closed' });
    expect(await ask(dear, 'householdCopyView', { shareId: other.share.id })).toMatchObject({
      reason: 'not-allowed',
    });
  });
});
