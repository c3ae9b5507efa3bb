import bwipjs from 'bwip-js/node';
import type { Label } from '@/core/label/label';
import { layOut, type LabelMeasures, type LaidOutLabel, type PlacedText } from '@/core/label/layOut';
import { glyphOf } from './letters';

/** What the letters and bars of a drawn label measure. */
export const labelMeasures: LabelMeasures = {
  widthOf: (text, size, bold) =>
    size * [...text].reduce((width, letter) => width + (glyphOf(letter, bold ? 700 : 400)?.advance ?? 0), 0),
  lacking: (text) => [...new Set([...text].filter((letter) => !glyphOf(letter, 400)))].join(' '),
  modulesOf: (barcode) => barsOf(barcode).reduce((width, bar) => width + bar, 0),
};

/** The bars of a code: widths of bar and gap in turn, in modules. */
function barsOf(barcode: string): number[] {
  const [drawn] = bwipjs.raw({ bcid: 'gs1-128', text: barcode });
  return (drawn as unknown as { sbs: number[] }).sbs;
}

/**
 * The label as a drawing, letters as outlines, so that it looks the same on any printer; its coordinates are hundredths
 * of an inch. A label of before whose words no longer fit on its size is drawn on the longest.
 *
 * @throws RangeError when its words do not fit on any
 */
export function drawLabel(label: Label): string {
  const laidOut = [label, { ...label, size: '4x6' as const }]
    .map((each) => layOut(each, labelMeasures))
    .find(({ ok }) => ok);
  if (!laidOut?.ok) throw new RangeError(`"label" expected words that fit, got those of ${label.cut}`);
  return drawing(label, laidOut.value);
}

function drawing(label: Label, { width, height, texts, code }: LaidOutLabel): string {
  const letters = new Map<string, string>();
  const words = texts.map((text) => outlineOf(text, letters));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" role="img" aria-label="${escaped(`Label: ${label.cut}, ${label.weight}`)}" viewBox="0 0 ${width} ${height}" width="${2 * width}" height="${2 * height}">`,
    `<desc>${escaped(texts.map(({ text }) => text).join('\n'))}</desc>`,
    `<defs>${[...letters.values()].join('')}</defs>`,
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    ...words,
    code.kind === 'bars' ? bars(label.barcode, code) : square(label.barcode, code),
    '</svg>',
  ].join('\n');
}

function escaped(text: string): string {
  return text.replace(
    /[&<>"]/g,
    (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!,
  );
}

/**
 * A text as one group of letters; what it reads stands in the description of the drawing.
 *
 * @param letters - the outlines that are there already; those it needs are added
 */
function outlineOf({ text, x, y, size, bold }: PlacedText, letters: Map<string, string>): string {
  const weight = bold ? 700 : 400;
  let pen = 0;
  const drawn = [...text].map((letter) => {
    const glyph = glyphOf(letter, weight)!;
    const at = Math.round(pen / glyph.scale);
    pen += glyph.advance;
    if (glyph.outline === '') return '';
    const id = `${bold ? 'b' : 'p'}${letter.codePointAt(0)}`;
    letters.set(id, `<path id="${id}" d="${glyph.outline}"/>`);
    return `<use href="#${id}" x="${at}"/>`;
  });
  const scale = size * glyphOf('0', weight)!.scale;
  return `<g transform="translate(${rounded(x)} ${rounded(y)}) scale(${scale} ${-scale})">${drawn.join('')}</g>`;
}

function rounded(figure: number): number {
  return Math.round(figure * 100) / 100;
}

type Place = LaidOutLabel['code'];

function bars(barcode: string, { x, y, width, height }: Place): string {
  const widths = barsOf(barcode);
  const unit = width / widths.reduce((sum, each) => sum + each, 0);
  let at = x;
  const drawn = widths.map((each, index) => {
    const from = at;
    at += each * unit;
    return index % 2 === 0
      ? `M${rounded(from)} ${y}h${rounded(each * unit)}v${height}H${rounded(from)}z`
      : '';
  });
  return `<path class="bars" d="${drawn.join('')}"/>`;
}

/** The same fields as a square of dots. */
function square(barcode: string, { x, y, width, height }: Place): string {
  const svg = bwipjs.toSVG({ bcid: 'gs1datamatrix', text: barcode });
  return svg.replace('<svg ', `<svg class="square" x="${x}" y="${y}" width="${width}" height="${height}" `);
}
