import { PDFDocument } from 'pdf-lib';
import { counted } from '@/core/quantity/counted';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import { rememberedWords, type FarmSeason, type FarmYear } from '@/core/yields/farmSeason';
import type { Pooled } from '@/core/yields/rates';
import { fontsOf, RIGHT, Writer } from './writer';

/** Where the columns of figures end. */
const [THIS_YEAR, YEAR_BEFORE] = [380, 460];

/**
 * A farm's season on paper: from the hoof to the box beside its own year before, then cut by cut.
 *
 * @returns the bytes of the PDF
 */
export async function farmSeasonPdf(season: FarmSeason): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(`${season.farm}, ${season.year}`);
  pdf.setProducer('Fractum');
  const writer = new Writer(pdf, await fontsOf(pdf));
  writer.text(season.shop, { quiet: true });
  writer.down(26);
  writer.text(`${season.farm}, ${season.year}`, { size: 22, bold: true });
  writer.down(10);
  if (season.species.length === 0) {
    writer.down(14);
    writer.paragraph(`Nothing was finished in ${season.year}.`);
  }
  for (const of of season.species) species(writer, season, of);
  return pdf.save();
}

type Of = FarmSeason['species'][number];

function species(writer: Writer, { year, unit }: FarmSeason, of: Of): void {
  const { year: now, before, others, cuts, remembered } = of;
  writer.heading(`${of.name}: ${counted(now.animals, 'animal')}, ${counted(now.shares, 'share')}`);
  writer.figure(String(year), THIS_YEAR, { bold: true });
  writer.figure(String(year - 1), YEAR_BEFORE);
  writer.down(16);
  const line = (label: string, words: (of: FarmYear) => string) => {
    writer.room(18);
    writer.text(label);
    writer.figure(words(now), THIS_YEAR, { bold: true });
    writer.figure(before ? words(before) : '–', YEAR_BEFORE);
    writer.down(15);
  };
  const weight = (w: Weight) => (w > 0 ? `${formatWeight(w, 0)} ${unit}` : '–');
  const percent = ({ pct }: Pooled) => (pct === null ? '–' : `${pct.toFixed(1)} %`);
  line('alive, of those weighed', ({ live }) => weight(live));
  line('hot, of those weighed', ({ hot }) => weight(hot));
  line('in the packs', ({ packed }) => weight(packed));
  line('hot on live', ({ hotOnLive }) => percent(hotOnLive));
  line('packed on hot', ({ packedOnHot }) => percent(packedOnHot));
  line('packed on live', ({ packedOnLive }) => percent(packedOnLive));
  if (others) {
    const band = `${others.low.toFixed(1)} to ${others.high.toFixed(1)} %`;
    writer.paragraph(`Packed on hot of the shop’s other farms: eight shares in ten gave ${band}.`, {
      quiet: true,
    });
  }
  writer.down(8);
  for (const { cut, shares, packs, weight: packed } of cuts) {
    writer.room(16);
    writer.text(cut);
    writer.figure(`${shares} of ${now.shares}`, THIS_YEAR);
    writer.figure(counted(packs, 'pack'), YEAR_BEFORE);
    writer.figure(`${formatWeight(packed, 1)} ${unit}`, RIGHT);
    writer.down(14);
  }
  if (remembered.length === 0) return;
  writer.room(40);
  writer.down(8);
  writer.text('To think of next time', { bold: true });
  writer.down(15);
  for (const each of remembered) writer.paragraph(`${rememberedWords(each)}.`);
}
