import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { dataFolder, databaseFile, migrate, openDatabase, sharedDatabase } from '../database';
import { gunzipSync } from 'node:zlib';
import { readFile, writeFile } from 'node:fs/promises';
import { freshDatabase } from '../tests/freshDatabase';
import { migrationSource } from '.';

describe('the database file', () => {
  let folder: string;
  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), 'fractum-data-'));
  });
  afterEach(() => rm(folder, { recursive: true }));

  it('is made with its folder, safe and strict', async () => {
    const db = openDatabase(join(folder, 'new', 'shop', 'fractum.db'));
    const pragma = async (name: string) => Object.values((await db.raw(`PRAGMA ${name}`))[0])[0];
    expect(await pragma('journal_mode')).toBe('wal');
    expect(await pragma('synchronous')).toBe(2);
    expect(await pragma('foreign_keys')).toBe(1);
    await db.destroy();
  });

  it('migrated again keeps what is in it', async () => {
    const file = databaseFile(folder);
    const first = openDatabase(file);
    await migrate(first);
    await first('people').insert({ id: 'p', name: 'Ottilie' });
    await first.destroy();
    const second = openDatabase(file);
    await migrate(second);
    expect(await second('people').select('name')).toEqual([{ name: 'Ottilie' }]);
    await second.destroy();
  });

  it('lies where FRACTUM_DATA says, and is opened once', async () => {
    process.env.FRACTUM_DATA = folder;
    expect(dataFolder()).toBe(folder);
    const shared = sharedDatabase();
    expect(sharedDatabase()).toBe(shared);
    await shared.destroy();
    delete process.env.FRACTUM_DATA;
    expect(dataFolder()).toMatch(/data\/shop$/);
  });
});

describe('migrations', () => {
  it('know no way back', async () => {
    const [first] = await migrationSource.getMigrations([]);
    const step = await migrationSource.getMigration(first!);
    await expect(step.down!({} as never)).rejects.toThrow('only go forward');
  });

  it('make every record of the work append-only', async () => {
    const db = await freshDatabase();
    const triggers: { tbl_name: string; name: string }[] = await db('sqlite_master').where({
      type: 'trigger',
    });
    for (const table of [
      'audit',
      'priceLists',
      'ledgerTransactions',
      'ledgerPostings',
      'sideWeights',
      'sheets',
      'blockStarts',
      'weighings',
      'weighingVoids',
      'lineNotes',
      'closings',
      'payments',
      'pickUps',
      'calls',
      'houseRules',
      'plans',
      'blockSteps',
      'pieceWeights',
      'deviations',
      'photos',
      'found',
      'foundWithdrawn',
      'railEvents',
      'remadePlans',
      'blockLevels',
      'handWork',
      'quarterWeights',
      'liveWeights',
      'grindBatches',
      'grindEvents',
    ]) {
      const own = triggers.filter((trigger) => trigger.tbl_name === table).map((trigger) => trigger.name);
      expect(own).toEqual(expect.arrayContaining([`${table}_no_update`, `${table}_no_delete`]));
    }
    await db.destroy();
  });

  it('bring the data of an earlier version forward, with nothing lost', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'fractum-old-'));
    const old = await readFile(join(__dirname, '../tests/fixtures/007-carcass.db.gz'));
    await writeFile(databaseFile(folder), gunzipSync(old));
    const db = openDatabase(databaseFile(folder));
    const count = async (table: string) => Number((await db(table).count({ all: '*' }))[0]!.all);
    const kept = [
      'animals',
      'shares',
      'sheets',
      'weighings',
      'ledgerPostings',
      'labelJobs',
      'closings',
      'payments',
    ];
    const before = await Promise.all(kept.map(count));
    await migrate(db);
    expect(await Promise.all(kept.map(count))).toEqual(before);
    expect(before.every((rows) => rows > 0)).toBe(true);
    const numbers: { number: number }[] = await db('shares').orderBy('number').select('number');
    expect(numbers.map((row) => row.number)).toEqual(numbers.map((_, at) => at + 1));
    expect(await db('houseRules').select('version')).toEqual([{ version: 1 }]);
    expect(await db.raw('PRAGMA foreign_key_check')).toEqual([]);
    const refused = await db('weighings')
      .delete()
      .then(
        () => 'taken',
        (error: Error) => error.message,
      );
    expect(refused).toContain('append-only');
    await db.destroy();
    await rm(folder, { recursive: true });
  });

  it('keep the plans that were made anew when something was done otherwise', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'fractum-old-'));
    const db = openDatabase(databaseFile(folder));
    const names = await migrationSource.getMigrations([]);
    const before = names.slice(0, names.indexOf('028-remade-plans'));
    await db.migrate.latest({ migrationSource: { ...migrationSource, getMigrations: async () => before } });
    await db.raw('PRAGMA foreign_keys = OFF');
    const words = {
      hand: 'left',
      at: '2026-01-05T10:00:00.000Z',
      actorId: 'p',
      decision: 'ham',
      reason: 'tough',
    };
    for (const id of ['first', 'second']) {
      const row = { id, clientId: id, shareId: 's', ...words, doneAs: 'out', asked: 'Ham', done: 'cut away' };
      await db('deviations').insert({ ...row, plan: JSON.stringify({ of: id }) });
    }
    await migrate(db);
    const plans = await db('remadePlans').orderBy('number').select('causeId', 'plan');
    expect(plans).toEqual([
      { causeId: 'first', plan: '{"of":"first"}' },
      { causeId: 'second', plan: '{"of":"second"}' },
    ]);
    expect(await db('deviations').orderBy('rowid').first()).not.toHaveProperty('plan');
    await db.destroy();
    await rm(folder, { recursive: true });
  });
});
