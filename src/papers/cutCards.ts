import bwipjs from 'bwip-js/node';
import { PDFDocument } from 'pdf-lib';
import type { CutCards } from '@/core/label/cutCards';
import { fontsOf, Writer } from './writer';

/** Points: a square that a scanner reads from an arm's length, and what a card takes with its words. */
const SQUARE = 44;
const CARD = 104;

/**
 * Cards to cut out and pin up: each chooses its cut when it is scanned at the wrap table.
 *
 * @returns the bytes of the PDF
 */
export async function cutCardsPdf({ species, groups }: CutCards): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(`Cards of cuts, ${species}`);
  pdf.setProducer('Fractum');
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(`${species}: scan a card at the wrap table to choose its cut`, { size: 16, bold: true });
  writer.down(26);
  writer.columns(4);
  for (const { title, cards } of groups) {
    for (const { words, tradeItem } of cards) {
      writer.room(CARD);
      const text = `(01)${tradeItem}`;
      const png = await bwipjs.toBuffer({ bcid: 'gs1datamatrix', text, scale: 4 });
      writer.text(title, { size: 7, quiet: true });
      writer.down(4);
      writer.picture(await pdf.embedPng(png), { width: SQUARE, height: SQUARE });
      writer.paragraph(words, { size: 9 });
      writer.down(8);
    }
  }
  return pdf.save();
}
