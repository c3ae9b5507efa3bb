import { initWasm, Resvg } from '@resvg/resvg-wasm';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { prepareZXingModule, readBarcodes } from 'zxing-wasm/reader';
import { humanReadable, parseElementString } from '@/core/label/gs1';
import { LABEL_LAYOUTS, LABEL_SIZES, SMALL_TYPE } from '@/core/label/sizes';
import { packCode as code, packLabel as label } from '@/core/tests/label';
import { drawLabel } from './label';

const shipped = (path: string) => readFile(join(process.cwd(), 'node_modules', path));

/** As a camera sees a label that it is held to: about four dots to the narrowest bar. */
const DOTS_PER_INCH = 400;

beforeAll(async () => {
  await initWasm(await shipped('@resvg/resvg-wasm/index_bg.wasm'));
  const wasmBinary = (await shipped('zxing-wasm/dist/reader/zxing_reader.wasm')).buffer as ArrayBuffer;
  prepareZXingModule({ overrides: { wasmBinary } });
});

/** What an independent reader finds on a label of this picture. */
async function readBack(svg: string): Promise<{ text: string; format: string }[]> {
  const width = Number(/viewBox="0 0 (\d+)/.exec(svg)![1]);
  const picture = new Resvg(svg, { fitTo: { mode: 'width', value: (width / 100) * DOTS_PER_INCH } }).render();
  const data = new Uint8ClampedArray(picture.pixels);
  const image = { data, width: picture.width, height: picture.height, colorSpace: 'srgb' } as ImageData;
  return readBarcodes(image, { tryHarder: true, textMode: 'Plain' });
}

describe('the drawing of a label', () => {
  const drawing = drawLabel(label);

  it('says what the label says, safely', () => {
    expect(drawing).toContain('NOT FOR SALE');
    expect(drawing).toContain('1.29 lb');
    expect(drawing).toContain('Owner: &lt;Ottilie&gt; &amp; &quot;Sons&quot;');
    expect(drawing).not.toContain('<Ottilie>');
    expect(drawing.match(/Raw\./g)!.length).toBe(30);
  });

  it.each(LABEL_SIZES)('of %s is as big as its roll, with nothing stretched', (size) => {
    const { width, height } = LABEL_LAYOUTS[size];
    const drawn = drawLabel({ ...label, size, lines: ['Raw.'] });
    expect(drawn).toContain(`viewBox="0 0 ${width} ${height}"`);
    const scales = [...drawn.matchAll(/scale\(([\d.]+) -([\d.]+)\)/g)];
    expect(scales.every(([, across, up]) => across === up)).toBe(true);
    expect(SMALL_TYPE * 0.72).toBeGreaterThanOrEqual(8);
  });

  it('of before, whose words no longer fit on its size, is drawn on a longer one', () => {
    const many = { ...label, lines: Array.from({ length: 14 }, (_, at) => `Line ${at}.`) };
    expect(drawLabel(many)).toContain('viewBox="0 0 400 600"');
    const endless = { ...label, lines: Array.from({ length: 60 }, (_, at) => `Line ${at}.`) };
    expect(() => drawLabel(endless)).toThrow(/"label" expected words that fit/);
  });

  it.each(LABEL_SIZES)(
    'on %s has bars that an independent reader reads back as they were meant',
    async (size) => {
      const [found] = await readBack(drawLabel({ ...label, size, lines: ['Raw.'] }));
      expect(found!.format).toBe('Code128');
      expect(parseElementString(found!.text)).toEqual({ ok: true, value: code });
    },
  );

  it('has a square of dots for a long lot, which is read back as well', async () => {
    const long = { ...code, lot: '261124-LOWTARN-H-112' };
    const svg = drawLabel({ ...label, lines: ['Raw.'], barcode: humanReadable(long) });
    const [found] = await readBack(svg);
    expect(found!.format).toBe('DataMatrix');
    expect(parseElementString(found!.text)).toEqual({ ok: true, value: long });
  });
});
