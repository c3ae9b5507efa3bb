import { SetUps } from '@/data/setUp';
import { randomUUID } from 'node:crypto';
import type { ShareId } from '@/core/order/animal';
import { estimateOf } from '@/core/order/standing';
import { balancesOf } from '@/data/ledger';
import { answered, form, house } from '@/core/tests/halfHog';
import { passDoorway } from '../house/doorway';
import { USE_CASES } from '../useCases';
import { hogDocument, TestShop } from '../tests/testShop';

let shop: TestShop;
let shareId: ShareId;
let bareId: ShareId;
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
  shop.ask('approveSheet', { clientId: randomUUID(), shareId: id, version, overrideReason });
const start = (id = shareId, reason = '') => ({ clientId: randomUUID(), shareId: id, reason });
const clashing = answered(house, 'back-ribs', form('back-ribs', 'slab'));

describe('a sheet', () => {
  it('is one draft until it is approved', async () => {
    expect(await save({ ...house, wrap: 'paper' }, 1)).toEqual({ ok: true, value: { version: 2 } });
    expect(await shop.get('sheetView', { shareId })).toMatchObject({
      version: 2,
      sheet: { wrap: 'paper' },
      weightBasis: 'cold',
    });
    await save({ ...house, wrap: 'vacuum', instructions: 'Ring first' }, 2);
    expect(await shop.db('sheets').where({ shareId })).toHaveLength(1);
    expect(await shop.db('sheetDrafts').where({ shareId })).toMatchObject([{ version: 3 }]);
    await approve(3);
    expect(await shop.db('sheets').where({ shareId }).select('version', 'approved')).toEqual([
      { version: 1, approved: 0 },
      { version: 4, approved: 1 },
    ]);
    expect(await shop.db('sheetDrafts')).toEqual([]);
    expect(await shop.db('audit').where({ action: 'saveSheet' })).toEqual([]);
  });

  it('handed over keeps what the other had drafted', async () => {
    await shop.get('saveSheet', { shareId, baseVersion: 1, sheet: { ...house, wrap: 'paper' } }, 'counter');
    await shop.get(
      'saveSheet',
      { shareId, baseVersion: 2, sheet: { ...house, instructions: 'Ring' } },
      'owner',
    );
    expect(await shop.db('sheets').where({ shareId }).select('version', 'actorId')).toEqual([
      { version: 1, actorId: 'id-owner' },
      { version: 2, actorId: 'id-counter' },
    ]);
  });

  it('whose last answer was lost goes on from it', async () => {
    await save({ ...house, wrap: 'paper' }, 1);
    expect(await save({ ...house, wrap: 'paper', instructions: 'Ring' }, 1)).toEqual({
      ok: true,
      value: { version: 3 },
    });
  });

  it('saved again unchanged is the same version', async () => {
    await save({ ...house, wrap: 'paper' }, 1);
    expect(await save({ ...house, wrap: 'paper' }, 1)).toEqual({ ok: true, value: { version: 2 } });
  });

  it('changed in another window is not overwritten', async () => {
    await shop.get('saveSheet', { shareId, baseVersion: 1, sheet: { ...house, wrap: 'paper' } }, 'counter');
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
    expect((await shop.file(shareId)).sheet).toMatchObject({ approved: true, overrideReason: null });
  });

  it('sent twice, its answer lost, says the same twice', async () => {
    const input = { clientId: randomUUID(), shareId, version: 1, overrideReason: '' };
    const [first, second] = [await shop.get('approveSheet', input), await shop.get('approveSheet', input)];
    expect(second).toEqual(first);
    expect(await shop.ask('approveSheet', { ...input, version: 2 })).toMatchObject({ reason: 'id-reused' });
  });

  it('with questions names them, and takes a reason that somebody signs', async () => {
    await save(clashing, 1);
    const refused = await approve(2);
    expect(refused).toMatchObject({ reason: 'open-questions' });
    expect(!refused.ok && refused.problems).toMatchObject([{ field: 'back-ribs' }]);
    expect(await approve(2, '...')).toMatchObject({ reason: 'invalid' });
    expect(await approve(2, 'Ivo decides at the block')).toMatchObject({ ok: true });
    expect((await shop.file(shareId)).sheet!.overrideReason).toBe('Ivo decides at the block');
  });

  it('of what is no longer the newest is refused', async () => {
    await save({ ...house, wrap: 'paper' }, 1);
    expect(await approve(1)).toMatchObject({ reason: 'changed-elsewhere' });
    expect(await approve(0, '', bareId)).toMatchObject({ reason: 'no-sheet' });
  });

  it('is for the office', async () => {
    expect(
      await shop.ask(
        'approveSheet',
        { clientId: randomUUID(), shareId, version: 1, overrideReason: '' },
        'cutter',
      ),
    ).toMatchObject({
      reason: 'not-allowed',
    });
  });
});

describe('an approved sheet', () => {
  const reopen = (version: number, reason: string, id = shareId) =>
    shop.ask('reopenSheet', { clientId: randomUUID(), shareId: id, version, reason });
  const paper = { ...house, wrap: 'paper' as const };

  it('stands, until somebody says why it changes; then it wants a fresh yes', async () => {
    await approve(1);
    expect(await save(paper, 2)).toMatchObject({ reason: 'approved' });
    expect(await save(paper, 1)).toMatchObject({ reason: 'approved' });
    expect(await reopen(2, '.')).toMatchObject({ reason: 'invalid', field: 'reason' });
    expect(await reopen(1, 'They rang')).toMatchObject({ reason: 'changed-elsewhere' });
    shop.now = new Date('2026-11-24T13:00:00Z');
    expect(await reopen(2, 'They rang: paper after all')).toEqual({ ok: true, value: { version: 3 } });
    expect(await save(paper, 3)).toEqual({ ok: true, value: { version: 4 } });
    expect(await shop.ask('startBlock', start())).toMatchObject({ reason: 'not-approved' });
    shop.now = new Date('2026-11-24T14:00:00Z');
    expect(await approve(4)).toEqual({ ok: true, value: { version: 5 } });
    expect(
      await shop.db('sheets').where({ shareId }).orderBy('version').select('version', 'approved'),
    ).toEqual([
      { version: 1, approved: 0 },
      { version: 2, approved: 1 },
      { version: 5, approved: 1 },
    ]);
    const { office } = await shop.get('ticketView', { shareId });
    expect(office!.said).toMatchObject([
      { words: 'sheet kept' },
      { words: 'sheet approved' },
      { words: 'approved sheet opened again', why: 'They rang: paper after all' },
      { words: 'sheet approved' },
    ]);
  });

  it('is not opened that is not approved, and not on the block', async () => {
    expect(await reopen(1, 'They rang')).toMatchObject({ reason: 'not-approved' });
    await approve(1);
    await shop.get('startBlock', start());
    expect(await reopen(2, 'They rang')).toMatchObject({ reason: 'on-the-block' });
  });

  it('keeps the set-up it was approved under', async () => {
    await approve(1);
    expect(await shop.ask('renewSetUp', { clientId: randomUUID(), shareId })).toMatchObject({
      reason: 'approved',
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
    const estimate = estimateOf(await shop.file(shareId));
    await shop.get('startBlock', start(), 'cutter');
    await shop.get('startBlock', start(), 'cutter');
    expect(await balancesOf(shop.db, [shareId])).toEqual([{ kind: 'share', owner: shareId, weight: 91_000 }]);
    expect((await shop.file(shareId)).start).toMatchObject({
      sheetVersion: 2,
      estimate: { total: estimate.total },
    });
    expect(await save(house, 2)).toMatchObject({ reason: 'on-the-block' });
    expect((await shop.get('sheetView', { shareId })).locked).toBe(true);
    shop.now = new Date('2026-12-24T12:00:00Z');
    expect((await shop.get('sheetView', { shareId })).about).toMatch(/hung 2 days$/);
  });

  it('freezes what is to be made: a changed catalogue changes nothing of it', async () => {
    await approve(1);
    await shop.get('startBlock', start(), 'cutter');
    const before = await shop.get('wrapView', { shareId });
    const hog = shop.catalogue.species.find((species) => species.id === 'hog')!;
    const other = {
      ...hog,
      decisions: hog.decisions.slice(3),
      cutting: { ...hog.cutting, shrinkShare: 0.2 },
    };
    const setUps = new SetUps({ ...shop.catalogue, version: 'next', species: [other] });
    const around = { ...shop.around(), setUps };
    const actor = { kind: 'staff', id: 'x', name: 'Sunna', role: 'wrapper' } as const;
    const after = await passDoorway(USE_CASES.wrapView, { shareId }, actor, around);
    expect(after).toMatchObject({ ok: true, value: { lines: before.lines, losses: before.losses } });
    expect((await shop.file(shareId)).plan!.catalogueVersion).toBe(shop.catalogue.version);
  });

  it('is for owner and cutter; others say why, the smoker not at all', async () => {
    await approve(1);
    expect(await shop.ask('startBlock', start(), 'smoker')).toMatchObject({ reason: 'not-allowed' });
    expect(await shop.ask('startBlock', start(), 'wrapper')).toMatchObject({ reason: 'needs-a-reason' });
    expect(await shop.ask('startBlock', start(shareId, '.'), 'wrapper')).toMatchObject({ reason: 'invalid' });
    expect(await shop.ask('startBlock', start(shareId, 'Iver is at the saw'), 'wrapper')).toMatchObject({
      ok: true,
    });
  });

  it('waits for an approved sheet and a cold weight', async () => {
    expect(await shop.ask('startBlock', start())).toMatchObject({ reason: 'not-approved' });
    await save(house, 0, bareId);
    await approve(1, '', bareId);
    expect(await shop.ask('startBlock', start(bareId))).toMatchObject({ reason: 'no-cold-weight' });
    expect(await shop.get('wrapView', { shareId: bareId })).toMatchObject({
      whyNotReady: 'The cold weight is missing.',
    });
  });

  it('knows no share that is not there', async () => {
    const nowhere = { shareId: '00000000-0000-4000-8000-000000000000' as ShareId };
    expect(await shop.ask('startBlock', start(nowhere.shareId))).toMatchObject({ reason: 'not-found' });
    expect(await shop.ask('sheetView', nowhere)).toMatchObject({ reason: 'not-found' });
  });
});

describe('the sheets that one can be set against', () => {
  it('are its own versions with who and when, and what the household had before', async () => {
    const { sheet, version } = await shop.get('sheetView', { shareId });
    const paper = { ...sheet, wrap: 'paper' as const };
    await shop.get('saveSheet', { shareId, baseVersion: version, sheet: paper });
    const approve = { clientId: randomUUID(), shareId, version: version + 1, overrideReason: 'they said so' };
    await shop.get('approveSheet', approve);
    const versions = await shop.get('otherSheetsView', { shareId });
    expect(versions[0]).toMatchObject({ id: `version-${version + 2}`, sheet: { wrap: 'paper' } });
    expect(versions[0]!.words).toMatch(/^version \d+, .+, 24 Nov \d\d:\d\d, approved$/);

    const animal = { ...hogDocument().animal, tag: 'H901' };
    const [again] = await shop.book(hogDocument({ animal }));
    const before = await shop.get('otherSheetsView', { shareId: again!.share.id });
    const last = before.find(({ id }) => id === shareId)!;
    expect(last).toMatchObject({ sheet: { wrap: 'paper' }, gone: [] });
    expect(last.words).toContain('hog');
  });

  it('are the shop’s own by name, without what is of one household', async () => {
    const { sheet } = await shop.get('sheetView', { shareId });
    const mine = { ...sheet, wrap: 'paper' as const, instructions: 'Ring first' };
    const keep = () =>
      shop.ask('keepTemplate', { clientId: randomUUID(), shareId, name: 'Lean and quick', sheet: mine });
    expect(await keep()).toMatchObject({ ok: true });
    expect(await keep()).toMatchObject({ reason: 'already-taken', field: 'name' });
    const [first] = await shop.get('otherSheetsView', { shareId: bareId });
    expect(first).toMatchObject({
      words: '“Lean and quick”, of the shop',
      sheet: { wrap: 'paper', instructions: '' },
    });
    const templateId = first!.id.replace('template-', '');
    await shop.get('endTemplate', { clientId: randomUUID(), templateId });
    expect(await shop.get('otherSheetsView', { shareId: bareId })).toEqual([]);
    expect(await shop.ask('endTemplate', { clientId: randomUUID(), templateId })).toMatchObject({
      reason: 'not-found',
    });
  });
});
