import { randomUUID } from 'node:crypto';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { ShareId } from '@/core/order/animal';
import { catalogue } from '@/core/tests/catalogue';
import { databaseFile, openDatabase } from '@/data/database';
import { allStageRows, countRows } from '@/data/rail';
import { readHouseRules, readPriceLists, readShop, removeSample, SetUps } from '@/data/setUp';
import { freshDatabase } from '@/data/tests/freshDatabase';
import { addSample } from '../demo/sample';
import { demoPriceLists } from '../demo/setUpDemo';
import { signIn } from '../people';
import { freshRow } from '../rail/restage';
import { hogDocument, NOON, TestShop } from '../tests/testShop';
import { prepareShop, readPriceList, setUpShop } from '.';

const SHOP = {
  name: 'Hollow Way Cutting',
  unit: 'kg',
  zone: 'Europe/Oslo',
  currency: 'kr',
  owner: 'Kari',
  secret: 'a long enough one',
  phone: null,
  establishment: null,
  codePrefix: '200',
};
const prices = demoPriceLists('kg').slice(-1);

describe('a shop of one’s own', () => {
  it('is set up with its owner, its rules and dated prices in its own money, once', async () => {
    const db = await freshDatabase();
    expect(await setUpShop(db, SHOP, { prices, now: NOON })).toMatchObject({ ok: true });
    expect(await readShop(db)).toMatchObject({ name: 'Hollow Way Cutting', unit: 'kg', demo: false });
    expect(await readHouseRules(db)).toMatchObject({ version: 1, tools: ['band-saw'] });
    expect(await readPriceLists(db)).toMatchObject([{ unit: 'kg', sign: 'kr', effectiveFrom: '2026-09-24' }]);
    const credentials = { name: 'Kari', secret: SHOP.secret, address: 'here' };
    expect(await signIn(db, credentials, NOON)).toMatchObject({
      ok: true,
      value: { actor: { role: 'owner' } },
    });
    expect(await setUpShop(db, SHOP, { prices, now: NOON })).toMatchObject({ reason: 'set-up-already' });
    await db.destroy();
  });

  it.each<[string, object, string]>([
    ['an unknown zone', { zone: 'Mars/Olympus' }, 'zone'],
    ['a short secret', { secret: 'short' }, 'secret'],
    ['no owner', { owner: ' ' }, 'owner'],
    ['a unit nobody weighs in', { unit: 'stone' }, 'unit'],
    ['a prefix that leaves no room for the items', { codePrefix: '200000000' }, 'codePrefix'],
  ])('with %s is refused, and nothing is written', async (_, change, field) => {
    const db = await freshDatabase();
    const refused = await setUpShop(db, { ...SHOP, ...change }, { prices, now: NOON });
    expect(refused).toMatchObject({ ok: false, reason: 'invalid', field });
    expect(await db('shop')).toEqual([]);
    await db.destroy();
  });

  it('takes price lists in its own unit only', () => {
    expect(readPriceList(prices[0], { unit: 'kg', catalogue })).toMatchObject({ ok: true });
    expect(readPriceList(prices[0], { unit: 'lb', catalogue })).toMatchObject({ ok: false, field: 'unit' });
    expect(readPriceList({}, { unit: 'kg', catalogue })).toMatchObject({ ok: false, reason: 'invalid' });
    const [rule] = prices[0]!.rules;
    const strange = { ...prices[0]!, rules: [{ ...rule!, key: 'curring' }] };
    expect(readPriceList(strange, { unit: 'kg', catalogue })).toMatchObject({
      ok: false,
      message: expect.stringContaining('Nothing is ever charged for "curring"'),
    });
  });
});

/** Does with one animal of a sample what a shop that looks around does: links, a call, a contact, a sheet opened again. */
async function useSample(shop: TestShop): Promise<void> {
  const share = await shop
    .db('shareStages')
    .join('shares', 'shares.id', 'shareStages.shareId')
    .join('animals', 'animals.id', 'shares.animalId')
    .where('animals.sample', true)
    .where('shareStages.stage', 'sheet')
    .first('shares.id', 'shares.ownerId', 'animals.farmId');
  const shareId = share.id as ShareId;
  const link = (secret: string) => ({
    clientId: randomUUID(),
    days: 3,
    prices: true,
    origin: 'https://shop.example.org',
    secret: secret.repeat(43),
  });
  await shop.get('giveLink', { ...link('a'), shareId });
  await shop.get('giveFarmLink', { ...link('b'), personId: share.farmId });
  await shop.get('noteCall', { clientId: randomUUID(), shareId, reached: 'nobody', said: '' });
  const job = (await shop.get('grindView', {})).jobs[0]!;
  const batch = { clientId: randomUUID(), shareId: job.shareId, lineKey: job.lineKey };
  const { batchId } = await shop.get('beginBatch', batch);
  await shop.get('weighMeat', {
    clientId: randomUUID(),
    batchId,
    reading: shop.reading(1000, { unit: 'lb' }),
  });
  const contact = { name: 'Ann', phone: '555 0199', email: '' };
  await shop.get('addHouseholdContact', { clientId: randomUUID(), personId: share.ownerId, ...contact });
  const { version } = await shop.get('sheetView', { shareId });
  await shop.get('approveSheet', { clientId: randomUUID(), shareId, version, overrideReason: 'to try it' });
  await shop.get('reopenSheet', {
    clientId: randomUUID(),
    shareId,
    version: version + 1,
    reason: 'They rang',
  });
}

describe('a sample week', () => {
  it('goes out again without a trace, and the shop’s own orders stay as they are', async () => {
    const shop = await TestShop.open();
    const [own] = await shop.book(hogDocument({ weights: { left: { hot: 92.5 }, right: { hot: 91 } } }));
    const before = await shop.db('ledgerPostings').orderBy('id');
    const owner = { kind: 'staff', id: 'id-owner', name: 'owner', role: 'owner' } as const;
    await addSample(shop.around(), owner, shop.sign);
    expect((await shop.db('animals')).length).toBeGreaterThan(8);
    await useSample(shop);
    expect(await removeSample(shop.db)).toBeGreaterThan(8);
    expect(await shop.db('animals').pluck('id')).toEqual([own!.animal.id]);
    expect(await shop.db('ledgerPostings').orderBy('id')).toEqual(before);
    const tables = [
      'weighings',
      'labelJobs',
      'closings',
      'plans',
      'links',
      'sheetReopenings',
      'contacts',
      'calls',
      'cures',
      'cureMixes',
      'smokeLoads',
      'smokehouseEvents',
      'smokeReadings',
      'grindBatches',
      'grindEvents',
    ];
    for (const table of tables) {
      expect([table, await shop.db(table)]).toEqual([table, []]);
    }
    expect(await shop.db('stageWords').count({ all: '*' })).toEqual([{ all: 2 }]);
    await shop.expectFreshStages();
    const refused = await shop
      .db('ledgerPostings')
      .delete()
      .then(
        () => 'taken',
        (error: Error) => error.message,
      );
    expect(refused).toContain('append-only');
    await shop.close();
  }, 60_000);
});

describe('the data of an earlier version', () => {
  it('gets its plans frozen and its stages worked out at the first start, and stays as it was', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'fractum-old-'));
    const old = await readFile(join(__dirname, '../../data/tests/fixtures/007-carcass.db.gz'));
    await writeFile(databaseFile(folder), gunzipSync(old));
    const db = openDatabase(databaseFile(folder));
    const setUps = new SetUps(catalogue);
    await prepareShop(db, setUps);
    const { shares, staged } = await countRows(db);
    expect([shares, staged]).toEqual([17, 17]);
    expect(await db('plans').pluck('shareId')).toHaveLength((await db('blockStarts')).length);
    const rows = await allStageRows(db);
    expect(rows.filter((row) => row.broken !== '')).toEqual([]);
    for (const row of rows) expect(row).toEqual(await freshRow(db, setUps, row.shareId));
    await prepareShop(db, setUps);
    expect(await allStageRows(db)).toEqual(rows);
    await db.destroy();
    await rm(folder, { recursive: true });
  }, 60_000);
});
