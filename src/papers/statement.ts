import { PDFDocument } from 'pdf-lib';
import { counted } from '@/core/quantity/counted';
import { formatMoney } from '@/core/quantity/money';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { Settlement, Statement } from '@/core/order/settlement';
import { storyOf } from '@/core/order/statementStory';
import { fontsOf, KEPT, LOST, RIGHT, Writer } from './writer';

/** One warm page first: the story of the weight, as a picture that shrinks. */
function story(writer: Writer, view: Settlement): void {
  const { hot, boxes, steps, sentence } = storyOf(view);
  const show = (w: Weight) => `${formatWeight(w, 1)} ${view.unit}`;
  const widest = 190;
  const bar = (words: string, w: Weight, { from, bold }: { from: number; bold: boolean }) => {
    writer.room(36);
    writer.text(words, { bold, size: bold ? 12 : 10 });
    const long = (widest * Math.abs(w)) / hot;
    writer.box(290 + (widest * from) / hot, long, bold ? 16 : 10, bold ? KEPT : LOST);
    const sign = w < 0 ? '+ ' : '− ';
    writer.figure(`${bold ? '' : sign}${show(Math.abs(w) as Weight)}`, RIGHT, { bold });
  };
  writer.paragraph(sentence, { size: 12 });
  writer.down(10);
  bar('What hung on our rail', hot, { from: 0, bold: true });
  writer.down(22);
  for (const { words, why, weight, left } of steps) {
    bar(words, weight, { from: Math.max(0, left), bold: false });
    writer.down(12);
    writer.paragraph(why, { size: 8, quiet: true, short: 300 });
    writer.down(4);
  }
  bar('In your boxes', boxes, { from: 0, bold: true });
  writer.down(18);
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

/** A photograph under its words. One that is damaged is left out: the words stand without it. */
async function photograph(pdf: PDFDocument, writer: Writer, jpeg: Uint8Array): Promise<void> {
  const image = await pdf.embedJpg(jpeg).catch(() => undefined);
  if (image) writer.picture(image, { width: 200, height: 150 });
}

/**
 * The household's statement: where the weight went in plain words, what is in the boxes, and what it cost.
 *
 * @returns the bytes of the PDF
 */
export async function statementPdf(view: Statement): Promise<Uint8Array> {
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
  writer.heading(
    `Why ${formatWeight(storyOf(view).hot, 0)} became ${formatWeight(view.reconciliation.boxes, 0)}`,
  );
  story(writer, view);
  writer.heading('In your boxes');
  boxes(writer, view);
  if (view.notes.length > 0) {
    writer.heading('What we did otherwise');
    for (const { cut, note, photoId } of view.notes) {
      writer.paragraph(`${cut}: ${note.replace(/\.$/, '')}.`);
      const jpeg = photoId === undefined ? undefined : view.photos.get(photoId);
      if (jpeg) await photograph(pdf, writer, jpeg);
    }
  }
  writer.heading('What it costs');
  charges(writer, view);
  writer.heading('Keeping and cooking');
  writer.paragraph(view.keeps);
  writer.paragraph(
    'Keep the packs frozen and thaw them in the refrigerator. Fresh cuts, sausage, bacon, hocks and hams marked raw must be cooked before they are eaten. Follow the advice of your food authority on temperatures and times.',
  );
  return pdf.save();
}
