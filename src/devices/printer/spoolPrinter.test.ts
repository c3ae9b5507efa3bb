import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { tradeItem } from '@/core/label/gs1';
import type { Label } from '@/core/label/label';
import { drawLabel } from '@/papers/label';
import { spoolPrinter } from './spoolPrinter';

const label: Label = {
  shop: 'Skerry Sound Cut & Wrap',
  cut: 'Rib and loin chops, bone-in, with a name that goes on',
  detail: '1 in, 2 in this pack',
  weight: '1.29 lb',
  lines: ['Owner: <Ottilie> & "Sons"', 'Raw. '.repeat(30).trim()],
  statusWords: 'NOT FOR SALE',
  barcode: `(01)${tradeItem('200', 1220)}(3202)000129(10)261124-H112(21)000042`,
};

describe('the simulated label printer', () => {
  let folder: string;
  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), 'fractum-labels-'));
  });
  afterEach(() => rm(folder, { recursive: true }));

  it('spools each label as a drawing, the same name once', async () => {
    const printer = spoolPrinter(join(folder, 'spool'));
    expect(await printer.print(label, 'a')).toBe('a.svg');
    expect(await printer.print(label, 'a')).toBe('a.svg');
    await printer.print(label, 'b');
    expect((await readdir(join(folder, 'spool'))).sort()).toEqual(['a.svg', 'b.svg']);
    expect(await readFile(join(folder, 'spool', 'a.svg'), 'utf8')).toBe(drawLabel(label));
  });
});
