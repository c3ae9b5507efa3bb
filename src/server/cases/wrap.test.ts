import { randomUUID } from 'node:crypto';
import { gapOf, type Posting, type WeighingPurpose } from '@/core/ledger/ledger';
import { balancesOfShare } from '@/data/repositories/ledger';
import type { ScaleReading } from '@/core/scale/reading';
import { TestShop } from '../tests/testShop';
import { printPending } from './labels';

let shop: TestShop;
let shareId: string;
beforeEach(async () => {
  shop = await TestShop.open();
  shareId = await shop.onTheBlock();
});
afterEach(() => shop.close());

const chops: WeighingPurpose = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' };
const bacon: WeighingPurpose = { kind: 'package', from: 'cure', lineKey: 'belly.0.0' };
const ground: WeighingPurpose = { kind: 'package', from: 'tub', lineKey: 'grind.0' };

const weigh = (purpose: WeighingPurpose, net: number) =>
  shop.get('weigh', shop.weighing(shareId, purpose, net), 'wrapper');
const held = () => balancesOfShare(shop.db, shareId);
const holds = async (kind: Posting['kind']) =>
  (await held()).filter((posting) => posting.kind === kind).reduce((sum, posting) => sum + posting.weight, 0);

describe('a pack', () => {
  it('leaves the block, gets a number and a label with its weight in the bars', async () => {
    const input = { ...shop.weighing(shareId, chops, 1290), pieces: 2 };
    const taken = await shop.get('weigh', input, 'wrapper');
    expect(taken).toMatchObject({
      net: 1290,
      cut: 'Rib and loin chops, bone-in',
      labelFile: `${taken.id}.svg`,
    });
    expect(await held()).toEqual([
      { kind: 'package', owner: taken.id, weight: 1290 },
      { kind: 'share', owner: shareId, weight: 89_710 },
    ]);
    const [printed] = shop.printed;
    expect(printed!.label).toMatchObject({
      cut: 'Rib and loin chops, bone-in',
      detail: '1 in, 2 in this pack',
      weight: '1.29 lb',
      statusWords: 'NOT FOR SALE',
    });
    expect(printed!.label.barcode).toMatch(/^\(01\)9200\d{10}\(3202\)000129\(10\)261124-H900\(21\)000001$/);
    expect(printed!.label.lines).toContain('Owner: Ottilie Brandreth');
  });

  it('sent again, from a second tab or after a lost answer, is one pack with one label', async () => {
    const input = shop.weighing(shareId, chops, 1290);
    const first = await shop.get('weigh', input);
    expect(await shop.get('weigh', input)).toEqual(first);
    expect(await shop.ask('weigh', { ...input, clientId: randomUUID() })).toMatchObject({
      reason: 'already-taken',
    });
    expect(await shop.db('weighings')).toHaveLength(1);
    expect(shop.printed).toHaveLength(1);
  });

  it('that two windows take in the same moment is one pack', async () => {
    const input = shop.weighing(shareId, chops, 1290);
    const results = await Promise.all(
      [input, input, { ...input, clientId: randomUUID() }].map((each) => shop.ask('weigh', each)),
    );
    expect(results.map((result) => result.ok)).toEqual([true, true, false]);
    expect(await holds('share')).toBe(91_000 - 1290);
  });

  it('while the printer is away is kept, and printed when it is back', async () => {
    shop.printerAway = true;
    expect(await weigh(chops, 1290)).toMatchObject({ net: 1290, labelFile: null });
    shop.printerAway = false;
    await printPending({ db: shop.db, devices: shop.devices });
    expect(shop.printed).toHaveLength(1);
    await printPending({ db: shop.db, devices: shop.devices });
    expect(shop.printed).toHaveLength(1);
  });
});

describe('a reading that cannot be taken', () => {
  it.each<[string, Partial<ScaleReading>]>([
    ['not-steady', { state: 'moving' }],
    ['overload', { state: 'overload' }],
    ['nothing-on-the-scale', { state: 'empty' }],
    ['wrong-unit', { unit: 'kg' }],
    ['wrong-net', { net: 1300 }],
    ['nothing-on-the-scale', { gross: 40, net: 0 }],
  ])('%s: %j', async (reason, change) => {
    const input = shop.weighing(shareId, chops, 1290);
    const refused = await shop.ask('weigh', { ...input, reading: { ...input.reading, ...change } });
    expect(refused).toMatchObject({ ok: false, reason });
    expect(await shop.db('weighings')).toEqual([]);
  });
});

describe('a weighing in the wrong place', () => {
  it.each<[string, WeighingPurpose]>([
    ['not-on-the-sheet', { kind: 'package', from: 'share', lineKey: 'wing.0.0' }],
    ['wrong-place', { kind: 'package', from: 'share', lineKey: 'belly.0.0' }],
    ['wrong-place', { kind: 'package', from: 'share', lineKey: 'grind.0' }],
    ['wrong-place', { kind: 'green', lineKey: 'center-loin.0.0' }],
    ['tub-empty', ground],
    ['not-in-cure', bacon],
  ])('%s: %j', async (reason, purpose) => {
    expect(await shop.ask('weigh', shop.weighing(shareId, purpose, 1000))).toMatchObject({
      ok: false,
      reason,
    });
  });

  it('for a share that is not on the block', async () => {
    const elsewhere = shop.weighing(randomUUID(), chops, 1000);
    expect(await shop.ask('weigh', elsewhere)).toMatchObject({ reason: 'not-on-the-block' });
  });
});

describe('tub, cure and barrels', () => {
  it('trim goes to the tub and comes out as packs', async () => {
    await weigh({ kind: 'tub' }, 9_650);
    await weigh(ground, 1_000);
    expect(await holds('tub')).toBe(8_650);
    expect(shop.printed.at(-1)!.label.lines).toEqual(
      expect.arrayContaining(['Ingredients: Pork.', 'Raw. Cook before eating.']),
    );
  });

  it('a belly goes green into the cure and comes out finished, with what must be said of it', async () => {
    await weigh({ kind: 'green', lineKey: 'belly.0.0' }, 10_400);
    await weigh(bacon, 1_020);
    expect(await held()).toEqual(
      expect.arrayContaining([{ kind: 'cure', owner: `${shareId}/belly.0.0`, weight: 9_380 }]),
    );
    expect(shop.printed.at(-1)!.label.cut).toBe('Bacon, smoked, sliced');
    const words = shop.printed.at(-1)!.label.lines.join(' ');
    expect(words).toMatch(/cook before eating/i);
    expect(words).toContain('Ingredients: pork, water, salt, sugar, sodium nitrite.');
  });

  it('bone, fat, skin and glands have barrels of their own and no label', async () => {
    for (const barrel of ['bone', 'fat', 'skin', 'inedible'] as const)
      await weigh({ kind: 'barrel', barrel }, 1_000);
    expect(await holds('bone')).toBe(1_000);
    expect(await holds('share')).toBe(87_000);
    expect(shop.printed).toEqual([]);
  });
});

describe('taking back', () => {
  it('is a new entry that undoes the old one, and the pack may be weighed again', async () => {
    const input = shop.weighing(shareId, chops, 1290);
    const first = await shop.get('weigh', input);
    const back = { clientId: randomUUID(), weighingId: first.id, reason: 'wrong cut' };
    await shop.get('voidWeighing', back, 'wrapper');
    await shop.get('voidWeighing', { ...back, clientId: randomUUID() });
    expect(await held()).toEqual([{ kind: 'share', owner: shareId, weight: 91_000 }]);
    const again = await shop.get('weigh', { ...input, clientId: randomUUID() });
    expect(again.id).not.toBe(first.id);
    expect(await shop.db('weighings')).toHaveLength(2);
    expect((await shop.get('balanceView', { shareId })).voids).toMatchObject([
      { id: first.id, reason: 'wrong cut' },
    ]);
  });

  it('of what was never weighed is refused', async () => {
    const back = { clientId: randomUUID(), weighingId: randomUUID(), reason: 'x' };
    expect(await shop.ask('voidWeighing', back)).toMatchObject({ reason: 'not-found' });
  });
});

describe('a label again', () => {
  it('is a copy, once for each press', async () => {
    const pack = await weigh(chops, 1290);
    const press = { clientId: randomUUID(), weighingId: pack.id };
    await shop.get('reprintLabel', press);
    await shop.get('reprintLabel', press);
    expect(shop.printed.map((each) => each.name)).toEqual([pack.id, `${pack.id}-copy2`]);
    expect(shop.printed[1]!.label).toEqual(shop.printed[0]!.label);
  });

  it('is not printed for a barrel, nor for a pack that was taken back', async () => {
    const barrel = await weigh({ kind: 'barrel', barrel: 'bone' }, 1000);
    const again = (weighingId: string) => shop.ask('reprintLabel', { clientId: randomUUID(), weighingId });
    expect(await again(barrel.id)).toMatchObject({ reason: 'no-label' });
    const pack = await weigh(chops, 1290);
    await shop.get('voidWeighing', { clientId: randomUUID(), weighingId: pack.id, reason: 'x' });
    expect(await again(pack.id)).toMatchObject({ reason: 'voided' });
  });
});

describe('the scale', () => {
  it('is tared from the table, or says that it is away', async () => {
    expect(await shop.ask('tareScale', {})).toEqual({ ok: true, value: true });
    shop.devices.scale.tare = async () => {
      throw new Error('connect ECONNREFUSED');
    };
    expect(await shop.ask('tareScale', {})).toMatchObject({ reason: 'scale-away' });
  });
});

describe('any hour at the table', () => {
  it('leaves the ledger in balance: what came in is somewhere', async () => {
    await weigh({ kind: 'tub' }, 9_650);
    await weigh({ kind: 'green', lineKey: 'belly.0.0' }, 10_400);
    const packs = [await weigh(chops, 1_310), await weigh(ground, 990), await weigh(bacon, 1_010)];
    await shop.get('voidWeighing', { clientId: randomUUID(), weighingId: packs[1]!.id, reason: 'torn' });
    expect(gapOf(await held())).toBe(91_000);
    const [sum] = await shop.db('ledgerPostings').sum({ all: 'weight' });
    expect(sum!.all).toBe(0);
  });
});
