import { mkdtemp, readdir, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { tradeItem } from '@/core/label/gs1';
import type { Label } from '@/core/label/label';
import { LABEL_LAYOUTS, LABEL_SIZES } from '@/core/label/sizes';
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

describe('the drawing of a label', () => {
  const drawing = drawLabel(label);

  it('says what the label says, safely', () => {
    expect(drawing).toContain('NOT FOR SALE');
    expect(drawing).toContain('1.29 lb');
    expect(drawing).toContain('Owner: &lt;Ottilie&gt; &amp; &quot;Sons&quot;');
    expect(drawing).not.toContain('<Ottilie>');
  });

  it('folds long words and keeps a long cut on the label', () => {
    expect(drawing.match(/Raw\./g)!.length).toBe(30);
    expect(drawing).toContain('textLength="372"');
  });

  it.each(LABEL_SIZES)('of %s keeps everything above the bars, however many words it may hold', (size) => {
    const { width, height, small, bars } = LABEL_LAYOUTS[size];
    const lines = Array.from({ length: small.lines }, (_, at) => `Line ${at}.`);
    const drawn = drawLabel({ ...label, size, lines });
    expect(drawn).toContain(`viewBox="0 0 ${width} ${height}"`);
    const last = Number(new RegExp(`y="([\\d.]+)"[^>]*>Line ${small.lines - 1}\\.`).exec(drawn)![1]);
    expect(last).toBeLessThanOrEqual(height - bars.up);
  });

  it('has bars of its own for every weight', () => {
    const bars = (text: string) => [...text.matchAll(/ d="([^"]+)"/g)].map((match) => match[1]).join();
    const other = drawLabel({ ...label, barcode: label.barcode.replace('000129', '000130') });
    expect(bars(drawing)).not.toBe(bars(other));
  });
});
