import { PDFDocument } from 'pdf-lib';
import type { Confirmation } from '@/core/order/confirmation';
import { fontsOf, Writer } from './writer';

/** The confirmation of a booking on plain paper: what was booked, what it will cost, what is still to do. */
export async function confirmationPdf(said: Confirmation): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(said.shopName, { size: 16, bold: true });
  writer.down(20);
  writer.text(said.title, { size: 12 });
  writer.down(18);
  writer.heading('What is booked');
  for (const line of said.booked) writer.paragraph(line);
  writer.heading('What you still have to do');
  for (const line of said.stillToDo) writer.paragraph(line);
  writer.heading('What it will cost');
  for (const line of said.costs) writer.paragraph(line);
  writer.heading('Good to know');
  for (const line of said.cautions) writer.paragraph(line, { size: 9, quiet: true });
  pdf.setTitle(`${said.shopName}: ${said.title}`);
  return pdf.save();
}
