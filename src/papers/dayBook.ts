import { PDFDocument } from 'pdf-lib';
import { DAY_SECTION_WORDS, DAY_SECTIONS, type DayBook } from '@/core/dayBook/dayBook';
import { clockIn, momentWords } from '@/core/time/shopTime';
import { fontsOf, Writer } from './writer';

/** Where the words of a line begin, and how much is kept free at its right. */
const WORDS = 48;

/**
 * The book of a day on paper: its parts one after the other, each line with its hour and who did it; at the end who
 * signed it, and a line to sign on.
 *
 * @returns the bytes of the PDF
 */
export async function dayBookPdf(book: DayBook): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(`${book.shop}, ${book.day}`);
  pdf.setProducer('Fractum');
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(book.establishment ? `${book.shop}, establishment ${book.establishment}` : book.shop, {
    quiet: true,
  });
  writer.down(26);
  writer.text(`The book of ${book.day}`, { size: 22, bold: true });
  writer.down(10);
  for (const section of DAY_SECTIONS) {
    const entries = book.entries.filter((entry) => entry.section === section);
    writer.heading(DAY_SECTION_WORDS[section]);
    if (entries.length === 0) writer.paragraph('Nothing.', { quiet: true });
    for (const { at, words, by } of entries) {
      writer.room(16);
      writer.text(clockIn(book.zone, at), { quiet: true });
      writer.paragraph(`${words} (${by.join(' and ')})`, { indent: WORDS });
    }
  }
  writer.heading('Signed');
  for (const { at, by, words } of book.signed) {
    writer.paragraph(`${momentWords(book.zone, at)}, ${by}: ${words}`);
  }
  writer.room(40);
  writer.down(24);
  writer.asked('Looked at by');
  writer.down(24);
  writer.paragraph(
    'Limits and plans are this shop’s own; the plan, the inspector and local code stand above them.',
    {
      quiet: true,
      size: 9,
    },
  );
  return pdf.save();
}
