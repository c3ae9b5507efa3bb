import { randomUUID } from 'node:crypto';
import { balancesOfShare } from '@/data/repositories/ledger';
import { answered, form, house } from '@/core/tests/halfHog';
import { estimateOf, orderOf } from '../orderBook';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let shareId: string;
let bareId: string;
beforeEach(async () => {
  shop = await TestShop.open();
  const weights = { left: { hot: 92.5, cold: 91 }, right: { hot: 91 } };
  const [left, right] = await shop.book(hogDocument({ weights }));
  [shareId, bareId] = [left!.share.id, right!.share.id];
});
afterEach(() => shop.close());

const save = (sheet: typeof house, baseVersion: number, id = shareId) =>
  shop.ask('saveSheet', { shareId: id, baseVersion, sheet });
const approve = (version: number, overrideReason = '', id = shareId) =>
  shop.ask('approveSheet', { shareId: id, version, overrideReason });
const clashing = answered(house, 'back-ribs', form('back-ribs', 'slab'));

describe('a sheet', () => {
  it('is kept version by version', async () => {
    expect(await save({ ...house, wrap: 'paper' }, 1)).toEqual({ ok: true, value: { version: 2 } });
    expect(await shop.get('sheetView', { shareId })).toMatchObject({
      version: 2,
      sheet: { wrap: 'paper' },
      weightBasis: 'cold',
    });
    expect(await shop.db('sheets').where({ shareId })).toHaveLength(2);
  });

  it('saved again unchanged is the same version', async () => {
    await save({ ...house, wrap: 'paper' }, 1);
    expect(await save({ ...house, wrap: 'paper' }, 1)).toEqual({ ok: true, value: { version: 2 } });
  });

  it('changed in another window is not overwritten', async () => {
    await save({ ...house, wrap: 'paper' }, 1);
    expect(await save({ ...house, instructions: 'Ring first' }, 1)).toMatchObject({
      reason: 'changed-elsewhere',
    });
  });

  it('that the species does not allow is not saved', async () => {
    const wrong = answered(
      house,
      'butt',
      form('butt', 'steaks', { params: { thickness: 9, perPack: 2, fatLeft: 0.25 } }),
    );
    expect(await save(wrong, 1)).toMatchObject({
      reason: 'invalid',
      field: 'answers.butt.forms[0].params.thickness',
    });
  });

  it('may be begun where there was none', async () => {
    expect(await shop.get('sheetView', { shareId: bareId })).toMatchObject({
      version: 0,
      weightBasis: 'hot',
    });
    expect(await save(house, 0, bareId)).toEqual({ ok: true, value: { version: 1 } });
  });
});

describe('approving', () => {
  it('a sheet without questions needs no reason', async () => {
    expect(await approve(1)).toEqual({ ok: true, value: { version: 2 } });
    expect((await orderOf(shop.db, shareId))!.sheet).toMatchObject({ approved: true, overrideReason: null });
  });

  it('with questions names them, and takes a reason that somebody signs', async () => {
    await save(clashing, 1);
    const refused = await approve(2);
    expect(refused).toMatchObject({ reason: 'open-questions' });
    expect(!refused.ok && refused.problems).toMatchObject([{ field: 'back-ribs' }]);
    expect(await approve(2, 'Ivo decides at the block')).toMatchObject({ ok: true });
    expect((await orderOf(shop.db, shareId))!.sheet!.overrideReason).toBe('Ivo decides at the block');
  });

  it('of what is no longer the newest is refused', async () => {
    await save({ ...house, wrap: 'paper' }, 1);
    expect(await approve(1)).toMatchObject({ reason: 'changed-elsewhere' });
    expect(await approve(0, '', bareId)).toMatchObject({ reason: 'no-sheet' });
  });

  it('is for the office', async () => {
    expect(
      await shop.ask('approveSheet', { shareId, version: 1, overrideReason: '' }, 'cutter'),
    ).toMatchObject({
      reason: 'not-allowed',
    });
  });
});

describe('a call', () => {
  const call = (reached: 'spoken' | 'nobody', said: string, clientId = randomUUID()) =>
    shop.ask('noteCall', { clientId, shareId, reached, said }, 'counter');

  it('is noted with who called, when, and what was said; once for each press', async () => {
    const press = randomUUID();
    await call('spoken', 'Wants the ribs', press);
    await call('spoken', 'Wants the ribs', press);
    await call('nobody', '');
    expect((await shop.get('sheetView', { shareId })).calls).toMatchObject([
      { reached: 'spoken', said: 'Wants the ribs', actorName: 'counter', at: '2026-11-24 12:00' },
      { reached: 'nobody', said: '' },
    ]);
  });

  it('that reached somebody says what was said', async () => {
    expect(await call('spoken', '')).toMatchObject({ reason: 'invalid', field: 'said' });
  });
});

describe('taking a share to the block', () => {
  it('moves its side in the ledger and keeps the estimate as it was', async () => {
    await approve(1);
    const estimate = estimateOf((await orderOf(shop.db, shareId))!);
    await shop.get('startBlock', { shareId }, 'cutter');
    await shop.get('startBlock', { shareId }, 'cutter');
    expect(await balancesOfShare(shop.db, shareId)).toEqual([
      { kind: 'share', owner: shareId, weight: 91_000 },
    ]);
    expect((await orderOf(shop.db, shareId))!.start).toMatchObject({
      sheetVersion: 2,
      estimate: { total: estimate.total },
    });
    expect(await save(house, 2)).toMatchObject({ reason: 'on-the-block' });
    expect((await shop.get('sheetView', { shareId })).locked).toBe(true);
  });

  it('waits for an approved sheet and a cold weight', async () => {
    expect(await shop.ask('startBlock', { shareId })).toMatchObject({ reason: 'not-approved' });
    await save(house, 0, bareId);
    await approve(1, '', bareId);
    expect(await shop.ask('startBlock', { shareId: bareId })).toMatchObject({ reason: 'no-cold-weight' });
    expect(await shop.get('wrapView', { shareId: bareId })).toMatchObject({
      ready: false,
      whyNotReady: 'The cold weight is missing.',
    });
  });

  it('knows no share that is not there', async () => {
    const nowhere = { shareId: '00000000-0000-4000-8000-000000000000' };
    expect(await shop.ask('startBlock', nowhere)).toMatchObject({ reason: 'not-found' });
    expect(await shop.ask('sheetView', nowhere)).toMatchObject({ reason: 'not-found' });
  });
});
