import bwipjs from 'bwip-js/node';
import { folded } from '@/core/label/fold';
import type { Label } from '@/core/label/label';

/** A label is 4 x 3 inches; the drawing uses hundredths of an inch. */
const [WIDTH, HEIGHT] = [400, 300];

function escaped(text: string): string {
  return text.replace(
    /[&<>"]/g,
    (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!,
  );
}

/** The label as a drawing, bars included. */
export function drawLabel(label: Label): string {
  const bars = bwipjs.toSVG({
    bcid: 'gs1-128',
    text: label.barcode,
    includetext: false,
    height: 11,
    scale: 2,
  });
  const small = label.lines.flatMap(folded);
  const text = (x: number, y: number, size: number, words: string, extra = '') =>
    `<text x="${x}" y="${y}" font-size="${size}" ${extra}>${escaped(words)}</text>`;
  const place = (svg: string) =>
    svg.replace(
      '<svg ',
      `<svg x="14" y="${HEIGHT - 72}" width="${WIDTH - 28}" height="46" preserveAspectRatio="xMidYMid" `,
    );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="800" height="600" font-family="Archivo, Helvetica, Arial, sans-serif">`,
    `<rect width="${WIDTH}" height="${HEIGHT}" fill="#fff"/>`,
    text(14, 24, 11, label.shop),
    text(WIDTH - 14, 24, 13, label.statusWords, 'font-weight="700" text-anchor="end"'),
    text(
      14,
      52,
      20,
      label.cut,
      `font-weight="700"${label.cut.length > 26 ? ` textLength="${WIDTH - 28}" lengthAdjust="spacingAndGlyphs"` : ''}`,
    ),
    text(14, 70, 11, label.detail),
    text(14, 112, 38, label.weight, 'font-weight="700"'),
    ...small.map((line, i) => text(14, 130 + i * 10.5, 8.5, line)),
    place(bars),
    text(WIDTH / 2, HEIGHT - 12, 9, label.barcode, 'text-anchor="middle"'),
    '</svg>',
  ].join('\n');
}
