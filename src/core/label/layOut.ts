import { failure, success, type Result } from '../quantity/result';
import type { Label } from './label';
import { LABEL_LAYOUTS, SMALL_TYPE, type LabelLayout } from './sizes';

/** What the letters and the bars of the printer measure. */
export type LabelMeasures = {
  /** Width of a text, in whatever its size is given in. */
  widthOf(text: string, size: number, bold: boolean): number;
  /** The letters of a text that cannot be printed. */
  lacking(text: string): string;
  /** How many modules wide the bars of a code are, without the quiet beside them. */
  modulesOf(barcode: string): number;
};

export type PlacedText = {
  readonly text: string;
  /** Where it begins, on its baseline; hundredths of an inch. */
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly bold: boolean;
};

export type PlacedCode = {
  /** Bars in a row where they fit, else a square of dots that holds the same. */
  readonly kind: 'bars' | 'square';
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
};

/** Where everything stands on a label; hundredths of an inch from its upper left corner. */
export type LaidOutLabel = {
  readonly width: number;
  readonly height: number;
  readonly texts: readonly PlacedText[];
  readonly code: PlacedCode;
};

export type LayoutProblem = 'too-many-words' | 'no-such-letter';

const MARGIN = 14;
const FOOT = 8;
const GAP = 10;
const HEAD = { y: 22, size: 14 };
/** One module of the bars: two dots of a usual label printer, the narrowest that hand scanners read well. */
const MODULE = 1;
/** Left and right of the bars nothing is printed, modules. */
const QUIET = 10;
/** Bars never stand closer than this under the last words. */
const OVER_BARS = 5;

/**
 * Places a label's words and its code. Nothing is stretched, nothing is cut off, and nothing is smaller than 8 point.
 *
 * @returns where everything stands, or why it cannot: too many words for its size, or a letter no printer here has
 */
export function layOut(label: Label, measures: LabelMeasures): Result<LaidOutLabel, LayoutProblem> {
  const layout = LABEL_LAYOUTS[label.size ?? '4x3'];
  const lacking = measures.lacking([label.shop, label.cut, label.detail, ...label.lines].join(''));
  if (lacking !== '') {
    const message = `The letters ${lacking} of ${label.cut} cannot be printed on a label. Write them in Latin letters.`;
    return failure('no-such-letter', message, 'words');
  }
  const foot = footOf(label, layout, measures);
  const body = bodyOf(label, layout, measures);
  if (!body || body.end > foot.code.y - OVER_BARS) {
    const message = `The words for ${label.cut} do not fit on a label of ${layout.words}. Shorten them or take larger labels; nothing may be left out.`;
    return failure('too-many-words', message, 'words');
  }
  const { width, height } = layout;
  return success({ width, height, texts: [...body.texts, ...foot.texts], code: foot.code });
}

/** A text folded to a width, between words; undefined when a single word is wider. */
function folded(text: string, width: number, measure: (words: string) => number): string[] | undefined {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(' ').filter((each) => each !== '')) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (measure(longer) <= width) line = longer;
    else {
      if (line !== '') lines.push(line);
      line = word;
    }
    if (measure(line) > width) return undefined;
  }
  return line === '' ? lines : [...lines, line];
}

/** Largest first: on one line if it can be, else on two. */
function foldedCut(
  cut: string,
  sizes: readonly number[],
  { widthOf }: LabelMeasures,
  width: number,
): { size: number; lines: string[] } | undefined {
  for (const most of [1, 2]) {
    for (const size of sizes) {
      const lines = folded(cut, width, (words) => widthOf(words, size, true));
      if (lines && lines.length <= most) return { size, lines };
    }
  }
  return undefined;
}

type Body = { readonly texts: PlacedText[]; readonly end: number };

/** From the shop's name down to the last line; undefined when a word is wider than the label. */
function bodyOf(label: Label, layout: LabelLayout, measures: LabelMeasures): Body | undefined {
  const { widthOf } = measures;
  const inner = layout.width - 2 * MARGIN;
  const { size: small, step } = layout.small;
  const smallWidth = (words: string) => widthOf(words, small, false);
  const statusWidth = widthOf(label.statusWords, HEAD.size, true);
  const shop = folded(label.shop, inner - statusWidth - GAP, smallWidth);
  const cut = foldedCut(label.cut, layout.cut, measures, inner);
  const lines = label.lines.map((line) => folded(line, inner, smallWidth));
  const beside = besideWeight(label, layout, measures);
  if (!shop || !cut || !beside || lines.includes(undefined)) return undefined;

  const texts: PlacedText[] = [];
  const put = (text: string, y: number, size: number, bold: boolean, x = MARGIN) =>
    texts.push({ text, x, y, size, bold });
  const right = layout.width - MARGIN;
  put(label.statusWords, HEAD.y, HEAD.size, true, right - statusWidth);
  let y = HEAD.y - step;
  for (const line of shop) put(line, (y += step), small, false);
  for (const line of cut.lines) put(line, (y += cut.size * 1.12), cut.size, true);
  const under = y;
  for (const line of beside.detail) put(line, (y += step + 1), small, false);
  const weightAt = under + beside.size * 0.92;
  put(label.weight, weightAt, beside.size, true, right - beside.width);
  y = Math.max(y, weightAt) + 3;
  for (const line of lines.flatMap((each) => each ?? [])) put(line, (y += step), small, false);
  return { texts, end: y };
}

/** The weight as large as leaves room for what is said beside it. */
function besideWeight(
  { weight, detail }: Label,
  layout: LabelLayout,
  { widthOf }: LabelMeasures,
): { size: number; width: number; detail: string[] } | undefined {
  const inner = layout.width - 2 * MARGIN;
  for (const size of layout.weight) {
    const width = widthOf(weight, size, true);
    const lines = folded(detail, inner - width - GAP, (words) => widthOf(words, layout.small.size, false));
    if (lines && lines.length <= 2) return { size, width, detail: lines };
  }
  return undefined;
}

/** The code, with its digits under it. */
function footOf(
  { barcode }: Label,
  layout: LabelLayout,
  { widthOf, modulesOf }: LabelMeasures,
): { texts: PlacedText[]; code: PlacedCode } {
  const inner = layout.width - 2 * MARGIN;
  const measure = (words: string) => widthOf(words, SMALL_TYPE, false);
  const wide = modulesOf(barcode) * MODULE;
  const kind = wide + 2 * QUIET * MODULE <= layout.width ? 'bars' : 'square';
  const beside = kind === 'bars' ? 0 : layout.bars + SMALL_TYPE + GAP;
  const fields = (barcode.match(/\([^(]*/g) ?? [barcode]).join(' ');
  const whole = measure(barcode) <= inner - beside;
  const lines = whole ? [barcode] : (folded(fields, inner - beside, measure) ?? [barcode]);
  const height = kind === 'bars' ? layout.bars : layout.bars + SMALL_TYPE;
  const digitsUp = FOOT + (lines.length - 1) * layout.small.step;
  const x = (line: string) => (kind === 'bars' ? (layout.width - measure(line)) / 2 : MARGIN + beside);
  const top =
    kind === 'bars' ? layout.height - digitsUp - SMALL_TYPE - height : layout.height - FOOT - height;
  return {
    texts: lines.map((text, at) => ({
      text,
      x: x(text),
      y: layout.height - digitsUp + at * layout.small.step,
      size: SMALL_TYPE,
      bold: false,
    })),
    code:
      kind === 'bars'
        ? { kind, x: (layout.width - wide) / 2, y: top, width: wide, height }
        : { kind, x: MARGIN, y: top, width: height, height },
  };
}
