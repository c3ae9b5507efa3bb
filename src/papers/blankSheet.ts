import { PDFDocument } from 'pdf-lib';
import type { BlankSheet } from '@/core/order/blankSheet';
import { fontsOf, PAGE, Writer } from './writer';

/** Height of one line of answers. */
const LINE = 13;

/** The blank sheet on plain paper, to be filled in by hand: a box before each answer, the house's own marked. */
export async function blankSheetPdf(blank: BlankSheet): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(`${blank.shopName}: cut sheet, ${blank.species.toLowerCase()}`, { size: 15, bold: true });
  writer.down(18);
  writer.text(`Prices: ${blank.prices}`, { size: 9, quiet: true });
  writer.down(18);
  for (const asked of ['Name', 'Telephone', 'Which half or part, tag', 'Who pays']) {
    writer.text(`${asked}: `, { bold: true });
    writer.rule();
    writer.down(20);
  }
  writer.paragraph(
    'Tick one box in each place; with two, write how much of each. The answer with a star is ours where you say nothing.',
    { size: 9 },
  );
  for (const { title, reason, answers } of blank.decisions) {
    writer.room(LINE * (2 + answers.length));
    writer.down(6);
    writer.text(title, { size: 11, bold: true });
    writer.down(LINE);
    writer.paragraph(`Ours: ${reason}`, { size: 8, quiet: true });
    for (const { label, cost, house } of answers) {
      writer.square(PAGE.margin, 8);
      writer.text(`${label}${house ? ' *' : ''}`, { x: PAGE.margin + 14, size: 9.5 });
      writer.down(LINE);
      if (cost) writer.paragraph(cost, { size: 8, quiet: true, x: PAGE.margin + 14 });
    }
  }
  writer.heading('Ground and sausage');
  writer.paragraph(
    blank.kinds.map(({ name, contains }) => (contains ? `${name} (${contains})` : name)).join('; '),
    { size: 8.5 },
  );
  writer.heading('What it costs besides');
  for (const line of blank.charges) writer.paragraph(line, { size: 9 });
  writer.heading('Good to know');
  for (const line of blank.cautions) writer.paragraph(line, { size: 8.5, quiet: true });
  pdf.setTitle(`${blank.shopName}: cut sheet, ${blank.species}`);
  return pdf.save();
}
