import { PDFDocument } from 'pdf-lib';
import { wholeDegrees } from '@/core/quantity/degrees';
import type { LoadPaper } from '@/core/smokehouse/loadPaper';
import { fontsOf, RIGHT, Writer } from './writer';

/** The picture of the curve, points; degrees that it reaches down and up to. */
const [WIDTH, HEIGHT] = [480, 170];
const [COLDEST, HOTTEST] = [30, 180];
const GRID = [60, 90, 120, 150] as const;

/** Where the columns of weights end. */
const COLUMNS = [330, 400, 470] as const;

/**
 * A load of the smokehouse for the file: its plan, its curve, what hung in it, why it was held and who let it go.
 *
 * @returns the bytes of the PDF
 */
export async function loadPaperPdf(paper: LoadPaper): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(`${paper.shop}, load ${paper.lot}`);
  pdf.setProducer('Fractum');
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(paper.shop, { quiet: true });
  writer.down(26);
  writer.text(`Load ${paper.lot}`, { size: 22, bold: true });
  writer.down(18);
  writer.paragraph(`${paper.plan}. ${paper.state}`);
  writer.heading('What the probe read inside');
  curve(writer, paper);
  for (const words of paper.posts) writer.paragraph(words);
  writer.heading('In it');
  writer.figure('green', COLUMNS[0], { bold: true });
  writer.figure('into the smoke', COLUMNS[1], { bold: true });
  writer.figure('out of it', COLUMNS[2], { bold: true });
  writer.figure('ppm', RIGHT, { bold: true });
  writer.down(16);
  for (const { words, weights, ppm } of paper.pieces) {
    writer.room(16);
    writer.text(words);
    weights.forEach((weight, at) => writer.figure(weight, COLUMNS[at]!));
    writer.figure(ppm, RIGHT);
    writer.down(15);
  }
  writer.heading('Done and said');
  for (const words of paper.said) writer.paragraph(words);
  writer.room(50);
  writer.down(26);
  writer.asked('Looked at by');
  writer.down(24);
  writer.paragraph('The plan is this shop’s own. Follow your plan and local code.', { quiet: true, size: 9 });
  return pdf.save();
}

function curve(writer: Writer, { readings, unit }: LoadPaper): void {
  const last = Math.max(60, readings.at(-1)?.[0] ?? 60);
  const x = (minute: number) => (WIDTH * minute) / last;
  const y = (degrees: number) =>
    (HEIGHT * (Math.min(HOTTEST, Math.max(COLDEST, degrees)) - COLDEST)) / (HOTTEST - COLDEST);
  writer.drawing({
    width: WIDTH,
    height: HEIGHT,
    lines: [
      ...GRID.map((degrees) => ({
        points: [
          [0, y(degrees)],
          [WIDTH, y(degrees)],
        ] as const,
        isQuiet: true,
        label: wholeDegrees(degrees, unit),
      })),
      ...pieces(readings).map((points) => ({
        points: points.map(([minute, degrees]) => [x(minute), y(degrees)] as const),
        isQuiet: false,
        label: '',
      })),
    ],
  });
}

/** Longer between two readings and the line is broken: nobody knows what was between. */
const SILENCE = 10;

function pieces(readings: LoadPaper['readings']): (readonly [number, number])[][] {
  const all: (readonly [number, number])[][] = [];
  for (const [at, reading] of readings.entries()) {
    const before = readings[at - 1];
    if (!before || reading[0] - before[0] > SILENCE) all.push([reading]);
    else all.at(-1)!.push(reading);
  }
  return all.filter((points) => points.length > 1);
}
