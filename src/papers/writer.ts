import fontkit from '@pdf-lib/fontkit';
import { readFile } from 'node:fs/promises';
import { PDFDocument, rgb, type PDFFont, type PDFImage, type PDFPage } from 'pdf-lib';
import { ALPHABETS, fontFile, type Weight } from './letters';

/** US letter in points, with margins that any printer keeps. */
export const PAGE = { width: 612, height: 792, margin: 54 } as const;
/** Where the text ends. */
export const RIGHT = PAGE.width - PAGE.margin;
const INK = rgb(0.118, 0.102, 0.09);
const QUIET = rgb(0.416, 0.38, 0.329);
export const KEPT = rgb(0.42, 0.227, 0.165);
export const LOST = rgb(0.8, 0.773, 0.706);

/** A font with the letters that it can draw. */
type Lettered = {
  readonly font: PDFFont;
  readonly letters: ReadonlySet<number>;
  /** Of texts at size 1: laying one out is dear, and papers say the same words again and again. */
  readonly widths: Map<string, number>;
};
/** Latin letters first, then those the first font lacks. */
type Fonts = { readonly plain: readonly Lettered[]; readonly bold: readonly Lettered[] };

export async function fontsOf(pdf: PDFDocument): Promise<Fonts> {
  pdf.registerFontkit(fontkit);
  const embed = async (weight: Weight) =>
    Promise.all(
      ALPHABETS.map(async (alphabet) => {
        const bytes = await readFile(fontFile(alphabet, weight));
        const font = await pdf.embedFont(bytes, { subset: true });
        return { font, letters: new Set(font.getCharacterSet()), widths: new Map<string, number>() };
      }),
    );
  return { plain: await embed(400), bold: await embed(700) };
}

type Run = { readonly text: string; readonly by: Lettered };

/** Cuts a text into runs that a font can draw; a letter that none has becomes a question mark. */
function runsOf(text: string, fonts: readonly Lettered[]): Run[] {
  const runs: Run[] = [];
  for (const letter of text.normalize('NFC')) {
    const code = letter.codePointAt(0)!;
    const found = fonts.find(({ letters }) => letters.has(code));
    const [drawn, by] = found ? [letter, found] : ['?', fonts[0]!];
    const last = runs.at(-1);
    if (last?.by === by) runs[runs.length - 1] = { text: last.text + drawn, by };
    else runs.push({ text: drawn, by });
  }
  return runs;
}

function widthAtOne({ text, by: { font, widths } }: Run): number {
  const width = widths.get(text) ?? font.widthOfTextAtSize(text, 1);
  widths.set(text, width);
  return width;
}

/** Lines to be drawn, points from the lower left corner of their picture. */
export type Drawing = {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly {
    readonly points: readonly (readonly [number, number])[];
    readonly isQuiet: boolean;
    readonly label: string;
  }[];
};

/** Between columns, points. */
const GUTTER = 20;

/** Writes down a page from the top, column by column, opening a new page when one is full. */
export class Writer {
  private page: PDFPage;
  private y: number;
  /** Where the columns begin on this page. */
  private top: number;
  private column = 0;
  private columnCount = 1;

  constructor(
    private readonly pdf: PDFDocument,
    private readonly fonts: Fonts,
  ) {
    this.page = pdf.addPage([PAGE.width, PAGE.height]);
    this.y = PAGE.height - PAGE.margin;
    this.top = this.y;
  }

  /** From here on in so many columns, each filled before the next. */
  columns(count: number): void {
    this.columnCount = count;
    this.column = 0;
    this.top = this.y;
  }

  private get width(): number {
    return (PAGE.width - 2 * PAGE.margin - GUTTER * (this.columnCount - 1)) / this.columnCount;
  }

  private get left(): number {
    return PAGE.margin + this.column * (this.width + GUTTER);
  }

  /** Makes room for `height` points, in the next column or on a new page if need be. */
  room(height: number): void {
    if (this.y - height > PAGE.margin) return;
    if (this.column + 1 < this.columnCount) this.column += 1;
    else {
      this.page = this.pdf.addPage([PAGE.width, PAGE.height]);
      this.column = 0;
      this.top = PAGE.height - PAGE.margin;
    }
    this.y = this.top;
  }

  down(height: number): void {
    this.y -= height;
  }

  private draw(runs: readonly Run[], x: number, size: number, color: typeof INK): void {
    let at = x;
    for (const run of runs) {
      this.page.drawText(run.text, { x: at, y: this.y, size, font: run.by.font, color });
      at += widthAtOne(run) * size;
    }
  }

  private widthOf(runs: readonly Run[], size: number): number {
    return runs.reduce((sum, run) => sum + widthAtOne(run) * size, 0);
  }

  /** @param style - `x` on the page, or `indent` from the left of the column */
  text(
    words: string,
    style: { size?: number; bold?: boolean; quiet?: boolean; x?: number; indent?: number } = {},
  ): void {
    const { size = 10, bold = false, quiet = false, indent = 0, x = this.left + indent } = style;
    this.draw(runsOf(words, bold ? this.fonts.bold : this.fonts.plain), x, size, quiet ? QUIET : INK);
  }

  /** Right-aligned at `x`, for figures. */
  figure(words: string, x: number, style: { size?: number; bold?: boolean } = {}): void {
    const { size = 10, bold = false } = style;
    const runs = runsOf(words, bold ? this.fonts.bold : this.fonts.plain);
    this.draw(runs, x - this.widthOf(runs, size), size, INK);
  }

  /**
   * A text folded to the width of the column.
   *
   * @param style - `short`: so much is left free at the right
   */
  paragraph(
    words: string,
    style: { size?: number; quiet?: boolean; indent?: number; short?: number } = {},
  ): void {
    const { size = 10, indent = 0, short = 0 } = style;
    const width = this.width - indent - short;
    const wide = (text: string) => this.widthOf(runsOf(text, this.fonts.plain), size);
    const blank = wide(' ');
    let [line, taken] = ['', 0];
    const flush = () => {
      this.room(size * 1.4);
      this.text(line, style);
      this.down(size * 1.4);
    };
    for (const word of words.split(' ')) {
      const more = wide(word);
      if (line !== '' && taken + blank + more > width) {
        flush();
        [line, taken] = [word, more];
      } else {
        taken += line === '' ? more : blank + more;
        line = line === '' ? word : `${line} ${word}`;
      }
    }
    flush();
  }

  heading(words: string): void {
    this.room(60);
    this.down(14);
    this.text(words, { size: 13, bold: true });
    this.down(6);
    this.rule();
    this.down(14);
  }

  rule(): void {
    const y = this.y;
    this.page.drawLine({
      start: { x: this.left, y },
      end: { x: this.left + this.width, y },
      color: QUIET,
      thickness: 0.5,
    });
  }

  /** A word with a line behind it to write on, both over so much of the column. */
  asked(word: string, indent = 0, width = this.width - indent): void {
    const x = this.left + indent;
    const runs = runsOf(`${word} `, this.fonts.bold);
    this.draw(runs, x, 10, INK);
    this.page.drawLine({
      start: { x: x + this.widthOf(runs, 10), y: this.y - 2 },
      end: { x: x + width, y: this.y - 2 },
      color: QUIET,
      thickness: 0.5,
    });
  }

  /** An empty box to tick, at the left of the column. */
  square(size: number): void {
    this.page.drawRectangle({
      x: this.left,
      y: this.y - 1,
      width: size,
      height: size,
      borderColor: INK,
      borderWidth: 0.7,
    });
  }

  /** A square picture in the upper right corner of the page. */
  corner(image: PDFImage, side: number): void {
    const place = { x: RIGHT - side, y: PAGE.height - PAGE.margin - side + 18 };
    this.page.drawImage(image, { ...place, width: side, height: side });
  }

  /** A picture below what is written, no larger than it may be, with its own proportions. */
  picture(image: PDFImage, most: { readonly width: number; readonly height: number }): void {
    const { width, height } = image.scaleToFit(most.width, most.height);
    this.room(height + 12);
    this.page.drawImage(image, { x: this.left, y: this.y - height, width, height });
    this.y -= height + 14;
  }

  /** Lines in a picture of so many points, from its lower left corner; a label stands at the left end of its line. */
  drawing({ width, height, lines }: Drawing): void {
    this.room(height + 14);
    const [left, bottom] = [this.left, this.y - height];
    for (const { points, isQuiet, label } of lines) {
      for (const [at, [x, y]] of points.entries()) {
        const next = points[at + 1];
        if (!next) continue;
        this.page.drawLine({
          start: { x: left + x, y: bottom + y },
          end: { x: left + next[0], y: bottom + next[1] },
          color: isQuiet ? LOST : INK,
          thickness: isQuiet ? 0.5 : 1.4,
        });
      }
      const [first] = points;
      if (label === '' || !first) continue;
      const runs = runsOf(label, this.fonts.plain);
      const before = this.y;
      this.y = bottom + first[1] + 2;
      this.draw(runs, left + width - this.widthOf(runs, 8), 8, QUIET);
      this.y = before;
    }
    this.y = bottom - 14;
  }

  box(x: number, width: number, height: number, color: typeof INK): void {
    this.page.drawRectangle({ x, y: this.y - 2, width: Math.max(0.5, width), height, color });
  }
}
