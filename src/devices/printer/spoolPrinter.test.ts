import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { packLabel as label } from '@/core/tests/label';
import { drawLabel } from '@/papers/label';
import { spoolPrinter } from './spoolPrinter';

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
