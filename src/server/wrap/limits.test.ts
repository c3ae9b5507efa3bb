import type { WeighingPurpose } from '@/core/ledger/ledger';
import { BACON, BELLY, CHOPS, GROUND, TUB, WrapTable } from '../tests/wrapTable';

const table = new WrapTable();

describe('what cannot be', () => {
  const ask = (purpose: WeighingPurpose, net: number, more: object = {}) =>
    table.shop.ask('weigh', { ...table.input(purpose, net), ...more }, 'wrapper');

  it('is a weight that no scale of the shop has signed', async () => {
    const input = table.input(CHOPS, 1290);
    const forged = { ...input.reading, gross: 2_040, net: 2_000 };
    expect(await table.shop.ask('weigh', { ...input, reading: forged })).toMatchObject({
      reason: 'not-the-scale',
    });
    expect(
      await table.shop.ask('weigh', { ...input, reading: { ...input.reading, scaleId: 'made-up' } }),
    ).toMatchObject({
      reason: 'not-the-scale',
    });
  });

  it('is a reading of next year, or of last month', async () => {
    for (const days of [-1, 15]) {
      const input = table.input(CHOPS, 1290);
      table.shop.now = new Date(table.shop.now.getTime() + days * 24 * 3_600_000);
      expect(await table.shop.ask('weigh', input)).toMatchObject({ reason: 'not-the-scale' });
    }
  });

  it('is more than the bench carries, than is on the block, than went into tub or cure', async () => {
    expect(await ask(TUB, 31_000, { sure: true })).toMatchObject({ reason: 'overload' });
    await table.weigh({ kind: 'barrel', barrel: 'bone' }, 29_000);
    await table.weigh({ kind: 'barrel', barrel: 'fat' }, 29_000);
    await table.weigh({ kind: 'barrel', barrel: 'skin' }, 29_000);
    expect(await ask(TUB, 5_000)).toMatchObject({ reason: 'more-than-there-is' });
    await table.weigh(BELLY, 1_950);
    expect(await ask(BACON, 2_500, { sure: true })).toMatchObject({ reason: 'more-than-there-is' });
    await table.weigh(TUB, 1_000);
    expect(await ask(GROUND, 1_500, { sure: true })).toMatchObject({ reason: 'more-than-there-is' });
  });

  it('is not the last sausage of a batch: seasoning and water weigh too', async () => {
    await table.weigh(TUB, 3_000);
    for (const net of [1_000, 1_000, 1_000]) await table.weigh(GROUND, net);
    expect(await ask(GROUND, 450, { sure: true })).toMatchObject({ ok: true });
  });

  it.each([9_000, 50])('a pack of %s asks for a second yes, which is kept with the name', async (net) => {
    const input = table.input(CHOPS, net);
    expect(await table.shop.ask('weigh', input, 'wrapper')).toMatchObject({ reason: 'unusual' });
    await table.shop.get('weigh', { ...input, sure: true }, 'wrapper');
    const [kept] = await table.shop.db('weighings');
    expect(kept).toMatchObject({ actorId: 'id-wrapper', origin: 'scale' });
    expect(kept.remark).toContain('for a pack of Rib and loin chops, bone-in, where about');
  });

  it('a typed weight is marked for ever', async () => {
    const { reading: _, ...input } = table.input(CHOPS, 1290);
    const typed = { gross: 1330, tare: 40, why: 'the scale is being repaired' };
    await table.shop.get('weigh', { ...input, typed }, 'wrapper');
    expect(await table.shop.db('weighings')).toMatchObject([
      { net: 1290, origin: 'typed', scaleId: 'typed', remark: 'the scale is being repaired' },
    ]);
    expect(await table.shop.ask('weigh', { ...input, typed: { ...typed, why: '' } })).toMatchObject({
      reason: 'invalid',
    });
  });
});
