import bwipjs from 'bwip-js/node';
import { folded } from '@/core/label/fold';
import type { Label } from '@/core/label/label';
import { LABEL_LAYOUTS } from '@/core/label/sizes';

function escaped(text: string): string {
  return text.replace(
    /[&<>"]/g,
    (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!,
  );
}

const MARGIN = 14;

/** The label as a drawing, bars included; its coordinates are hundredths of an inch. */
export function drawLabel(label: Label): string {
  const layout = LABEL_LAYOUTS[label.size ?? '4x3'];
  const { width, height, small } = layout;
  const bars = bwipjs.toSVG({
    bcid: 'gs1-128',
    text: label.barcode,
    includetext: false,
    height: 11,
    scale: 2,
  });
  const lines = label.lines.flatMap((line) => folded(line, layout));
  const text = (x: number, y: number, size: number, words: string, extra = '') =>
    `<text x="${x}" y="${y}" font-size="${size}" ${extra}>${escaped(words)}</text>`;
  const place = (svg: string) =>
    svg.replace(
      '<svg ',
      `<svg x="${MARGIN}" y="${height - layout.bars.up}" width="${width - 2 * MARGIN}" height="${layout.bars.height}" preserveAspectRatio="xMidYMid" `,
    );
  const squeezed =
    label.cut.length > layout.cut.letters
      ? ` textLength="${width - 2 * MARGIN}" lengthAdjust="spacingAndGlyphs"`
      : '';
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${2 * width}" height="${2 * height}" font-family="Archivo, Helvetica, Arial, sans-serif">`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    text(MARGIN, 22, 11, label.shop),
    text(width - MARGIN, 22, 13, label.statusWords, 'font-weight="700" text-anchor="end"'),
    text(MARGIN, layout.cut.y, layout.cut.size, label.cut, `font-weight="700"${squeezed}`),
    text(MARGIN, layout.detail.y, layout.detail.size, label.detail),
    text(MARGIN, layout.weight.y, layout.weight.size, label.weight, 'font-weight="700"'),
    ...lines.map((line, i) => text(MARGIN, small.y + i * small.step, small.size, line)),
    place(bars),
    text(width / 2, height - 8, 9, label.barcode, 'text-anchor="middle"'),
    '</svg>',
  ].join('\n');
}
