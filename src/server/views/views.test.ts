import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { TestShop } from '../tests/testShop';

let shop: TestShop;
let folder: string;
beforeAll(async () => {
  shop = await TestShop.open();
  folder = await mkdtemp(join(tmpdir(), 'fractum-views-'));
  process.env.FRACTUM_DATA = folder;
});
afterAll(async () => {
  delete process.env.FRACTUM_DATA;
  await rm(folder, { recursive: true });
  await shop.close();
});

const NOWHERE = '00000000-0000-4000-8000-000000000000';

describe('a share that is not there', () => {
  it.each(['sheetView', 'wrapView', 'balanceView', 'settleView'] as const)('%s says so', async (name) => {
    expect(await shop.ask(name as 'sheetView', { shareId: NOWHERE })).toMatchObject({
      ok: false,
      reason: 'not-found',
    });
    expect(await shop.ask(name as 'sheetView', { shareId: 'x' })).toMatchObject({
      ok: false,
      reason: 'invalid',
    });
  });
});

describe('a label', () => {
  const file = `${NOWHERE}.svg`;

  it('is shown from the spool, a copy as well', async () => {
    await mkdir(join(folder, 'labels'));
    await writeFile(join(folder, 'labels', file), '<svg/>');
    await writeFile(join(folder, 'labels', `${NOWHERE}-copy2.svg`), '<svg>2</svg>');
    expect(await shop.ask('labelView', { file })).toEqual({ ok: true, value: '<svg/>' });
    expect(await shop.get('labelView', { file: `${NOWHERE}-copy2.svg` })).toBe('<svg>2</svg>');
  });

  it('that waits for the printer is not there yet', async () => {
    const other = file.replace('8000', '9000');
    expect(await shop.ask('labelView', { file: other })).toMatchObject({ ok: false, reason: 'not-found' });
  });

  it.each(['../fractum.db', '/etc/passwd', 'labels/x.svg', `${NOWHERE}.svg/../x`])(
    '%s is no label',
    async (wrong) => {
      expect(await shop.ask('labelView', { file: wrong })).toMatchObject({ ok: false, reason: 'invalid' });
    },
  );

  it('is for people of the shop', async () => {
    expect(await shop.ask('labelView', { file }, null)).toMatchObject({ ok: false, reason: 'not-signed-in' });
  });
});

describe('an empty shop', () => {
  it('has an empty rail', async () => {
    expect((await shop.get('railView', {})).tickets).toEqual([]);
    expect(await shop.get('hangView', {})).toMatchObject({ animals: [], unit: 'lb' });
  });
});
