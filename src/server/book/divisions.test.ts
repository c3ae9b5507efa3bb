import { randomUUID } from 'node:crypto';
import type { OrderDocument, ShareDocument } from '@/core/order/document';
import { billBasis, coldWeight, estimateOf } from '@/core/order/standing';
import { finalBill } from '@/core/order/settling';
import { stageRowOf } from '@/core/order/stageRow';
import type { ShareFile } from '@/core/order/shareFile';
import { sumCents } from '@/core/quantity/money';
import { sumWeights, type Weight } from '@/core/quantity/weight';
import { balancesOf } from '@/data/ledger';
import { packAll as packAllOf } from '../tests/packAll';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const BEEF = { hot: 390, cold: 366 };

function beef(shares: ShareDocument[], change: Partial<OrderDocument> = {}): OrderDocument {
  return hogDocument({
    farm: { name: 'Saltgate' },
    animal: { tag: 'B048', species: 'beef', killDate: '2026-11-09', inspection: 'custom-exempt' },
    shares,
    weights: { left: BEEF, right: BEEF },
    ...change,
  });
}

const house = { houseForTheRest: true };
const mixed = (part: 'left' | 'right', name: string, sheet = false): ShareDocument => ({
  part,
  sharePct: 50,
  owner: { name },
  deposit: 75,
  ...(sheet ? { sheet: house } : {}),
});
const again = (file: ShareFile) => shop.file(file.share.id);

/** Takes a share to the block and packs everything of it as it was forecast. */
async function packAll({ share }: ShareFile): Promise<void> {
  await shop.approveAndStart(share.id);
  await packAllOf(shop, share.id);
}

describe('four mixed quarters', () => {
  const order = () =>
    beef([
      mixed('left', 'Isolde Wray', true),
      mixed('left', 'Tobit Lane'),
      mixed('right', 'Merrin Shaw', true),
      mixed('right', 'Petrok Hale'),
    ]);

  it('are two cuttings by two sheets; each pays a quarter of the head and half of the side', async () => {
    const files = await shop.book(order());
    expect(files.map((file) => file.together.map(({ owner }) => owner.name))).toEqual([
      ['Isolde Wray', 'Tobit Lane'],
      ['Isolde Wray', 'Tobit Lane'],
      ['Merrin Shaw', 'Petrok Hale'],
      ['Merrin Shaw', 'Petrok Hale'],
    ]);
    const bases = files.map((file) => billBasis(file, coldWeight(file), []));
    expect(bases.map(({ headSplit }) => headSplit.parts)).toEqual(Array(4).fill([0.25, 0.25, 0.25, 0.25]));
    expect(bases.map(({ headSplit }) => headSplit.sheets)).toEqual([2, 2, 2, 2]);
    expect(sumWeights(bases.map(({ hot }) => hot))).toBe(780_000);
    expect(files[1]!.sheet).toEqual(files[0]!.sheet);
    const head = (file: ShareFile) =>
      estimateOf(file).lines.find(({ rule }) => rule === 'second-sheet')?.amount ?? 0;
    expect(new Set(files.map(head)).size).toBe(1);
  });

  it('a wish of either is on the one sheet, and both stand where it stands', async () => {
    const [wray, lane] = await shop.book(order());
    const { sheet, version } = (await again(lane!)).sheet!;
    await shop.get('saveSheet', {
      shareId: lane!.share.id,
      baseVersion: version,
      sheet: { ...sheet, instructions: 'Ring before the chuck' },
    });
    expect((await again(wray!)).sheet!.sheet.instructions).toBe('Ring before the chuck');
    const view = await shop.get('sheetView', { shareId: lane!.share.id });
    expect(view).toMatchObject({ shareId: wray!.share.id, name: 'Isolde Wray and Tobit Lane, left half' });
    expect(stageRowOf(await again(lane!)).stage).toBe(stageRowOf(await again(wray!)).stage);
  });

  it('the one that decides may be called off: the sheet stays with the other', async () => {
    const [wray, lane] = await shop.book(order());
    await shop.get('cancelOrder', {
      clientId: randomUUID(),
      shareId: wray!.share.id,
      reason: 'moved away',
      deposit: 'kept',
    });
    const file = await again(lane!);
    expect(file.together.map(({ id }) => id)).toEqual([lane!.share.id]);
    expect(file.sheet!.sheet).toEqual(wray!.sheet!.sheet);
    const sold = await shop.get('sellPart', {
      clientId: randomUUID(),
      animalId: lane!.animal.id,
      part: 'left',
      sharePct: 50,
      owner: { name: 'Odile Fenn' },
      deposit: 0,
      house: false,
    });
    expect((await shop.file(sold.shareId)).together.map(({ owner }) => owner.name)).toEqual([
      'Tobit Lane',
      'Odile Fenn',
    ]);
  });
});

describe('packages of what is cut as one', () => {
  const lambInTwo = () =>
    hogDocument({
      animal: { tag: 'L300', species: 'lamb', killDate: '2026-11-18', inspection: 'custom-exempt' },
      shares: [mixed('left', 'Isolde Wray', true), mixed('left', 'Tobit Lane')],
      weights: { left: { hot: 30, cold: 28.5 }, right: { hot: 30 } },
    });

  it('are shared out as evenly as they go, and both bills are the whole', async () => {
    const [wray, lane] = await shop.book(lambInTwo());
    await packAll(wray!);
    const whole = finalBill({ ...(await again(wray!)), together: [{ ...wray!.share, sharePct: 100 }] });
    await shop.get('closeShare', { clientId: randomUUID(), shareId: lane!.share.id, note: 'all found' });
    const [first, second] = [await again(wray!), await again(lane!)];
    const packages = first.weighings.filter((each) => each.kind === 'package');
    expect(first.allotted!.size + second.allotted!.size).toBe(packages.length);
    const weight = (file: ShareFile) =>
      sumWeights(packages.filter(({ id }) => file.allotted!.has(id)).map(({ net }) => net));
    expect(Math.abs(weight(first) - weight(second))).toBeLessThan(1_000);
    const bags = (file: ShareFile) => file.closing!.bill.lines.find(({ rule }) => rule === 'cut-and-wrap')!;
    const all = whole.lines.find(({ rule }) => rule === 'cut-and-wrap')!;
    expect(Math.abs(sumCents([bags(first).amount, bags(second).amount]) - all.amount)).toBeLessThanOrEqual(1);
    for (const file of [first, second]) {
      const settled = await shop.get('settleView', { shareId: file.share.id });
      expect(sumWeights(settled.packs.map(({ net }) => net))).toBe(weight(file));
    }
  }, 60_000);
});

describe('fore and hind quarters', () => {
  it('add up to their side, in the ledger too', async () => {
    const files = await shop.book(
      beef([
        { part: 'left-fore', owner: { name: 'A' }, sheet: house },
        { part: 'left-hind', owner: { name: 'B' }, sheet: house },
        { part: 'right', owner: { name: 'C' }, sheet: house },
      ]),
    );
    const [fore, hind] = files as [ShareFile, ShareFile];
    expect(coldWeight(fore) + coldWeight(hind)).toBe(366_000);
    expect(coldWeight(fore)).toBeGreaterThan(coldWeight(hind));
    for (const file of [fore, hind]) await shop.approveAndStart(file.share.id);
    const held = await balancesOf(shop.db, [fore.share.id, hind.share.id, fore.sides[0]!.side.id]);
    const shares = held.filter(({ kind }) => kind === 'share').map(({ weight }) => weight);
    expect(sumWeights(shares)).toBe(366_000);
    expect(held.some(({ kind }) => kind === 'side')).toBe(false);
    expect(billBasis(fore, coldWeight(fore), []).headSplit.parts).toEqual([0.25, 0.25, 0.5]);
  });
});

describe('what is not sold', () => {
  it('is the farm’s part of the head, and can be sold later, no more than is left', async () => {
    const [wray] = await shop.book(
      beef([mixed('left', 'Isolde Wray', true)], {
        unsold: [{ part: 'left', sharePct: 50 }, { part: 'right' }],
      }),
    );
    expect(billBasis(wray!, coldWeight(wray!), []).headSplit).toMatchObject({
      parts: [0.25, 0.75],
      index: 0,
    });
    const sell = (part: 'left' | 'whole' | 'right', sharePct: number) =>
      shop.ask('sellPart', {
        clientId: randomUUID(),
        animalId: wray!.animal.id,
        part,
        sharePct,
        owner: { name: 'Garrick Moss' },
        deposit: 0,
        house: false,
      });
    expect(await sell('left', 60)).toMatchObject({ reason: 'sold-already' });
    expect(await sell('whole', 100)).toMatchObject({ reason: 'sold-already' });
    expect(await sell('left', 50)).toMatchObject({ ok: true });
    expect(await sell('right', 100)).toMatchObject({ ok: true });
  });

  it('does not add up in silence', async () => {
    const document = beef([mixed('left', 'A'), { ...mixed('left', 'B'), sharePct: 40 }]);
    expect(await shop.ask('bookOrder', { clientId: randomUUID(), document })).toMatchObject({
      reason: 'invalid',
      field: 'shares',
    });
  });
});

describe('an animal in one piece', () => {
  const lamb = () =>
    hogDocument({
      animal: {
        tag: 'L300',
        species: 'lamb',
        killDate: '2026-11-22',
        inspection: 'custom-exempt',
        unsplit: true,
      },
      shares: [{ part: 'whole', owner: { name: 'Ann Birch' }, sheet: house }],
    });

  it('is weighed once, and has a left and a right', async () => {
    const [file] = await shop.book(lamb());
    const sideId = file!.sides[0]!.side.id;
    const ticket = {
      clientId: randomUUID(),
      sideId,
      kind: 'hot' as const,
      gross: 61_001,
      tare: 0,
      reason: '',
      sure: false,
    };
    await shop.get('weighSide', ticket);
    const { sides } = await again(file!);
    expect(sides.map(({ hot }) => hot!.gross)).toEqual([30_501, 30_500]);
    expect((await shop.get('hangView', {})).animals[0]).toMatchObject({ unsplit: true });
  });

  it('is not sold by quarters', async () => {
    const document = beef([{ part: 'left-fore', owner: { name: 'A' } }]);
    const asked = { ...document, animal: { ...document.animal, unsplit: true } };
    expect(await shop.ask('bookOrder', { clientId: randomUUID(), document: asked })).toMatchObject({
      reason: 'invalid',
    });
  });
});

describe('the animals of one call', () => {
  const hogs = (tags: string[]) =>
    tags.map((tag) => hogDocument({ animal: { ...hogDocument().animal, tag } }));

  it('are booked all or none, and what is wrong says in which it is', async () => {
    const ask = (documents: unknown[]) => shop.ask('bookAnimals', { clientId: randomUUID(), documents });
    expect(await ask(hogs(['H1', 'H2', 'H1']))).toMatchObject({
      reason: 'tag-taken',
      field: 'documents.2.animal.tag',
    });
    expect(await ask([...hogs(['H1']), { animal: null }])).toMatchObject({
      reason: 'invalid',
      field: expect.stringMatching(/^documents\.1\./),
    });
    expect(await shop.db('animals')).toEqual([]);
    expect(await ask(hogs(['H1', 'H2']))).toMatchObject({ ok: true });
    expect(await shop.db('shares')).toHaveLength(4);
  });
});

it('weights of shares of one side are whole numbers that add up', async () => {
  const part = 'left' as const;
  const shares = [1, 2, 3].map((n): ShareDocument => ({
    part,
    sharePct: n === 3 ? 33.34 : 33.33,
    owner: { name: `N${n}` },
  }));
  const files = await shop.book(beef(shares));
  const hot = files.map((file) => billBasis(file, 0 as Weight, []).hot);
  expect(sumWeights(hot)).toBe(390_000);
});

describe('what a farm pays', () => {
  const owed = async (file: ShareFile) =>
    (await shop.get('householdView', { personId: file.animal.farm.id })).owes;

  it('is the head charges of what nobody has bought, until somebody does', async () => {
    const [file] = await shop.book(beef([{ part: 'left', owner: { name: 'Ottilie Brandreth' } }]));
    const [bill] = await owed(file!);
    const head = estimateOf(file!).lines.find(({ basis }) => basis === 'head')!;
    expect(bill!.lines.map(({ label }) => label)).toContain(`${head.label}, not sold`);
    // The other half of each charge for the head, to the cent.
    expect(bill!.lines.find(({ label }) => label.startsWith(head.label))!.amount).toBe(head.amount);
    expect(bill!.total).toBe(sumCents(bill!.lines.map(({ amount }) => amount)));
  });

  it('is its own charges of every share that is sold, together one head, and nothing of what households pay', async () => {
    const [file] = await shop.book(
      beef([
        { part: 'left', owner: { name: 'Ottilie Brandreth' } },
        { part: 'right', owner: { name: 'Corwin Aske' } },
      ]),
    );
    const [bill] = await owed(file!);
    expect(bill!.lines.map(({ label }) => label)).toEqual([
      'Slaughter of a beef, Ottilie Brandreth',
      'Slaughter of a beef, Corwin Aske',
    ]);
    const { rateCents } = file!.priceList.rules.find(({ id }) => id === 'slaughter-beef')!;
    expect(bill!.total).toBe(rateCents);
  });
});
