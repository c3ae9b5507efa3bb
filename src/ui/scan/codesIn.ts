import { prepareZXingModule, readBarcodes, type ReaderOptions } from 'zxing-wasm/reader';

/** Where the build has put the reader (`scripts/prepare.mjs`). */
const READER = '/zxing_reader.wasm';

/** The codes that papers of this shop carry: bars, or a square of dots, on packs; a square of squares on papers. */
const OPTIONS: ReaderOptions = {
  formats: ['Code128', 'DataMatrix', 'QRCode'],
  tryHarder: true,
  textMode: 'Plain',
};

let canvas: HTMLCanvasElement | undefined;

/** What is written in the codes that a picture shows. */
export async function codesIn(video: HTMLVideoElement): Promise<string[]> {
  const { videoWidth: width, videoHeight: height } = video;
  if (width === 0) return [];
  prepareZXingModule({ overrides: { locateFile: () => READER } });
  canvas ??= document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(video, 0, 0);
  const found = await readBarcodes(context.getImageData(0, 0, width, height), OPTIONS);
  return found.map(({ text }) => text);
}
