import { existsSync, readFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { ROLES, type Role } from '@/data/people';
import { TestShop } from '@/server/tests/testShop';
import { USE_CASES, type UseCaseName } from '@/server/useCases';

const doc = readFileSync('docs/roles.md', 'utf8');

/** The rows of the table under a heading's first word, cell by cell. */
function tableOf(first: string): string[][] {
  const lines = doc.split('\n');
  const start = lines.findIndex((line) => line.startsWith(`| ${first} |`));
  const rows = lines.slice(start + 2);
  return rows
    .slice(
      0,
      rows.findIndex((line) => !line.startsWith('|')),
    )
    .map((line) =>
      line
        .split('|')
        .slice(1, -1)
        .map((cell) => cell.trim()),
    );
}

describe('who may do what', () => {
  const table = new Map(tableOf('use case').map(([name, ...cells]) => [name!, cells]));

  it('is written for every use case, and for nothing else', () => {
    expect([...table.keys()].sort()).toEqual(Object.keys(USE_CASES).sort());
  });

  it.each(Object.keys(USE_CASES) as UseCaseName[])(
    '%s is open to whom the table says, and to no other',
    async (name) => {
      const said = ROLES.filter((_, at) => table.get(name)![at] === 'yes');
      expect([...USE_CASES[name].roles].sort()).toEqual([...said].sort());
    },
  );

  it('holds at the door, for every role and every use case', async () => {
    const shop = await TestShop.open();
    for (const name of Object.keys(USE_CASES) as UseCaseName[]) {
      for (const role of ROLES as readonly Role[]) {
        // An input that no use case takes: whoever may ask is told so, whoever may not is told that.
        const result = await shop.ask(name, { nonsense: randomUUID() } as never, role);
        const open = (USE_CASES[name].roles as readonly Role[]).includes(role);
        expect([name, role, result.ok || result.reason]).toEqual([
          name,
          role,
          open ? 'invalid' : 'not-allowed',
        ]);
      }
    }
    await shop.close();
  }, 60_000);
});

describe('the pages', () => {
  it.each(tableOf('page'))('%s asks %s, for %s', (page, asks, whom) => {
    const folder = /^\/(wrap\/|grind)/.test(page!) ? 'src/app/(floor)' : 'src/app/(office)';
    const file = `${folder}${page}/page.tsx`;
    expect(existsSync(file)).toBe(true);
    const code =
      readFileSync(file, 'utf8') + (readFileSync(file, 'utf8').includes('StagePage') ? "'stageView'" : '');
    for (const name of asks!.split(', ') as UseCaseName[]) {
      expect(code).toContain(`'${name}'`);
      const open = (USE_CASES[name].roles as readonly string[]).filter(
        (role) => !whom!.split(', ').includes(role),
      );
      if (asks === name) expect(open).toEqual([]);
    }
    const closed = ROLES.filter((role) => !whom!.split(', ').includes(role));
    const asked = asks!.split(', ') as UseCaseName[];
    for (const role of closed) {
      expect(asked.some((name) => !(USE_CASES[name].roles as readonly string[]).includes(role))).toBe(true);
    }
  });
});
