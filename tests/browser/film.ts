import { initWasm, Resvg } from '@resvg/resvg-wasm';
import { readFileSync, writeFileSync } from 'node:fs';

let ready: Promise<void> | undefined;

/** What a camera of this size sees that is held over a drawing. */
const WIDTH = 1280;
const HEIGHT = 960;
/** Neither red nor blue. */
const GREY = 128;

/**
 * A film of one frame, as a browser takes it in place of a camera: uncompressed, brightness first, then its colours at
 * half the size.
 */
export async function filmOf(svg: string, file: string): Promise<void> {
  ready ??= initWasm(readFileSync(require.resolve('@resvg/resvg-wasm/index_bg.wasm')));
  await ready;
  const picture = new Resvg(svg, { fitTo: { mode: 'width', value: WIDTH } }).render();
  const { pixels } = picture;
  const brightness = Buffer.alloc(WIDTH * HEIGHT, 255);
  for (let at = 0; at < Math.min(picture.width * picture.height, WIDTH * HEIGHT); at += 1) {
    brightness[at] = pixels[4 * at]!;
  }
  const colours = Buffer.alloc((WIDTH * HEIGHT) / 2, GREY);
  const head = `YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`;
  writeFileSync(file, Buffer.concat([Buffer.from(`${head}FRAME\n`), brightness, colours]));
}
