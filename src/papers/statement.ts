import fontkit from '@pdf-lib/fontkit';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib';
import { counted } from '@/core/quantity/counted';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { Settlement } from '@/core/order/settlement';
import type { StepKind } from '@/core/reconcile/reconcile';

/** US letter in points, with margins that any printer keeps. */
const PAGE = { width: 612, height: 792, margin: 54 } as const;
const INK = rgb(0.118, 0.102, 0.09);
const QUIET = rgb(0.416, 0.38, 0.329);
const KEPT = rgb(0.42, 0.227, 0.165);
const LOST = rgb(0.8, 0.773, 0.706);

/** Latin letters first, then those the first font lacks. */
type Fonts = { readonly plain: readonly PDFFont[]; readonly bold: readonly PDFFont[] };

async function fontsOf(pdf: PDFDocument): Promise<Fonts> {
  pdf.registerFontkit(fontkit);
  const embed = async (weight: number) =>
    Promise.all(
      ['latin', 'latin-ext'].map(async (letters) => {
        const file = `archivo-${letters}-${weight}-normal.woff`;
        const bytes = await readFile(join(process.cwd(), 'node_modules/@fontsource/archivo/files', file));
        return pdf.embedFont(bytes, { subset: true });
      }),
    );
  return { plain: await embed(400), bold: await embed(700) };
}

type Run = { readonly text: string; readonly font: PDFFont };

/** Cuts a text into runs that a font can draw; a letter that none has becomes a question mark. */
function runsOf(text: string, fonts: readonly PDFFont[]): Run[] {
  const runs: Run[] = [];
  for (const letter of text.normalize('NFC')) {
    const code = letter.codePointAt(0)!;
    const font = fonts.find((each) => each.getCharacterSet().includes(code));
    const [drawn, by] = font ? [letter, font] : ['?', fonts[0]!];
    const last = runs.at(-1);
    if (last?.font === by) runs[runs.length - 1] = { text: last.text + drawn, font: by };
    else runs.push({ text: drawn, font: by });
  }
  return runs;
}

/** Writes down a page from the top, opening a new page when one is full. */
class Writer {
  private page: PDFPage;
  private y: number;

  constructor(
    private readonly pdf: PDFDocument,
    private readonly fonts: Fonts,
  ) {
    this.page = pdf.addPage([PAGE.width, PAGE.height]);
    this.y = PAGE.height - PAGE.margin;
  }

  /** Makes room for `height` points, on a new page if need be. */
  room(height: number): void {
    if (this.y - height > PAGE.margin) return;
    this.page = this.pdf.addPage([PAGE.width, PAGE.height]);
    this.y = PAGE.height - PAGE.margin;
  }

  down(height: number): void {
    this.y -= height;
  }

  private draw(runs: readonly Run[], x: number, size: number, color: typeof INK): void {
    let at = x;
    for (const run of runs) {
      this.page.drawText(run.text, { x: at, y: this.y, size, font: run.font, color });
      at += run.font.widthOfTextAtSize(run.text, size);
    }
  }

  private widthOf(runs: readonly Run[], size: number): number {
    return runs.reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0);
  }

  text(words: string, style: { size?: number; bold?: boolean; quiet?: boolean; x?: number } = {}): void {
    const { size = 10, bold = false, quiet = false, x = PAGE.margin } = style;
    this.draw(runsOf(words, bold ? this.fonts.bold : this.fonts.plain), x, size, quiet ? QUIET : INK);
  }

  /** Right-aligned at `x`, for figures. */
  figure(words: string, x: number, style: { size?: number; bold?: boolean } = {}): void {
    const { size = 10, bold = false } = style;
    const runs = runsOf(words, bold ? this.fonts.bold : this.fonts.plain);
    this.draw(runs, x - this.widthOf(runs, size), size, INK);
  }

  /** A text folded to the width of the page. */
  paragraph(words: string, style: { size?: number; quiet?: boolean } = {}): void {
    const { size = 10 } = style;
    const width = PAGE.width - 2 * PAGE.margin;
    let line = '';
    const flush = () => {
      this.room(size * 1.4);
      this.text(line, style);
      this.down(size * 1.4);
    };
    for (const word of words.split(' ')) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (this.widthOf(runsOf(longer, this.fonts.plain), size) > width && line !== '') {
        flush();
        line = word;
      } else line = longer;
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
      start: { x: PAGE.margin, y },
      end: { x: PAGE.width - PAGE.margin, y },
      color: QUIET,
      thickness: 0.5,
    });
  }

  box(x: number, width: number, height: number, color: typeof INK): void {
    this.page.drawRectangle({ x, y: this.y - 2, width: Math.max(0.5, width), height, color });
  }
}

const RIGHT = PAGE.width - PAGE.margin;

/** Why each step happens, in words for a household. */
const STEP_WORDS: Readonly<Partial<Record<StepKind, string>>> = {
  cold: 'what hung on our rail, cold',
  bone: 'bone that you did not want',
  fat: 'fat trimmed off and not kept',
  skin: 'skin',
  inedible: 'glands, always taken out',
  grinder: 'stayed in the grinder',
  cure: 'water that cure and smoke took',
  unaccounted: 'saw dust, drip and drying while cutting',
  boxes: 'in your boxes',
};

function steps(writer: Writer, view: Settlement): void {
  const { reconciliation: balance, unit } = view;
  const show = (w: Weight) => `${formatWeight(w, unit)} ${unit}`;
  const widest = 170;
  const whole = Math.max(view.hot, balance.cold);
  const line = (words: string, w: Weight, start: number, lost: boolean) => {
    writer.room(20);
    writer.text(words);
    writer.box(300 + (widest * start) / whole, (widest * Math.abs(w)) / whole, 10, lost ? LOST : KEPT);
    writer.figure(`${lost ? '− ' : ''}${show(w)}`.replace('− -', '+ '), RIGHT, { bold: !lost });
    writer.down(17);
  };
  let left: number = view.hot;
  line('hot, on the day of slaughter', view.hot, 0, false);
  if (view.hot > balance.cold) {
    left = balance.cold;
    line('water that hanging took', (view.hot - balance.cold) as Weight, left, true);
  }
  for (const step of balance.bridge) {
    if (step.lost) left -= step.weight;
    line(STEP_WORDS[step.kind] ?? step.label, step.weight, step.lost ? Math.max(0, left) : 0, step.lost);
  }
}

function boxes(writer: Writer, view: Settlement): void {
  for (const pack of view.packs) {
    writer.room(18);
    writer.text(pack.cut);
    if (pack.green !== null)
      writer.text(`from ${formatWeight(pack.green, view.unit)} ${view.unit} fresh`, { x: 300, quiet: true });
    writer.figure(counted(pack.packs, 'pack'), 470);
    writer.figure(`${formatWeight(pack.net, view.unit)} ${view.unit}`, RIGHT);
    writer.down(15);
  }
  writer.room(20);
  writer.text('together', { bold: true });
  writer.figure(`${formatWeight(view.reconciliation.boxes, view.unit)} ${view.unit}`, RIGHT, { bold: true });
  writer.down(15);
  const yieldWords = `${(view.reconciliation.yieldBp / 100).toFixed(1)} % of the cold weight.`;
  writer.paragraph(`That is ${yieldWords} Bones left in the cuts are counted with them.`, { quiet: true });
}

function charges(writer: Writer, view: Settlement): void {
  for (const line of view.bill.lines) {
    writer.room(18);
    writer.text(line.label);
    writer.text(line.quantity, { x: 260, quiet: true });
    writer.figure(formatMoney(line.amount, view.sign), RIGHT);
    writer.down(15);
  }
  if (view.bill.farm.length > 0) {
    const farm = view.bill.farm.map(
      (line) => `${line.label.toLowerCase()}, ${formatMoney(line.amount, view.sign)}`,
    );
    writer.paragraph(`The farm pays: ${farm.join('; ')}. It is in no sum here.`, { quiet: true });
  }
  writer.room(40);
  writer.text('to pay', { bold: true, size: 12 });
  writer.figure(formatMoney(view.bill.due, view.sign), RIGHT, { bold: true, size: 12 });
  writer.down(16);
  if (view.paid !== 0) {
    writer.text('paid');
    writer.figure(formatMoney(view.paid, view.sign), RIGHT);
    writer.down(15);
  }
  const estimate = `We had estimated ${formatMoney(view.estimate.total, view.sign)}; the total came to ${formatMoney(view.bill.total, view.sign)}.`;
  const why = view.differences.map((each) => `${each.label}: ${each.sentence.replace(/\.$/, '')}.`).join(' ');
  writer.paragraph(`${estimate} ${why} ${view.priceList}.`, { quiet: true });
}

/**
 * The household's statement: where the weight went in plain words, what is in the boxes, and what it cost.
 *
 * @returns the bytes of the PDF
 */
export async function statementPdf(view: Settlement): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(`Statement for ${view.name}`);
  pdf.setProducer('Fractum');
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(view.shopName, { quiet: true });
  writer.down(26);
  writer.text(view.name, { size: 22, bold: true });
  writer.down(18);
  writer.text(`${view.about}.${view.inspection === 'custom-exempt' ? ' Not for sale.' : ''}`, {
    quiet: true,
  });
  writer.down(10);
  writer.heading('Where the weight went');
  steps(writer, view);
  writer.heading('In your boxes');
  boxes(writer, view);
  if (view.notes.length > 0) {
    writer.heading('What we did otherwise');
    for (const note of view.notes) writer.paragraph(`${note.cut}: ${note.note.replace(/\.$/, '')}.`);
  }
  writer.heading('What it costs');
  charges(writer, view);
  writer.heading('Keeping and cooking');
  writer.paragraph(
    'Keep the packs frozen and thaw them in the refrigerator. Fresh cuts, sausage, bacon, hocks and hams marked raw must be cooked before they are eaten. Follow the advice of your food authority on temperatures and times.',
  );
  return pdf.save();
}
