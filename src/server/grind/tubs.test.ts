import { randomUUID } from 'node:crypto';
import type { Grade } from '@/core/grindroom/tubs';
import type { WeighingPurpose } from '@/core/ledger/ledger';
import type { ShareId } from '@/core/order/animal';
import { elementString, parseElementString } from '@/core/label/gs1';
import { labelJobsOf } from '@/data/wrap';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let shareId: ShareId;
let batchId: string;
beforeEach(async () => {
  shop = await TestShop.open();
  shareId = await shop.onTheBlock();
  await weigh({ kind: 'tub', grade: '90' }, 9_000);
  await weigh({ kind: 'tub', grade: '50' }, 6_000);
  const [job] = (await shop.get('grindView', {})).jobs;
  const begun = { clientId: randomUUID(), shareId, lineKey: job!.lineKey };
  ({ batchId } = await shop.get('beginBatch', begun, 'smoker'));
});
afterEach(() => shop.close());

const weigh = (purpose: WeighingPurpose, net: number, of = shareId) =>
  shop.ask('weigh', { ...shop.weighing(of, purpose, net), sure: true });

const draw = (grade: Grade, net: number) =>
  shop.ask('weighMeat', { clientId: randomUUID(), batchId, grade, reading: shop.reading(net) }, 'smoker');

const job = async () => (await shop.get('grindView', {})).jobs.find(({ batch }) => batch?.id === batchId)!;

const left = async () => (await job()).tubs.map(({ grade, left: net }) => [grade, net]);

/** The bars of the tag that was printed last for a share's tub. */
async function tagOf(grade: Grade, of = shareId): Promise<string> {
  const { weighings } = await shop.file(of);
  const tub = weighings.findLast(({ kind, source }) => kind === 'tub' && source === grade)!;
  const [printed] = await labelJobsOf(shop.db, tub.id);
  expect(printed!.label.statusWords).toBe('NOT A PACK');
  const code = parseElementString(printed!.label.barcode.replaceAll(/[()]/g, ''));
  return elementString(code.ok ? code.value : (undefined as never));
}

describe('tubs by how lean they are', () => {
  it('give what lies in each of them and no more; put back, it lies where it lay', async () => {
    expect(await left()).toEqual([
      ['90', 9_000],
      ['50', 6_000],
    ]);
    expect(await draw('50', 6_500)).toMatchObject({
      reason: 'more-than-there-is',
      message: expect.stringContaining('Only 6.00'),
    });
    expect(await draw('80', 500)).toMatchObject({ reason: 'more-than-there-is' });
    expect(await draw('90', 4_000)).toMatchObject({ ok: true });
    expect(await draw('50', 1_000)).toMatchObject({ ok: true });
    expect(await left()).toEqual([
      ['90', 5_000],
      ['50', 5_000],
    ]);
    await shop.get('putMeatBack', { clientId: randomUUID(), batchId }, 'smoker');
    expect(await left()).toEqual([
      ['90', 9_000],
      ['50', 6_000],
    ]);
  }, 60_000);

  it('say what to take of each for the recipe', async () => {
    const { fromTubs, askedFatPct, planned } = await job();
    const taken = fromTubs!.use.reduce((sum, { take }) => sum + take, 0);
    expect(Math.abs(taken - Math.min(planned, 15_000))).toBeLessThan(3);
    if (fromTubs!.beside.is === 'as-asked') {
      expect(fromTubs!.leanPct).toBeGreaterThanOrEqual(99 - askedFatPct);
    }
    await draw('90', 4_000);
    const after = (await job()).fromTubs!;
    expect(after.use[0]!.take).toBe(fromTubs!.use[0]!.take - 4_000);
  }, 60_000);

  it('take nothing that is never ground, and say where it goes', async () => {
    for (const grade of ['glands', 'crust', 'bloodshot']) {
      expect(await weigh({ kind: 'tub', grade }, 400)).toMatchObject({
        reason: 'wrong-place',
        message: expect.stringContaining('Glands and condemned'),
      });
    }
    expect(await weigh({ kind: 'tub', grade: '99' }, 400)).toMatchObject({ ok: false });
  }, 60_000);

  it('cannot be taken back when a batch has drawn of them', async () => {
    await draw('50', 5_000);
    const { weighings } = await shop.file(shareId);
    const back = (source: string) => ({
      clientId: randomUUID(),
      weighingId: weighings.find((each) => each.kind === 'tub' && each.source === source)!.id,
      reason: 'wrong tub',
    });
    expect(await shop.ask('voidWeighing', back('50'))).toMatchObject({ reason: 'packs-depend-on-it' });
    expect(await shop.ask('voidWeighing', back('90'))).toMatchObject({ ok: true });
  }, 60_000);

  it('are known by their tags, and another owner’s is refused by name', async () => {
    expect(await shop.ask('tubView', { text: await tagOf('90'), batchId })).toMatchObject({
      ok: true,
      value: { grade: '90' },
    });
    expect(await shop.ask('tubView', { text: 'H900', batchId })).toMatchObject({ reason: 'not-found' });
    const share = { part: 'left' as const, owner: { name: 'Corwin Aske' }, sheet: { houseForTheRest: true } };
    const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91, cold: 89.6 } };
    const animal = { ...hogDocument().animal, tag: 'H901' };
    const [other] = await shop.book(hogDocument({ animal, shares: [share], weights }));
    await shop.approveAndStart(other!.share.id);
    await weigh({ kind: 'tub', grade: '90' }, 5_000, other!.share.id);
    const text = await tagOf('90', other!.share.id);
    expect(await shop.ask('tubView', { text, batchId })).toMatchObject({
      reason: 'wrong-place',
      message: expect.stringMatching(/of Corwin Aske.*H901/),
    });
  }, 60_000);
});
