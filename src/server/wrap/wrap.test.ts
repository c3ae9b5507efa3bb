import { randomUUID } from 'node:crypto';
import { gapOf, type Posting, type WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import type { ScaleReading } from '@/core/scale/reading';
import { passDoorway } from '../house/doorway';
import { hogDocument, TestShop } from '../tests/testShop';
import { USE_CASES, type InputOf } from '../useCases';

let shop: TestShop;
let shareId: ShareId;
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
const held = async () => (await shop.file(shareId)).held;
const holds = async (kind: Posting['kind']) =>
  (await held()).filter((posting) => posting.kind === kind).reduce((sum, posting) => sum + posting.weight, 0);

describe('a pack', () => {
  it('leaves the block, gets a number and a label with its weight in the bars', async () => {
    const input = { ...shop.weighing(shareId, chops, 1290), pieces: 2 };
    const taken = await shop.get('weigh', input, 'wrapper');
    expect(taken).toMatchObject({ net: 1290, cut: 'Rib and loin chops, bone-in' });
    await shop.print();
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
    expect(await shop.db('audit').where({ action: 'weigh', outcome: 'done' })).toHaveLength(1);
    await shop.print();
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
    const { id } = await weigh(chops, 1290);
    await shop.print();
    expect(shop.printed).toHaveLength(0);
    expect(await shop.get('labelView', { weighingId: id, copy: 1 })).toMatchObject({ weight: '1.29 lb' });
    shop.printerAway = false;
    await shop.print();
    await shop.print();
    expect(shop.printed).toHaveLength(1);
  });
});

describe('two stations on one share', () => {
  const ask = (input: InputOf<'weigh'>) =>
    passDoorway(
      USE_CASES.weigh,
      input,
      { kind: 'staff', id: 'id-wrapper', name: 'wrapper', role: 'wrapper' },
      shop.around(),
    );

  it('see each other’s packs at once, however closely they follow', async () => {
    await shop.get('wrapView', { shareId });
    const inputs = Array.from({ length: 16 }, () => shop.weighing(shareId, chops, 1290));
    const results = await Promise.all(inputs.map(ask));
    expect(results.every((result) => result.ok)).toBe(true);
    await shop.expectFreshStages();
    expect((await shop.get('wrapView', { shareId })).weighings).toHaveLength(16);
    expect(await holds('share')).toBe(91_000 - 16 * 1290);
  });

  it('are not misled by what was refused between', async () => {
    const inputs = Array.from({ length: 12 }, (_, at) =>
      at % 3 === 0 ? shop.weighing(shareId, chops, 29_500) : shop.weighing(shareId, chops, 1290),
    );
    const results = await Promise.all(inputs.map(ask));
    expect(results.filter((result) => result.ok)).toHaveLength(8);
    await shop.expectFreshStages();
    expect((await shop.get('wrapView', { shareId })).weighings).toHaveLength(8);
  });
});

describe('the printing worker', () => {
  it('prints each label once, however many wake it at once', async () => {
    for (let pack = 0; pack < 6; pack += 1) {
      await weigh(chops, 1290);
      void shop.print();
    }
    await Promise.all([shop.print(), shop.print(), shop.print()]);
    await shop.print();
    expect(shop.printed).toHaveLength(6);
    expect(new Set(shop.printed.map((each) => each.name)).size).toBe(6);
  });

  it('prints nothing for a pack that was taken back before the printer came', async () => {
    shop.printerAway = true;
    const { id } = await weigh(chops, 1290);
    await shop.print();
    await shop.get('voidWeighing', { clientId: randomUUID(), weighingId: id, reason: '' });
    shop.printerAway = false;
    await shop.print();
    expect(shop.printed).toEqual([]);
  });

  it('sets aside what can never be printed, and goes on with the rest', async () => {
    shop.unprintable.add('Rib and loin chops, bone-in');
    await weigh(chops, 1290);
    await weigh({ kind: 'package', from: 'share', lineKey: 'butt.0.0' }, 3_500);
    await shop.print();
    expect(shop.printed).toHaveLength(1);
    expect(await shop.db('labelJobs').whereNotNull('setAsideAt').select('problem')).toEqual([
      { problem: 'The label of Rib and loin chops, bone-in cannot be printed: no bars' },
    ]);
    await shop.print();
    expect(await shop.db('labelJobs').max('attempts as most')).toEqual([{ most: 1 }]);
  });

  it('does not give up labels because the printer is away for long', async () => {
    shop.printerAway = true;
    await weigh(chops, 1290);
    for (let clock = 0; clock < 10; clock += 1) await shop.print();
    shop.printerAway = false;
    await shop.print();
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
    const { signature: _s, takenAt: _t, ...said } = { ...input.reading, ...change };
    const refused = await shop.ask('weigh', { ...input, reading: shop.sign(said, shop.now) });
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
    const nowhere = shop.weighing(randomUUID() as ShareId, chops, 1000);
    expect(await shop.ask('weigh', nowhere)).toMatchObject({ reason: 'not-found' });
    const [waiting] = await shop.book(hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } }));
    const early = shop.weighing(waiting!.share.id, chops, 1000);
    expect(await shop.ask('weigh', early)).toMatchObject({ reason: 'not-on-the-block' });
  });
});

describe('tub, cure and barrels', () => {
  it('trim goes to the tub and comes out as packs', async () => {
    await weigh({ kind: 'tub' }, 9_650);
    await weigh(ground, 1_000);
    expect(await holds('tub')).toBe(8_650);
    await shop.print();
    expect(shop.printed.at(-1)!.label.lines).toEqual(
      expect.arrayContaining(['Ingredients: Pork.', 'Raw. Cook before eating.']),
    );
  });

  it('a belly goes green into the cure and comes out finished, with what must be said of it', async () => {
    await weigh({ kind: 'green', lineKey: 'belly.0.0' }, 10_400);
    await weigh(bacon, 1_020);
    await shop.print();
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
    await shop.print();
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
    const back = { clientId: randomUUID(), weighingId: randomUUID() as WeighingId, reason: 'wrong' };
    expect(await shop.ask('voidWeighing', back)).toMatchObject({ reason: 'not-found' });
  });
});

describe('whose weighing', () => {
  it('is taken back by who took it, by the owner, or with a reason', async () => {
    const back = (weighingId: WeighingId, role: 'cutter' | 'owner' | 'wrapper', reason = '') =>
      shop.ask('voidWeighing', { clientId: randomUUID(), weighingId, reason }, role);
    const first = await weigh(chops, 1290);
    expect(await back(first.id, 'cutter')).toMatchObject({ reason: 'needs-a-reason' });
    expect(await back(first.id, 'cutter', '.')).toMatchObject({ reason: 'invalid' });
    expect(await back(first.id, 'cutter', 'of another hog')).toMatchObject({ ok: true });
    expect(await back((await weigh(chops, 1290)).id, 'wrapper')).toMatchObject({ ok: true });
    expect(await back((await weigh(chops, 1290)).id, 'owner')).toMatchObject({ ok: true });
  });

  it('that packs have come out of stays until they are taken back', async () => {
    const green = await weigh({ kind: 'green', lineKey: 'belly.0.0' }, 10_400);
    const pack = await weigh(bacon, 1_020);
    const back = (weighingId: WeighingId) =>
      shop.ask('voidWeighing', { clientId: randomUUID(), weighingId, reason: '' });
    expect(await back(green.id)).toMatchObject({ reason: 'packs-depend-on-it' });
    expect(await back(pack.id)).toMatchObject({ ok: true });
    expect(await back(green.id)).toMatchObject({ ok: true });
    expect(await holds('cure')).toBe(0);
  });
});

describe('what cannot be', () => {
  const ask = (purpose: WeighingPurpose, net: number, more: object = {}) =>
    shop.ask('weigh', { ...shop.weighing(shareId, purpose, net), ...more }, 'wrapper');

  it('is a weight that no scale of the shop has signed', async () => {
    const input = shop.weighing(shareId, chops, 1290);
    const forged = { ...input.reading, gross: 2_040, net: 2_000 };
    expect(await shop.ask('weigh', { ...input, reading: forged })).toMatchObject({ reason: 'not-the-scale' });
    expect(
      await shop.ask('weigh', { ...input, reading: { ...input.reading, scaleId: 'made-up' } }),
    ).toMatchObject({
      reason: 'not-the-scale',
    });
  });

  it('is a reading of next year, or of last month', async () => {
    for (const days of [-1, 15]) {
      const input = shop.weighing(shareId, chops, 1290);
      shop.now = new Date(shop.now.getTime() + days * 24 * 3_600_000);
      expect(await shop.ask('weigh', input)).toMatchObject({ reason: 'not-the-scale' });
    }
  });

  it('is more than the bench carries, than is on the block, than went into tub or cure', async () => {
    expect(await ask({ kind: 'tub' }, 31_000, { sure: true })).toMatchObject({ reason: 'overload' });
    await weigh({ kind: 'barrel', barrel: 'bone' }, 29_000);
    await weigh({ kind: 'barrel', barrel: 'fat' }, 29_000);
    await weigh({ kind: 'barrel', barrel: 'skin' }, 29_000);
    expect(await ask({ kind: 'tub' }, 5_000)).toMatchObject({ reason: 'more-than-there-is' });
    await weigh({ kind: 'green', lineKey: 'belly.0.0' }, 1_950);
    expect(await ask(bacon, 2_500, { sure: true })).toMatchObject({ reason: 'more-than-there-is' });
    await weigh({ kind: 'tub' }, 1_000);
    expect(await ask(ground, 1_500, { sure: true })).toMatchObject({ reason: 'more-than-there-is' });
  });

  it('is not the last sausage of a batch: seasoning and water weigh too', async () => {
    await weigh({ kind: 'tub' }, 3_000);
    for (const net of [1_000, 1_000, 1_000]) await weigh(ground, net);
    expect(await ask(ground, 450, { sure: true })).toMatchObject({ ok: true });
  });

  it.each([9_000, 50])('a pack of %s asks for a second yes, which is kept with the name', async (net) => {
    const input = shop.weighing(shareId, chops, net);
    expect(await shop.ask('weigh', input, 'wrapper')).toMatchObject({ reason: 'unusual' });
    await shop.get('weigh', { ...input, sure: true }, 'wrapper');
    const [kept] = await shop.db('weighings');
    expect(kept).toMatchObject({ actorId: 'id-wrapper', origin: 'scale' });
    expect(kept.remark).toContain('for a pack of Rib and loin chops, bone-in, where about');
  });

  it('a typed weight is marked for ever', async () => {
    const { reading: _, ...input } = shop.weighing(shareId, chops, 1290);
    const typed = { gross: 1330, tare: 40, why: 'the scale is being repaired' };
    await shop.get('weigh', { ...input, typed }, 'wrapper');
    expect(await shop.db('weighings')).toMatchObject([
      { net: 1290, origin: 'typed', scaleId: 'typed', remark: 'the scale is being repaired' },
    ]);
    expect(await shop.ask('weigh', { ...input, typed: { ...typed, why: '' } })).toMatchObject({
      reason: 'invalid',
    });
  });
});

describe('a word about a line', () => {
  const note = (lineKey: string, id = shareId) =>
    shop.ask('noteLine', { clientId: randomUUID(), shareId: id, lineKey, note: 'taken fresh' });

  it('is for lines of the plan, from the block on', async () => {
    expect(await note('center-loin.0.0')).toMatchObject({ ok: true });
    expect(await note('constructor')).toMatchObject({ reason: 'not-on-the-sheet' });
    const [waiting] = await shop.book(hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } }));
    expect(await note('center-loin.0.0', waiting!.share.id)).toMatchObject({ reason: 'not-on-the-block' });
  });
});

describe('a label again', () => {
  it('is a copy, once for each press', async () => {
    const pack = await weigh(chops, 1290);
    const press = { clientId: randomUUID(), weighingId: pack.id };
    await shop.get('reprintLabel', press);
    await shop.get('reprintLabel', press);
    await shop.print();
    expect(shop.printed.map((each) => each.name)).toEqual([pack.id, `${pack.id}-copy2`]);
    expect(shop.printed[1]!.label).toEqual(shop.printed[0]!.label);
  });

  it('is not printed for a barrel, nor for a pack that was taken back', async () => {
    const barrel = await weigh({ kind: 'barrel', barrel: 'bone' }, 1000);
    const again = (weighingId: WeighingId) =>
      shop.ask('reprintLabel', { clientId: randomUUID(), weighingId });
    expect(await again(barrel.id)).toMatchObject({ reason: 'no-label' });
    const pack = await weigh(chops, 1290);
    await shop.get('voidWeighing', { clientId: randomUUID(), weighingId: pack.id, reason: 'torn' });
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
