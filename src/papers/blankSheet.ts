import { PDFDocument } from 'pdf-lib';
import type { BlankSheet } from '@/core/order/blankSheet';
import { fontsOf, PAGE, Writer } from './writer';

/** Height of one line of answers. */
const LINE = 11;
/** The answers stand behind their boxes. */
const INDENT = 13;
const HALF = (PAGE.width - 2 * PAGE.margin) / 2;
/** So many answers stay with the head of their decision. */
const TOGETHER = 5;

/**
 * The blank sheet on plain paper, in two columns, to be filled in by hand: a box before each answer, the house's own
 * marked.
 */
export async function blankSheetPdf(blank: BlankSheet): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(`${blank.shopName}: cut sheet, ${blank.species.toLowerCase()}`, { size: 15, bold: true });
  writer.down(26);
  for (const [first, second] of [
    ['Name', 'Telephone'],
    ['Which half or part, tag', 'Who pays'],
  ] as const) {
    writer.asked(first, 0, HALF - 10);
    writer.asked(second, HALF + 10, HALF - 10);
    writer.down(22);
  }
  writer.paragraph(
    `Tick one box in each place; with two, write how much of each. The small number is for whoever types it in. The answer with a star is ours where you say nothing. Prices: ${blank.prices}.`,
    { size: 9 },
  );
  writer.columns(2);
  for (const { title, reason, answers } of blank.decisions) {
    writer.down(5);
    writer.room(LINE * (3 + Math.min(answers.length, TOGETHER)));
    writer.text(title, { size: 10.5, bold: true });
    writer.down(LINE);
    for (const { digit, label, note, cost, house } of answers) {
      writer.room(LINE * 2);
      writer.square(7);
      writer.text(digit, { size: 6.5, quiet: true, indent: 1.8 });
      writer.paragraph(`${label}${house ? ' *' : ''}`, { size: 9, indent: INDENT });
      const said = [house ? reason : '', note, cost].filter((words) => words !== '');
      if (said.length === 0) continue;
      // A note stands nearer to its answer than to the next one.
      writer.down(-3);
      writer.paragraph(sentences(said), { size: 7, quiet: true, indent: INDENT });
      writer.down(3);
    }
  }
  writer.heading('Ground and sausage');
  writer.paragraph(
    blank.kinds.map(({ name, contains }) => (contains ? `${name} (${contains})` : name)).join('; '),
    { size: 8 },
  );
  for (const wish of ['Kind, pounds', 'Kind, pounds', 'Patties, links or bulk']) {
    writer.down(10);
    writer.room(LINE);
    writer.asked(wish);
    writer.down(LINE);
  }
  writer.heading('What it costs besides');
  for (const line of blank.charges) writer.paragraph(line, { size: 9 });
  writer.heading('Good to know');
  for (const line of blank.cautions) writer.paragraph(line, { size: 8.5, quiet: true });
  pdf.setTitle(`${blank.shopName}: cut sheet, ${blank.species}`);
  return pdf.save();
}

/** Phrases as sentences, each with its capital and its stop. */
function sentences(phrases: readonly string[]): string {
  return phrases
    .map((words) => `${words.charAt(0).toUpperCase()}${words.slice(1)}${words.endsWith('.') ? '' : '.'}`)
    .join(' ');
}
