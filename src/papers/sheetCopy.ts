import { PDFDocument } from 'pdf-lib';
import type { SheetCopy } from '@/core/order/sheetCopy';
import { fontsOf, Writer } from './writer';

/** A household's approved sheet on plain paper. */
export async function sheetCopyPdf(copy: SheetCopy): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(copy.shopName, { size: 16, bold: true });
  writer.down(20);
  writer.text(copy.title, { size: 12 });
  writer.down(16);
  writer.text(copy.approved === '' ? 'Not approved yet.' : `Approved ${copy.approved}.`, { quiet: true });
  writer.down(4);
  writer.heading('How it is cut');
  for (const { title, says } of copy.rows) {
    writer.room(26);
    writer.text(title, { bold: true });
    writer.paragraph(says, { indent: 130 });
  }
  if (copy.words !== '') {
    writer.heading('What the cutter reads first');
    writer.paragraph(copy.words);
  }
  writer.heading('What will come of it');
  writer.paragraph(copy.home);
  if (copy.costs !== null) writer.paragraph(copy.costs);
  for (const line of copy.boxes) writer.paragraph(line, { size: 9 });
  pdf.setTitle(`${copy.shopName}: ${copy.title}`);
  return pdf.save();
}
