import { randomUUID } from 'node:crypto';
import { reconciliationOf } from '@/core/order/settling';
import type { ShareId } from '@/core/order/animal';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import { sumWeights, type Weight } from '@/core/quantity/weight';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
const owners: { shareId: ShareId; lineKey: string }[] = [];
beforeEach(async () => {
  shop = await TestShop.open();
  owners.length = 0;
  for (const [at, name] of ['Ottilie Brandreth', 'Corwin Aske'].entries()) await onTheBlock(name, `H90${at}`);
});
afterEach(() => shop.close());

async function onTheBlock(name: string, tag: string): Promise<void> {
  const sheet = {
    houseForTheRest: true,
    grind: { fatPct: 26, lines: [{ recipe: 'breakfast', form: 'bulk' as const, amount: 'rest' as const }] },
  };
  const share = { part: 'left' as const, owner: { name }, sheet };
  const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
  const animal = { ...hogDocument().animal, tag };
  const [file] = await shop.book(hogDocument({ animal, shares: [share], weights }));
  const shareId = file!.share.id;
  const { version } = file!.sheet!;
  const yes = { clientId: randomUUID(), shareId, version, overrideReason: 'they were told' };
  await shop.get('approveSheet', yes);
  await shop.get('startBlock', { clientId: randomUUID(), shareId, reason: '' });
  await weigh(shareId, { kind: 'tub' }, 8_000);
  const job = (await shop.get('grindView', {})).jobs.find((each) => each.shareId === shareId)!;
  owners.push({ shareId, lineKey: job.lineKey });
}

const weigh = (shareId: ShareId, purpose: WeighingPurpose, net: number) =>
  shop.ask('weigh', { ...shop.weighing(shareId, purpose, net), sure: true });

const says = (shareId: ShareId, yes = true) =>
  shop.get('notePoolWord', { clientId: randomUUID(), shareId, yes, name: 'Herself', how: 'paper' });

const begin = () =>
  shop.ask('beginBatch', { clientId: randomUUID(), ...owners[0]!, with: [owners[1]!] }, 'smoker');

const draw = (batchId: string, of: ShareId, net: number) =>
  shop.ask('weighMeat', { clientId: randomUUID(), batchId, of, reading: shop.reading(net) }, 'smoker');

const doIt = (batchId: string, kind: 'mixed' | 'head' | 'closed') =>
  shop.ask('doBatch', { clientId: randomUUID(), batchId, said: { kind } }, 'smoker');

const batch = async () => (await shop.get('grindView', {})).jobs.find((each) => each.batch)!.batch!;

const pack = (at: number, net: number) => {
  const { shareId, lineKey } = owners[at]!;
  return weigh(shareId, { kind: 'package', from: 'tub', lineKey }, net);
};

/** Meat of both in one batch, seasoned and mixed. */
async function mixed(meats: readonly [number, number]): Promise<string> {
  for (const { shareId } of owners) await says(shareId);
  const begun = await begin();
  if (!begun.ok) throw new Error(begun.message);
  const { batchId } = begun.value;
  for (const [at, net] of meats.entries()) await draw(batchId, owners[at]!.shareId, net);
  for (const { name, due } of (await batch()).standing.ingredients) {
    const reading = shop.reading(due * 100, { unit: 'g', scaleId: 'spice-1' });
    const put = { clientId: randomUUID(), batchId, ingredient: name, lot: 'S-1', otherwise: '', reading };
    await shop.get('weighIngredient', put, 'smoker');
  }
  const done = await doIt(batchId, 'mixed');
  if (!done.ok) throw new Error(done.message);
  return batchId;
}

describe('a batch of two owners', () => {
  it('begins by the written yes of each and not without, and a yes can be taken back', async () => {
    expect(await begin()).toMatchObject({ reason: 'wrong-place', message: expect.stringContaining('yes') });
    await says(owners[0]!.shareId);
    expect(await begin()).toMatchObject({ message: expect.stringContaining('Corwin Aske') });
    await says(owners[1]!.shareId);
    await says(owners[1]!.shareId, false);
    expect(await begin()).toMatchObject({ reason: 'wrong-place' });
    const waiting = (await shop.get('grindView', {})).jobs.map(({ mayPool }) => mayPool);
    expect(waiting.map(([other]) => other!.why)).toEqual([
      'Corwin Aske, left half has not said yes in writing.',
      'Corwin Aske, left half has not said yes in writing.',
    ]);
    await says(owners[1]!.shareId);
    expect(await begin()).toMatchObject({ ok: true });
    const { office } = await shop.get('ticketView', { shareId: owners[1]!.shareId });
    expect(office!.said.map(({ words }) => words)).toContain(
      'no to grinding together with others: Herself, signed on paper',
    );
  }, 60_000);

  it('asks for the meat of both, and takes each out of its own tub', async () => {
    for (const { shareId } of owners) await says(shareId);
    const begun = await begin();
    const { batchId } = (begun as { value: { batchId: string } }).value;
    expect(await draw(batchId, owners[1]!.shareId, 8_500)).toMatchObject({ reason: 'more-than-there-is' });
    expect(await draw(batchId, owners[1]!.shareId, 5_000)).toMatchObject({ ok: true });
    expect((await batch()).missing[0]).toBe('Nothing of Ottilie Brandreth, left half is weighed in yet.');
    expect((await shop.file(owners[1]!.shareId)).held).toContainEqual({
      ...{ kind: 'tub', owner: owners[1]!.shareId, weight: 3_000 },
    });
    await shop.get('putMeatBack', { clientId: randomUUID(), batchId }, 'smoker');
    expect((await batch()).standing.meat).toBe(0);
  }, 60_000);

  it('is paid back in whole packs, closes only when it balances, and says what could not be parted', async () => {
    const batchId = await mixed([5_000, 3_000]);
    const { owners: parts, standing } = await batch();
    const whole = Math.floor(standing.mix / 1_000);
    expect(parts.map(({ packsDue }) => packsDue)).toEqual([
      Math.round((whole * 5) / 8),
      whole - Math.round((whole * 5) / 8),
    ]);
    const [first, second] = parts.map(({ packsDue }) => packsDue) as [number, number];
    for (let at = 0; at < first; at += 1) expect(await pack(0, 1_000)).toMatchObject({ ok: true });
    for (let at = 0; at < second; at += 1) expect(await pack(1, 1_000)).toMatchObject({ ok: true });
    const left = (await batch()).standing.mix - (first + second) * 1_000;
    const short = (await shop.file(owners[0]!.shareId)).batches[0]!.pool!.members;
    const odd = short[0]!.left >= short[1]!.left ? 0 : 1;
    if (left > 80) {
      expect(await doIt(batchId, 'closed')).toMatchObject({ ok: false });
      expect(await pack(1 - odd, left)).toMatchObject({ reason: 'more-than-there-is' });
      expect(await pack(odd, left - 20)).toMatchObject({ ok: true });
    }
    expect(await doIt(batchId, 'head')).toMatchObject({ ok: true });
    expect(await doIt(batchId, 'closed')).toMatchObject({ ok: true });
    const files = await Promise.all(owners.map(({ shareId }) => shop.file(shareId)));
    const given = files.map((file) =>
      sumWeights(file.held.flatMap(({ kind, weight }) => (kind === 'pooled' ? [weight] : []))),
    );
    expect(sumWeights(given)).toBe(0);
    for (const [at, file] of files.entries()) {
      expect(file.held.some(({ kind }) => kind === 'batch')).toBe(false);
      const step = reconciliationOf(file).bridge.find(({ kind }) => kind === 'pooled');
      expect(step?.weight ?? 0).toBe(given[at] as Weight);
    }
  }, 60_000);

  it('is traced back to both animals, and from one of them forward to the other owner’s packs of it alone', async () => {
    await mixed([5_000, 3_000]);
    await pack(1, 1_000);
    const { weighings } = await shop.file(owners[1]!.shareId);
    const { serial } = weighings.at(-1)!;
    const { found } = await shop.get('traceView', { words: `no. ${serial}` });
    const animals = found!.back.filter(({ of }) => of === 'animal').map(({ words }) => words);
    expect(animals.map((words) => words.slice(0, 8))).toEqual(['Hog H901', 'Hog H900']);
    const forward = (await shop.get('traceView', { words: 'H900' })).found!;
    const other = forward.reached.find(({ owner }) => owner === 'Corwin Aske')!;
    expect(other.packs.map((each) => each.serial)).toEqual([serial]);
    // A lot of the seasoning was weighed in once, and is in the packs of both.
    const lot = (await shop.get('traceView', { words: 'S-1' })).found!;
    expect(lot.reached.map(({ owner }) => owner).sort()).toEqual(['Corwin Aske', 'Ottilie Brandreth']);
  }, 60_000);

  it('cannot be closed into an order before the pool itself is', async () => {
    await mixed([5_000, 3_000]);
    const [{ shareId }] = owners as [(typeof owners)[number]];
    const lines = (await shop.get('wrapView', { shareId })).lines;
    for (const { key } of lines) {
      await shop.ask('noteLine', { clientId: randomUUID(), shareId, lineKey: key, note: 'gone otherwise' });
    }
    expect(
      await shop.ask('closeShare', { clientId: randomUUID(), shareId, note: 'looked for it' }),
    ).toMatchObject({ message: expect.stringContaining('not closed yet') });
  }, 60_000);
});
