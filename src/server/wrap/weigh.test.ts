import { randomUUID } from 'node:crypto';
import { gapOf, type WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import type { ScaleReading } from '@/core/scale/reading';
import { passDoorway } from '../house/doorway';
import { hogDocument } from '../tests/testShop';
import { BACON, BELLY, CHOPS, GROUND, TUB, WrapTable } from '../tests/wrapTable';
import { USE_CASES, type InputOf } from '../useCases';

const table = new WrapTable();

describe('a pack', () => {
  it('leaves the block, gets a number and a label with its weight in the bars', async () => {
    const input = { ...table.input(CHOPS, 1290), pieces: 2 };
    const taken = await table.shop.get('weigh', input, 'wrapper');
    expect(taken).toMatchObject({ net: 1290, cut: 'Rib and loin chops, bone-in' });
    await table.shop.print();
    expect(await table.held()).toEqual([
      { kind: 'package', owner: taken.id, weight: 1290 },
      { kind: 'share', owner: table.shareId, weight: 89_710 },
    ]);
    const [printed] = table.shop.printed;
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
    const input = table.input(CHOPS, 1290);
    const first = await table.shop.get('weigh', input);
    expect(await table.shop.get('weigh', input)).toEqual(first);
    expect(await table.shop.ask('weigh', { ...input, clientId: randomUUID() })).toMatchObject({
      reason: 'already-taken',
    });
    expect(await table.shop.db('weighings')).toHaveLength(1);
    expect(await table.shop.db('audit').where({ action: 'weigh', outcome: 'done' })).toHaveLength(1);
    await table.shop.print();
    expect(table.shop.printed).toHaveLength(1);
  });

  it('that two windows take in the same moment is one pack', async () => {
    const input = table.input(CHOPS, 1290);
    const results = await Promise.all(
      [input, input, { ...input, clientId: randomUUID() }].map((each) => table.shop.ask('weigh', each)),
    );
    expect(results.map((result) => result.ok)).toEqual([true, true, false]);
    expect(await table.holds('share')).toBe(91_000 - 1290);
  });

  it('while the printer is away is kept, and printed when it is back', async () => {
    table.shop.printerAway = true;
    const { id } = await table.weigh(CHOPS, 1290);
    await table.shop.print();
    expect(table.shop.printed).toHaveLength(0);
    expect(await table.shop.get('labelView', { weighingId: id, copy: 1 })).toMatchObject({
      weight: '1.29 lb',
    });
    table.shop.printerAway = false;
    await table.shop.print();
    await table.shop.print();
    expect(table.shop.printed).toHaveLength(1);
  });
});

describe('what lay on the scale when the connection began', () => {
  it('may have been taken already, if it weighs the same', async () => {
    await table.weigh(CHOPS, 1290);
    const weighing = (net: number) => {
      const reading = table.shop.reading(net, { loadId: `restarted-${net}`, found: true });
      return { ...table.input(CHOPS, net), reading };
    };
    expect(await table.shop.ask('weigh', weighing(1290))).toMatchObject({
      reason: 'already-taken',
      message: expect.stringContaining('Lift it off'),
    });
    expect(await table.shop.ask('weigh', weighing(1350))).toMatchObject({ ok: true });
  });
});

describe('two stations on one share', () => {
  const ask = (input: InputOf<'weigh'>) =>
    passDoorway(
      USE_CASES.weigh,
      input,
      { kind: 'staff', id: 'id-wrapper', name: 'wrapper', role: 'wrapper' },
      table.shop.around(),
    );

  it('see each other’s packs at once, however closely they follow', async () => {
    await table.shop.get('wrapView', { shareId: table.shareId });
    const inputs = Array.from({ length: 16 }, () => table.input(CHOPS, 1290));
    const results = await Promise.all(inputs.map(ask));
    expect(results.every((result) => result.ok)).toBe(true);
    await table.shop.expectFreshStages();
    expect((await table.shop.get('wrapView', { shareId: table.shareId })).weighings).toHaveLength(16);
    expect(await table.holds('share')).toBe(91_000 - 16 * 1290);
  });

  it('are not misled by what was refused between', async () => {
    const inputs = Array.from({ length: 12 }, (_, at) =>
      at % 3 === 0 ? table.input(CHOPS, 29_500) : table.input(CHOPS, 1290),
    );
    const results = await Promise.all(inputs.map(ask));
    expect(results.filter((result) => result.ok)).toHaveLength(8);
    await table.shop.expectFreshStages();
    expect((await table.shop.get('wrapView', { shareId: table.shareId })).weighings).toHaveLength(8);
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
    const input = table.input(CHOPS, 1290);
    const { signature: _s, takenAt: _t, ...said } = { ...input.reading, ...change };
    const refused = await table.shop.ask('weigh', {
      ...input,
      reading: table.shop.sign(said, table.shop.now),
    });
    expect(refused).toMatchObject({ ok: false, reason });
    expect(await table.shop.db('weighings')).toEqual([]);
  });
});

describe('a weighing in the wrong place', () => {
  it.each<[string, WeighingPurpose]>([
    ['not-on-the-sheet', { kind: 'package', from: 'share', lineKey: 'wing.0.0' }],
    ['wrong-place', { kind: 'package', from: 'share', lineKey: 'belly.0.0' }],
    ['wrong-place', { kind: 'package', from: 'share', lineKey: 'grind.0' }],
    ['wrong-place', { kind: 'green', lineKey: 'center-loin.0.0' }],
    ['tub-empty', GROUND],
    ['not-in-cure', BACON],
  ])('%s: %j', async (reason, purpose) => {
    expect(await table.shop.ask('weigh', table.input(purpose, 1000))).toMatchObject({
      ok: false,
      reason,
    });
  });

  it('for a share that is not on the block', async () => {
    const nowhere = table.shop.weighing(randomUUID() as ShareId, CHOPS, 1000);
    expect(await table.shop.ask('weigh', nowhere)).toMatchObject({ reason: 'not-found' });
    const [waiting] = await table.shop.book(
      hogDocument({ animal: { ...hogDocument().animal, tag: 'H901' } }),
    );
    const early = table.shop.weighing(waiting!.share.id, CHOPS, 1000);
    expect(await table.shop.ask('weigh', early)).toMatchObject({ reason: 'not-on-the-block' });
  });
});

describe('tub, cure and barrels', () => {
  it('trim goes to the tub and comes out as packs', async () => {
    await table.weigh(TUB, 9_650);
    await table.weigh(GROUND, 1_000);
    expect(await table.holds('tub')).toBe(8_650);
    await table.shop.print();
    expect(table.shop.printed.at(-1)!.label.lines).toEqual(
      expect.arrayContaining(['Ingredients: Pork.', 'Raw. Cook before eating.']),
    );
  });

  it('a belly goes green into the cure and comes out finished, with what must be said of it', async () => {
    await table.weigh(BELLY, 10_400);
    await table.weigh(BACON, 1_020);
    await table.shop.print();
    expect(await table.held()).toEqual(
      expect.arrayContaining([{ kind: 'cure', owner: `${table.shareId}/belly.0.0`, weight: 9_380 }]),
    );
    expect(table.shop.printed.at(-1)!.label.cut).toBe('Bacon, smoked, sliced');
    const words = table.shop.printed.at(-1)!.label.lines.join(' ');
    expect(words).toMatch(/cook before eating/i);
    expect(words).toContain('Ingredients: pork, water, salt, sugar, sodium nitrite.');
  });

  it('bone, fat, skin and glands have barrels of their own and no label', async () => {
    for (const barrel of ['bone', 'fat', 'skin', 'inedible'] as const)
      await table.weigh({ kind: 'barrel', barrel }, 1_000);
    expect(await table.holds('bone')).toBe(1_000);
    expect(await table.holds('share')).toBe(87_000);
    await table.shop.print();
    expect(table.shop.printed).toEqual([]);
  });
});

describe('any hour at the table', () => {
  it('leaves the ledger in balance: what came in is somewhere', async () => {
    await table.weigh(TUB, 9_650);
    await table.weigh(BELLY, 10_400);
    const packs = [
      await table.weigh(CHOPS, 1_310),
      await table.weigh(GROUND, 990),
      await table.weigh(BACON, 1_010),
    ];
    await table.shop.get('voidWeighing', {
      clientId: randomUUID(),
      weighingId: packs[1]!.id,
      reason: 'torn',
    });
    expect(gapOf(await table.held())).toBe(91_000);
    const [sum] = await table.shop.db('ledgerPostings').sum({ all: 'weight' });
    expect(sum!.all).toBe(0);
  });
});
