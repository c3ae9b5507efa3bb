import { randomUUID } from 'node:crypto';
import { elementString, parseElementString, tradeItem } from '@/core/label/gs1';
import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import type { Weight } from '@/core/quantity/weight';
import { hogDocument } from '../tests/testShop';
import { CHOPS, WrapTable } from '../tests/wrapTable';

const table = new WrapTable();
const BUTT = { kind: 'package', from: 'share', lineKey: 'butt.0.0' } as const;

/** Another hog's half on the block beside it. */
const anotherHog = () =>
  table.shop.onTheBlock(undefined, { animal: { ...hogDocument().animal, tag: 'H951' } });

const labelOf = (weighingId: WeighingId) => table.shop.get('labelView', { weighingId, copy: 1 });

describe('two cuts in one pack', () => {
  it('are weighed each by itself, and one label says both with the whole weight', async () => {
    const first = await table.weigh(CHOPS, 1290);
    const both = { ...table.input(BUTT, 2090), onto: first.id };
    const second = await table.shop.get('weigh', both, 'wrapper');
    expect(second.net).toBe(800);
    expect(await table.holds('share')).toBe(91_000 - 2090);
    const label = await labelOf(second.id);
    expect(label).toMatchObject({ weight: '2.09 lb', cut: expect.stringContaining(' and ') });
    expect(label.detail).toContain('1.29 lb');
    expect(label.detail).toContain('0.80 lb');
    expect(label.barcode).toContain('(3202)000209');
  });

  it('are not more than two, and the second comes out before the first', async () => {
    const first = await table.weigh(CHOPS, 1290);
    const onto = (net: number, id = first.id) =>
      table.shop.ask('weigh', { ...table.input(BUTT, net), onto: id }, 'wrapper');
    expect(await onto(1290)).toMatchObject({ reason: 'nothing-on-the-scale' });
    const same = { ...table.input(CHOPS, 2090), onto: first.id };
    expect(await table.shop.ask('weigh', same, 'wrapper')).toMatchObject({ reason: 'wrong-place' });
    const second = await table.shop.get('weigh', { ...table.input(BUTT, 2090), onto: first.id }, 'wrapper');
    expect(await onto(2500)).toMatchObject({ reason: 'wrong-place' });
    expect(await onto(2500, second.id)).toMatchObject({ reason: 'wrong-place' });
    expect(await onto(2500, randomUUID() as WeighingId)).toMatchObject({ reason: 'not-found' });
    const back = (weighingId: WeighingId) =>
      table.shop.ask('voidWeighing', { clientId: randomUUID(), weighingId, reason: '' }, 'wrapper');
    expect(await back(first.id)).toMatchObject({ reason: 'packs-depend-on-it' });
    expect((await back(second.id)).ok).toBe(true);
    expect((await back(first.id)).ok).toBe(true);
    expect(await table.holds('share')).toBe(91_000);
  });
});

describe('a tray of the shop', () => {
  it('is taken off beside what the scale takes off, and stands in the book as tare', async () => {
    const { id, net } = await table.shop.get('weigh', { ...table.input(CHOPS, 1290), tray: 'Tray' });
    expect(net).toBe(1230);
    const row = await table.shop.db('weighings').where({ id }).first('gross', 'tare', 'net');
    expect(row).toEqual({ gross: 1330, tare: 100, net: 1230 });
  });

  it('that the shop does not have, or that is all that lies there, gives nothing', async () => {
    const tub = { ...table.input(CHOPS, 1290), tray: 'Bathtub' };
    expect(await table.shop.ask('weigh', tub)).toMatchObject({ reason: 'not-found' });
    const alone = { ...table.input(CHOPS, 60), tray: 'Tray' };
    expect(await table.shop.ask('weigh', alone)).toMatchObject({ reason: 'nothing-on-the-scale' });
  });
});

describe('a pack under the wrong share', () => {
  let other: ShareId;

  beforeEach(async () => {
    other = await anotherHog();
  });

  const give = (weighingId: WeighingId, toShareId: ShareId) =>
    table.shop.ask('givePack', { clientId: randomUUID(), weighingId, toShareId }, 'wrapper');

  it('is given to the one it is of: undone there, booked here, with a label of its own', async () => {
    const pack = await table.weigh(CHOPS, 1290);
    const given = await give(pack.id, other);
    if (!given.ok) throw new Error(given.message);
    expect(await table.holds('share')).toBe(91_000);
    const file = await table.shop.file(other);
    expect(file.weighings).toMatchObject([{ id: given.value.id, net: 1290, scaleId: 'given' }]);
    expect(file.weighings[0]!.remark).toContain('Was weighed under');
    expect((await labelOf(given.value.id)).lines.join(' ')).toContain('H951');
    expect(await give(pack.id, other)).toMatchObject({ reason: 'not-found' });
    await table.shop.expectFreshStages();
  });

  it('is not given where it is already, nor to what is not on the block, nor half of a pack of two cuts', async () => {
    const pack = await table.weigh(CHOPS, 1290);
    expect(await give(pack.id, table.shareId)).toMatchObject({ reason: 'invalid' });
    const second = await table.shop.get('weigh', { ...table.input(BUTT, 2090), onto: pack.id });
    expect(await give(pack.id, other)).toMatchObject({ reason: 'packs-depend-on-it' });
    expect(await give(second.id, other)).toMatchObject({ reason: 'packs-depend-on-it' });
    const tub = await table.weigh({ kind: 'tub' }, 2_000);
    expect(await give(tub.id, other)).toMatchObject({ reason: 'wrong-place' });
  });
});

describe('what was scanned', () => {
  it('is a pack, with whom it may be of, by the bars of its label', async () => {
    const other = await anotherHog();
    const { id } = await table.weigh(CHOPS, 1290);
    const printed = (await labelOf(id)).barcode.replace('(21)', '\u001d(21)').replace(/[()]/g, '');
    expect(parseElementString(printed).ok).toBe(true);
    const scanned = await table.shop.get('scannedView', { text: printed }, 'wrapper');
    expect(scanned).toMatchObject({ kind: 'pack', weighingId: id, net: 1290 as Weight, gone: false });
    const mayBeOf = scanned.kind === 'pack' ? scanned.mayBeOf : [];
    expect(mayBeOf.map(({ shareId }) => shareId)).toContain(other);
    await table.shop.get('voidWeighing', { clientId: randomUUID(), weighingId: id, reason: 'torn' });
    expect(await table.shop.get('scannedView', { text: printed })).toMatchObject({ gone: true });
  });

  it('is a share, by its tag or by the square on its paper', async () => {
    const { animal } = await table.shop.file(table.shareId);
    for (const text of [animal.tag, `https://shop.example/ticket/${table.shareId}`]) {
      const scanned = await table.shop.get('scannedView', { text }, 'wrapper');
      expect(scanned.kind === 'shares' && scanned.shares.map(({ shareId }) => shareId)).toContain(
        table.shareId,
      );
    }
  });

  it('is nothing of this shop', async () => {
    const code = { net: 1290 as Weight, unit: 'lb', lot: 'X', serial: '999999' } as const;
    const strange = elementString({ ...code, tradeItem: tradeItem('200', 1) });
    for (const text of [strange, 'nobody at all'])
      expect(await table.shop.ask('scannedView', { text })).toMatchObject({ reason: 'not-found' });
  });
});
