import { randomBytes, randomUUID } from 'node:crypto';
import { bookReadme, bookSchema } from '@/core/formats/bookFiles';
import { TestShop } from '../tests/testShop';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

describe('the whole book', () => {
  it('holds every row of every table but what opens doors, each once, and says what it is', async () => {
    const shareId = await shop.onTheBlock();
    const secret = randomBytes(32).toString('base64url');
    const link = { days: 14, prices: true, origin: 'https://shop.example.org', secret };
    await shop.db('people').update({ phone: '555 0161' });
    await shop.get('giveLink', { clientId: randomUUID(), shareId, ...link });
    const book = await shop.get('wholeBookView', {});
    const names = book.tables.map(({ name }) => name);
    expect(names).toEqual(
      expect.arrayContaining(['animals', 'ledgerPostings', 'sheets', 'messages', 'lessons']),
    );
    expect(names.filter((name) => /users|sessions|links|answers/.test(name))).toEqual([]);
    const written: string[] = [];
    for (const { name, rows, upTo } of book.tables) {
      const { lines, next } = await shop.get('bookRowsView', { table: name, after: 0, upTo });
      expect(next).toBeNull();
      expect([name, lines.split('\n').length - 1]).toEqual([name, rows]);
      written.push(lines);
    }
    expect(written.join('')).not.toContain(secret);
    const sheets = await shop.get('bookRowsView', { table: 'sheets', after: 0, upTo: 99 });
    expect(JSON.parse(sheets.lines.split('\n')[0]!).sheet.species).toBe('hog');
    expect(JSON.parse(bookSchema(book)).files).toHaveLength(book.tables.length);
    expect(bookReadme(book)).toContain('thousandths of a lb');
  }, 60_000);

  it('comes piece by piece where a table is long, and is the owner’s alone', async () => {
    const rows = Array.from({ length: 2500 }, (_, at) => ({
      at: `2026-11-01T00:00:${at}`,
      actor: 'x',
      outcome: 'done',
    }));
    const columns = await shop.db('audit').columnInfo();
    const needed = Object.keys(columns).filter((name) => name !== 'id' && !(name in rows[0]!));
    const blank = Object.fromEntries(needed.map((name) => [name, '']));
    for (let from = 0; from < rows.length; from += 100)
      await shop.db('audit').insert(rows.slice(from, from + 100).map((row) => ({ ...blank, ...row })));
    const { upTo, rows: all } = (await shop.get('wholeBookView', {})).tables.find(
      ({ name }) => name === 'audit',
    )!;
    const first = await shop.get('bookRowsView', { table: 'audit', after: 0, upTo });
    const rest = await shop.get('bookRowsView', { table: 'audit', after: first.next!, upTo });
    expect(first.lines.split('\n').length + rest.lines.split('\n').length - 2).toBe(all);
    expect(rest.next).toBeNull();
    for (const [name, input] of [
      ['wholeBookView', {}],
      ['bookRowsView', { table: 'audit', after: 0, upTo }],
    ] as const) {
      expect(await shop.ask(name, input as never, 'counter')).toMatchObject({ reason: 'not-allowed' });
    }
    expect(await shop.ask('bookRowsView', { table: 'users', after: 0, upTo: 9 })).toMatchObject({
      reason: 'not-found',
    });
  }, 60_000);
});
