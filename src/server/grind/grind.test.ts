import { randomUUID } from 'node:crypto';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { planOf } from '@/core/order/standing';
import { reconciliationOf } from '@/core/order/settling';
import type { Role } from '@/data/people';
import { ingredientsOf } from '@/core/trace/trace';
import { bookProblems } from '@/data/ledger';
import { hogDocument, TestShop } from '../tests/testShop';
import type { InputOf } from '../useCases';
import type { BatchOfDay, GrindOfDay } from './grindView';

let shop: TestShop;
let shareId: ShareId;

const LINES = [
  { recipe: 'sugar-smoked', form: 'links' as const, amount: { weight: 15 } },
  { recipe: 'breakfast', form: 'bulk' as const, amount: 'rest' as const },
];

beforeEach(async () => {
  shop = await TestShop.open();
  const sheet = {
    houseForTheRest: true,
    answers: { ham: [{ option: 'grind' }] },
    grind: { fatPct: 26, lines: LINES },
  };
  const share = { part: 'left' as const, owner: { name: 'Ottilie Brandreth' }, deposit: 50, sheet };
  const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
  const [file] = await shop.book(hogDocument({ shares: [share], weights }));
  shareId = file!.share.id;
  const { version } = file!.sheet!;
  const yes = { clientId: randomUUID(), shareId, version, overrideReason: 'they were told' };
  await shop.get('approveSheet', yes);
  await shop.get('startBlock', { clientId: randomUUID(), shareId, reason: '' });
  await weigh({ kind: 'tub' }, 26_000);
});
afterEach(() => shop.close());

async function weigh(purpose: WeighingPurpose, net: number) {
  return shop.ask('weigh', { ...shop.weighing(shareId, purpose, net), sure: true });
}

async function jobs(): Promise<readonly GrindOfDay[]> {
  return (await shop.get('grindView', {})).jobs;
}

async function batchOf(cut: string): Promise<BatchOfDay> {
  return (await jobs()).find((job) => job.cut.startsWith(cut))!.batch!;
}

const grams = (tenths: number) => shop.reading(tenths * 100, { unit: 'g', scaleId: 'spice-1' });

async function put(batchId: string, ingredient: string, tenths: number, role: Role = 'smoker') {
  const said = {
    clientId: randomUUID(),
    batchId,
    ingredient,
    lot: 'S-12',
    otherwise: '',
    reading: grams(tenths),
  };
  return shop.ask('weighIngredient', said, role);
}

async function doIt(batchId: string, said: InputOf<'doBatch'>['said'], role: Role = 'smoker') {
  return shop.ask('doBatch', { clientId: randomUUID(), batchId, said }, role);
}

async function begin(cut: string): Promise<{ batchId: string; lineKey: string }> {
  const { lineKey } = (await jobs()).find((job) => job.cut.startsWith(cut))!;
  const { batchId } = await shop.get('beginBatch', { clientId: randomUUID(), shareId, lineKey }, 'smoker');
  return { batchId, lineKey };
}

const meatIn = (batchId: string, net: number) =>
  shop.ask('weighMeat', { clientId: randomUUID(), batchId, reading: shop.reading(net) }, 'smoker');

/** Weighs in all that is due, and has it looked at. */
async function seasoned(batchId: string, cut: string): Promise<void> {
  for (const { name, due, cures } of (await batchOf(cut)).standing.ingredients) {
    expect(await put(batchId, name, due)).toMatchObject({ ok: true });
    if (!cures) continue;
    const second = { clientId: randomUUID(), batchId, ingredient: name };
    expect(await shop.ask('lookSecond', second, 'smoker')).toMatchObject({
      message: expect.stringContaining('Ask somebody else'),
    });
    const looked = await shop.ask('lookSecond', { ...second, clientId: randomUUID() }, 'wrapper');
    expect(looked).toMatchObject({ ok: true });
  }
}

describe('a batch of one household', () => {
  it('takes meat from its own tub, each ingredient, a second look; and its packs are heavier by what was added', async () => {
    const cut = planOf(await shop.file(shareId)).expected.lines.find(({ cure }) => cure === 'smoked')!;
    const { batchId, lineKey } = await begin(cut.cut);
    expect(await meatIn(batchId, 29_000)).toMatchObject({ reason: 'more-than-there-is' });
    expect(await meatIn(batchId, 20_000)).toMatchObject({ ok: true });
    expect(await put(batchId, 'curing salt', 400)).toMatchObject({ reason: 'not-in-a-batch' });
    expect(await doIt(batchId, { kind: 'mixed' })).toMatchObject({ reason: 'not-in-a-batch' });
    await seasoned(batchId, cut.cut);
    expect(await weigh({ kind: 'green', from: 'tub', lineKey }, 21_000)).toMatchObject({
      message: expect.stringContaining('not mixed yet'),
    });
    expect(await doIt(batchId, { kind: 'mixed' })).toMatchObject({ ok: true });
    const { standing } = await batchOf(cut.cut);
    expect(standing.mix).toBe(20_000 + standing.added);
    expect(standing.ppm!).toBeLessThanOrEqual(standing.ppmLimit + 0.5);
    expect(standing.added).toBeGreaterThan(1500);
    // Whichever table asks, it comes out of the batch.
    expect(await weigh({ kind: 'green', from: 'tub', lineKey }, standing.mix + 500)).toMatchObject({
      reason: 'more-than-there-is',
    });
    expect(await weigh({ kind: 'green', from: 'tub', lineKey }, standing.mix - 150)).toMatchObject({
      ok: true,
    });
    expect(await doIt(batchId, { kind: 'closed' })).toMatchObject({
      message: expect.stringContaining('head is not opened'),
    });
    await doIt(batchId, { kind: 'head' });
    expect(await doIt(batchId, { kind: 'closed' })).toMatchObject({ ok: true });
    expect((await batchOf(cut.cut)).standing.isClosed).toBe(true);
    // What is found out later holds it still: nothing of it is packed, and the order is not closed.
    await doIt(batchId, { kind: 'held', reason: 'the probe was wrong' });
    expect(await weigh({ kind: 'package', from: 'cure', lineKey }, 1000)).toMatchObject({
      message: expect.stringContaining('the probe was wrong'),
    });
    await doIt(batchId, { kind: 'released', reason: 'it was not' }, 'owner');
    expect(await weigh({ kind: 'package', from: 'cure', lineKey }, 1000)).toMatchObject({ ok: true });
    const { bridge } = reconciliationOf(await shop.file(shareId));
    expect(bridge.find(({ kind }) => kind === 'added')!.weight).toBe(-standing.added);
    expect(bridge.find(({ kind }) => kind === 'grinder')!.weight).toBe(150);
    expect(bridge.find(({ kind }) => kind === 'inTub')!.weight).toBe(6000);
    const start = bridge[0]!.weight;
    const steps = bridge.slice(1, -1).reduce((sum, { weight }) => sum + weight, 0);
    expect(start - steps).toBe(bridge.at(-1)!.weight);
    expect(await bookProblems(shop.db, '2099-01-01')).toEqual([]);
  }, 60_000);

  it('puts meat back before anything is weighed for it, and is held until the owner releases it', async () => {
    const { batchId } = await begin('Breakfast');
    await meatIn(batchId, 5000);
    await shop.get('putMeatBack', { clientId: randomUUID(), batchId }, 'smoker');
    expect((await batchOf('Breakfast')).standing.meat).toBe(0);
    expect((await jobs())[0]!.inTub).toBe(26_000);
    await meatIn(batchId, 6000);
    await doIt(batchId, { kind: 'held', reason: 'too warm' });
    expect(await put(batchId, 'salt', 400)).toMatchObject({ message: expect.stringContaining('too warm') });
    expect(await doIt(batchId, { kind: 'released', reason: 'cold again' })).toMatchObject({
      reason: 'not-allowed',
    });
    expect(await doIt(batchId, { kind: 'released', reason: 'cold again' }, 'owner')).toMatchObject({
      ok: true,
    });
    expect(await put(batchId, 'salt', 4000)).toMatchObject({ message: expect.stringContaining('Take out') });
  }, 60_000);

  it('is begun once, and a load is taken once, whatever for', async () => {
    const { batchId, lineKey } = await begin('Breakfast');
    const again = { clientId: randomUUID(), shareId, lineKey };
    expect(await shop.ask('beginBatch', again, 'smoker')).toMatchObject({ reason: 'already-taken' });
    const reading = shop.reading(5000);
    const meat = { clientId: randomUUID(), batchId, reading };
    await shop.get('weighMeat', meat, 'smoker');
    expect(await shop.ask('weighMeat', { ...meat, clientId: randomUUID() }, 'smoker')).toMatchObject({
      reason: 'already-taken',
    });
    // Nor at the wrap table.
    const purpose = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' } as const;
    const pack = { clientId: randomUUID(), shareId, purpose, pieces: null, reading, sure: true };
    expect(await shop.ask('weigh', pack)).toMatchObject({ reason: 'already-taken' });
    expect(await shop.ask('grindView', {}, 'wrapper')).toMatchObject({ ok: true });
    expect(await shop.ask('beginBatch', again, 'counter')).toMatchObject({ reason: 'not-allowed' });
  }, 60_000);
});

describe('the grinder between two owners', () => {
  it('is washed before the next batch begins, and a thorough wash does for a light one', async () => {
    await begin('Breakfast');
    const share = { part: 'left' as const, owner: { name: 'Corwin Aske' }, sheet: { houseForTheRest: true } };
    const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
    const animal = { ...hogDocument().animal, tag: 'H901' };
    const [file] = await shop.book(hogDocument({ animal, shares: [share], weights }));
    await shop.approveAndStart(file!.share.id);
    const other = (await jobs()).find(({ tag, batch }) => tag === 'H901' && !batch)!;
    expect(other.washDue).toBe('scrape');
    const next = { shareId: other.shareId, lineKey: other.lineKey };
    expect(await shop.ask('beginBatch', { clientId: randomUUID(), ...next }, 'smoker')).toMatchObject({
      reason: 'not-yet',
      message: expect.stringContaining('scraped and sanitised'),
    });
    // The other batch of the same owner needs none.
    expect((await jobs()).find(({ tag, batch }) => tag === 'H900' && !batch)!.washDue).toBe('none');
    await shop.get('noteWash', { clientId: randomUUID(), wash: 'wet' }, 'smoker');
    expect((await jobs()).find(({ id }) => id === other.id)!.washDue).toBe('none');
    expect(await shop.ask('beginBatch', { clientId: randomUUID(), ...next }, 'smoker')).toMatchObject({
      ok: true,
    });
  }, 60_000);
});

describe('a trace', () => {
  it('goes from a pack back to its batch, lots, people, sides and animal, and from each of them forward', async () => {
    const { batchId, lineKey } = await begin('Breakfast');
    await meatIn(batchId, 10_000);
    await seasoned(batchId, 'Breakfast');
    await doIt(batchId, { kind: 'mixed' });
    const taken = await weigh({ kind: 'package', from: 'tub', lineKey }, 1020);
    expect(taken).toMatchObject({ ok: true });
    const chops = { kind: 'package', from: 'share', lineKey: 'center-loin.0.0' } as const;
    await weigh(chops, 1300);
    const [ground, fresh] = (await shop.file(shareId)).weighings.filter(({ kind }) => kind === 'package');
    expect(ground!.source).toBe('batch');
    const { found } = await shop.get('traceView', { words: `no. ${ground!.serial}` });
    expect(found).toMatchObject({ kind: 'pack', gone: false, packs: 2, weight: 2320 });
    const words = found!.back.map((step) => `${step.of}: ${step.words}`);
    expect(words[0]).toBe(`pack: no. ${ground!.serial}, Breakfast sausage, 1.02 lb, on bench-1`);
    expect(words).toContainEqual(expect.stringMatching(/^batch: lot G2026-11-24-1, Breakfast sausage$/));
    expect(words).toContainEqual(expect.stringMatching(/^ingredient: salt [\d.]+ g, lot S-12$/));
    expect(words).toContainEqual('batch: meat 10.00 lb out of its own tub');
    expect(words).toContainEqual('tub: trim for the grind 26.00 lb');
    expect(words).toContainEqual('side: left side hot 92.50 lb');
    expect(words.at(-1)).toBe('animal: Hog H900 of Low Tarn, killed 2026-11-22, custom-exempt');
    // What is no sausage has no batch behind it.
    const other = await shop.get('traceView', { words: String(fresh!.serial) });
    expect(other.found!.back.map(({ of }) => of)).not.toContain('batch');
    expect(other.found!.back.map(({ of }) => of)).not.toContain('tub');
    const lot = await shop.get('traceView', { words: 's-12' });
    expect(lot.found).toMatchObject({ kind: 'lot', packs: 1, weight: 1020 });
    expect(lot.found!.reached).toMatchObject([{ owner: 'Ottilie Brandreth', tag: 'H900', isGone: false }]);
    expect((await shop.get('traceView', { words: 'G2026-11-24-1' })).found).toMatchObject({ packs: 1 });
    expect((await shop.get('traceView', { words: 'h900' })).found).toMatchObject({
      kind: 'animal',
      packs: 2,
    });
    expect(await shop.ask('traceView', { words: 'S-99' })).toMatchObject({ reason: 'not-found' });
    expect((await shop.get('traceView', { words: '' })).found).toBeNull();
    const { lots } = await shop.get('grindView', {});
    expect(lots.salt).toBe('S-12');
  }, 60_000);

  it('forgets what was taken out of the bowl again', async () => {
    const { batchId } = await begin('Breakfast');
    await meatIn(batchId, 10_000);
    const { name, due } = (await batchOf('Breakfast')).standing.ingredients[0]!;
    await put(batchId, name, due);
    await doIt(batchId, { kind: 'again', ingredient: name });
    const { batches } = await shop.file(shareId);
    expect(ingredientsOf(batches[0]!.events)).toEqual([]);
    expect((await shop.get('traceView', { words: 'S-12' })).found).toMatchObject({ packs: 0, reached: [] });
  }, 60_000);
});
