import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backUp, restore } from './backup';
import { migrate, openDatabase } from './database';

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
    tools: '[]',
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
});
