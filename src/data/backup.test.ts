import Driver from 'better-sqlite3';
import { mkdtemp, readdir, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backUp, restore } from './backup';
import { migrate, openDatabase } from './database';
import { lockFolder } from './folderLock';

const NOW = new Date('2026-11-24T12:00:00.000Z');
let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'fractum-backup-'));
});
afterEach(() => rm(folder, { recursive: true }));

const at = (name: string) => join(folder, name);

/** A shop's database with one person in it, closed again. */
async function shopWith(name: string, person: string): Promise<string> {
  const db = openDatabase(at(name));
  await migrate(db);
  await db('shop').insert({
    id: 1,
    name: 'S',
    unit: 'lb',
    zone: 'UTC',
    codePrefix: '200',
    demo: true,
  });
  await db('people').insert({ id: person, name: person });
  await db.destroy();
  return at(name);
}

async function peopleIn(file: string): Promise<string[]> {
  const db = openDatabase(file);
  const people: { name: string }[] = await db('people').select('name').orderBy('name');
  await db.destroy();
  return people.map((person) => person.name);
}

describe('a backup', () => {
  it('is whole while the shop works on', async () => {
    const file = await shopWith('shop.db', 'Maren');
    const open = openDatabase(file);
    await open('people').insert({ id: 'Tove', name: 'Tove' });
    expect(await backUp(file, at('safe/copy.db'))).toEqual({ ok: true, value: true });
    await open('people').insert({ id: 'Iver', name: 'Iver' });
    await open.destroy();
    expect(await peopleIn(at('safe/copy.db'))).toEqual(['Maren', 'Tove']);
  });

  it('ends although somebody writes without pause, and is readable for nobody else', async () => {
    const file = await shopWith('shop.db', 'Maren');
    const open = openDatabase(file);
    let done = false;
    const writing = (async () => {
      for (let i = 0; !done; i += 1) await open('people').insert({ id: `p${i}`, name: `P${i}` });
    })();
    expect(await backUp(file, at('copy.db'))).toMatchObject({ ok: true });
    done = true;
    await writing;
    await open.destroy();
    expect((await stat(at('copy.db'))).mode & 0o777).toBe(0o600);
    expect((await stat(file)).mode & 0o777).toBe(0o600);
    expect((await readdir(folder)).filter((name) => name.endsWith('.part'))).toEqual([]);
  });

  it('that cannot be written leaves nothing under its name', async () => {
    const file = await shopWith('shop.db', 'Maren');
    await writeFile(at('not-a-folder'), '');
    expect(await backUp(file, at('not-a-folder/copy.db'))).toMatchObject({
      ok: false,
      reason: 'not-written',
    });
  });

  it('never replaces another, and needs a shop', async () => {
    const file = await shopWith('shop.db', 'Maren');
    await backUp(file, at('copy.db'));
    expect(await backUp(file, at('copy.db'))).toMatchObject({ ok: false, reason: 'taken' });
    expect(await backUp(at('nowhere.db'), at('other.db'))).toMatchObject({ ok: false, reason: 'no-shop' });
  });
});

describe('restoring', () => {
  it('puts the backup in place and keeps what was there', async () => {
    const file = await shopWith('shop.db', 'Maren');
    await backUp(file, at('copy.db'));
    const open = openDatabase(file);
    await open('people').insert({ id: 'Tove', name: 'Tove' });
    await open.destroy();
    const result = await restore(at('copy.db'), file, NOW);
    expect(await peopleIn(file)).toEqual(['Maren']);
    expect(result).toMatchObject({ ok: true });
    expect(await peopleIn(result.ok ? result.value.kept! : '')).toEqual(['Maren', 'Tove']);
  });

  it('fills an empty folder', async () => {
    const copy = await shopWith('copy.db', 'Maren');
    expect(await restore(copy, at('new/shop.db'), NOW)).toEqual({ ok: true, value: { kept: null } });
    expect(await peopleIn(at('new/shop.db'))).toEqual(['Maren']);
  });

  it('of what is no shop changes nothing', async () => {
    const file = await shopWith('shop.db', 'Maren');
    const empty = openDatabase(at('empty.db'));
    await migrate(empty);
    await empty.destroy();
    await writeFile(at('text.db'), 'not a database at all, but long enough to look like a file');
    const before = await readdir(folder);
    for (const wrong of ['empty.db', 'text.db', 'nowhere.db']) {
      expect(await restore(at(wrong), file, NOW)).toMatchObject({ ok: false, reason: 'not-a-shop' });
    }
    expect((await readdir(folder)).filter((name) => name.includes('before'))).toEqual([]);
    expect(before).toContain('shop.db');
    expect(await peopleIn(file)).toEqual(['Maren']);
  });

  it('is refused while the app works on the folder', async () => {
    const file = await shopWith('shop.db', 'Maren');
    await backUp(file, at('copy.db'));
    const lock = lockFolder(folder)!;
    expect(lockFolder(folder)).toBeUndefined();
    expect(await restore(at('copy.db'), file, NOW)).toMatchObject({ ok: false, reason: 'in-use' });
    lock.release();
    expect(await restore(at('copy.db'), file, NOW)).toMatchObject({ ok: true });
  });

  it('of a later version, or of a ledger whose transactions do not balance, changes nothing', async () => {
    const file = await shopWith('shop.db', 'Maren');
    const later = new Driver(await shopWith('later.db', 'Maren'));
    later.prepare("INSERT INTO knex_migrations (name, batch) VALUES ('999-later', 9)").run();
    later.close();
    const crooked = new Driver(await shopWith('crooked.db', 'Maren'));
    crooked.exec('DROP TRIGGER ledgerTransactions_balanced');
    const add = crooked.prepare(
      'INSERT INTO ledgerPostings (transactionId, kind, owner, weight) VALUES (?, ?, ?, ?)',
    );
    const seal = crooked.prepare("INSERT INTO ledgerTransactions VALUES (?, 'x', 'x', 'x', NULL)");
    // Their errors cancel each other: only each transaction by itself tells.
    for (const [id, weight] of [
      ['a', 5],
      ['b', -5],
    ] as const) {
      crooked.transaction(() => {
        add.run(id, 'bone', 's', weight);
        seal.run(id);
      })();
    }
    crooked.close();
    const foreign = new Driver(at('foreign.db'));
    foreign.exec(
      'CREATE TABLE shop (id); INSERT INTO shop VALUES (1); CREATE TABLE ledgerPostings (transactionId, weight)',
    );
    foreign.close();
    for (const [wrong, why] of [
      ['later.db', 'later version'],
      ['crooked.db', 'does not add up'],
      ['foreign.db', 'is not a Fractum database'],
    ] as const) {
      const refused = await restore(at(wrong), file, NOW);
      expect(refused).toMatchObject({ ok: false, reason: 'not-a-shop' });
      expect(refused.ok || refused.message).toContain(why);
    }
    expect(await peopleIn(file)).toEqual(['Maren']);
  });
});
