import bwipjs from 'bwip-js/node';
import { bisector } from 'd3-array';
import { PDFDocument } from 'pdf-lib';
import type { BlockPage, BlockRow, BlockSheet } from '@/core/block/blockSheet';
import { fontsOf, RIGHT, Writer } from './writer';

/** The paper of a share for the block, and the address that its bars open. */
export type BlockPaper = { readonly sheet: BlockSheet; readonly address: string };

/** As large as it fits on one page: the first of these that does. */
const SCALES = [1.35, 1.25, 1.16, 1.08, 1.02, 0.96, 0.9, 0.84, 0.78, 0.72, 0.66];
/** Side of the square of bars, points: a hand scanner reads it from half a yard. */
const BARS = 62;
/** What is wanted begins here, points at scale 1. */
const SAYS = 132;

/** The block's paper: a page for each quarter, in break order, with boxes to tick; large enough for wet hands. */
export async function blockSheetPdf({ sheet, address }: BlockPaper): Promise<Uint8Array> {
  const [pdf, trial] = [await PDFDocument.create(), await PDFDocument.create()];
  const [fonts, trialFonts] = [await fontsOf(pdf), await fontsOf(trial)];
  const bars = await pdf.embedPng(await bwipjs.toBuffer({ bcid: 'qrcode', text: address, scale: 4 }));
  const fits = (page: BlockPage, scale: number) => {
    const before = trial.getPageCount();
    write(new Writer(trial, trialFonts), { sheet, page, scale });
    return trial.getPageCount() === before + 1;
  };
  for (const page of sheet.pages) {
    const first = bisector((scale: number) => Number(fits(page, scale))).left(SCALES, 1);
    const scale = SCALES[first] ?? SCALES.at(-1)!;
    const writer = new Writer(pdf, fonts);
    writer.corner(bars, BARS);
    write(writer, { sheet, page, scale });
  }
  pdf.setTitle(`Block: order ${sheet.order}, ${sheet.name}`);
  return pdf.save();
}

type Written = { readonly sheet: BlockSheet; readonly page: BlockPage; readonly scale: number };

function write(writer: Writer, { sheet, page, scale }: Written): void {
  writer.text(page.title, { size: 26, bold: true });
  writer.down(20);
  writer.text(`${sheet.name}, order ${sheet.order}`, { size: 14, bold: true });
  writer.down(15);
  writer.text(sheet.about, { size: 11 });
  writer.down(15);
  writer.text(sheet.stands, { size: sheet.isApproved ? 11 : 16, bold: !sheet.isApproved });
  writer.down(16);
  if (sheet.words !== '') {
    writer.text('STOP AND READ', { size: 12, bold: true });
    writer.down(15 * scale);
    writer.paragraph(sheet.words, { size: 14 * scale });
  }
  for (const words of sheet.warnings) writer.paragraph(words, { size: 10.5 * scale });
  list(writer, 'Broken here', page.breaks, scale);
  list(writer, 'Leave alone', page.protect, scale);
  rows(writer, 'Pull first, by hand', page.first, scale);
  rows(writer, 'Then, in this order', page.rows, scale);
  writer.down(4);
  writer.paragraph(`Grind: ${sheet.grind}. Wrap: ${sheet.extras}.`, { size: 11 * scale });
  writer.paragraph(`${sheet.cautions.join(' ')} Local code and the shop’s plan stand above this paper.`, {
    size: 8 * scale,
    quiet: true,
  });
}

function list(writer: Writer, title: string, lines: readonly string[], scale: number): void {
  if (lines.length === 0) return;
  writer.down(2);
  writer.text(title, { size: 11 * scale, bold: true });
  writer.down(13 * scale);
  for (const line of lines) writer.paragraph(line, { size: 10.5 * scale });
}

function rows(writer: Writer, title: string, all: readonly BlockRow[], scale: number): void {
  if (all.length === 0) return;
  writer.down(2);
  writer.text(title, { size: 11 * scale, bold: true });
  writer.down(5 * scale);
  writer.rule();
  writer.down(14 * scale);
  for (const row of all) oneRow(writer, row, scale);
}

function oneRow(writer: Writer, { title, forms, count, isGround, otherSide }: BlockRow, scale: number): void {
  writer.room(30 * scale);
  writer.square(10 * scale);
  writer.text(title, { size: 12 * scale, bold: true, indent: 16 * scale });
  if (isGround) {
    writer.text('TO GRIND', { size: 12 * scale, bold: true, indent: SAYS * scale });
    writer.down(15 * scale);
  } else {
    if (count !== '') writer.figure(count, RIGHT, { size: 9.5 * scale });
    for (const { says, sizes } of forms) {
      writer.paragraph(says, { size: 12 * scale, indent: SAYS * scale, short: 116 * scale });
      if (sizes.length > 0) {
        writer.down(-3 * scale);
        writer.paragraph(sizes.join(', '), { size: 10.5 * scale, indent: SAYS * scale });
      }
    }
  }
  if (otherSide !== '') {
    writer.down(-2 * scale);
    writer.paragraph(`THE OTHER SIDE: ${otherSide}`, { size: 10 * scale, indent: SAYS * scale });
  }
}
