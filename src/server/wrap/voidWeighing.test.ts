import { randomUUID } from 'node:crypto';
import type { WeighingId } from '@/core/order/work';
import { BACON, BELLY, CHOPS, GROUND, TUB, WrapTable } from '../tests/wrapTable';

const table = new WrapTable();

describe('taking back', () => {
  it('is a new entry that undoes the old one, and the pack may be weighed again', async () => {
    const input = table.input(CHOPS, 1290);
    const first = await table.shop.get('weigh', input);
    const back = { clientId: randomUUID(), weighingId: first.id, reason: 'wrong cut' };
    await table.shop.get('voidWeighing', back, 'wrapper');
    await table.shop.get('voidWeighing', { ...back, clientId: randomUUID() });
    expect(await table.held()).toEqual([{ kind: 'share', owner: table.shareId, weight: 91_000 }]);
    const again = await table.shop.get('weigh', { ...input, clientId: randomUUID() });
    expect(again.id).not.toBe(first.id);
    expect(await table.shop.db('weighings')).toHaveLength(2);
    expect((await table.shop.get('balanceView', { shareId: table.shareId })).voids).toMatchObject([
      { id: first.id, reason: 'wrong cut' },
    ]);
  });

  it('of what was never weighed is refused', async () => {
    const back = { clientId: randomUUID(), weighingId: randomUUID() as WeighingId, reason: 'wrong' };
    expect(await table.shop.ask('voidWeighing', back)).toMatchObject({ reason: 'not-found' });
  });
});

describe('whose weighing', () => {
  it('is taken back by who took it, by the owner, or with a reason', async () => {
    const back = (weighingId: WeighingId, role: 'cutter' | 'owner' | 'wrapper', reason = '') =>
      table.shop.ask('voidWeighing', { clientId: randomUUID(), weighingId, reason }, role);
    const first = await table.weigh(CHOPS, 1290);
    expect(await back(first.id, 'cutter')).toMatchObject({ reason: 'needs-a-reason' });
    expect(await back(first.id, 'cutter', '.')).toMatchObject({ reason: 'invalid' });
    expect(await back(first.id, 'cutter', 'of another hog')).toMatchObject({ ok: true });
    expect(await back((await table.weigh(CHOPS, 1290)).id, 'wrapper')).toMatchObject({ ok: true });
    expect(await back((await table.weigh(CHOPS, 1290)).id, 'owner')).toMatchObject({ ok: true });
  });

  it('that packs have come out of stays until they are taken back', async () => {
    const green = await table.weigh(BELLY, 10_400);
    const pack = await table.weigh(BACON, 1_020);
    const back = (weighingId: WeighingId) =>
      table.shop.ask('voidWeighing', { clientId: randomUUID(), weighingId, reason: '' });
    expect(await back(green.id)).toMatchObject({ reason: 'packs-depend-on-it' });
    expect(await back(pack.id)).toMatchObject({ ok: true });
    expect(await back(green.id)).toMatchObject({ ok: true });
    expect(await table.holds('cure')).toBe(0);
  });

  it('of one tub of two stays while more has come out than the other can have given', async () => {
    const back = async (weighingId: WeighingId) =>
      table.shop.ask('voidWeighing', { clientId: randomUUID(), weighingId, reason: '' });
    const [small, large] = [await table.weigh(TUB, 1_000), await table.weigh(TUB, 4_000)];
    for (let pack = 0; pack < 3; pack += 1) await table.weigh(GROUND, 1_000);
    expect(await back(large.id)).toMatchObject({ reason: 'packs-depend-on-it' });
    expect(await back(small.id)).toMatchObject({ ok: true });
    expect(await table.holds('tub')).toBe(1_000);
  });
});
