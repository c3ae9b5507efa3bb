import { deviationTold, type Deviation } from '../order/deviation';
import type { ShareFile } from '../order/shareFile';
import { daysHung } from '../order/standing';
import { inSentence } from '../quantity/inSentence';
import { formatWeight } from '../quantity/weight';
import { dayIn, dayWords } from '../time/shopTime';

/** What the household reads of everything that was done otherwise, each under the row it is about. */
export function toldOf(file: ShareFile): { readonly cut: string; readonly note: string }[] {
  return file.deviations.map((deviation) => {
    const row = file.situation.species.decisions.find(({ id }) => id === deviation.decision)!;
    return { cut: row.title, note: sentenceOf(file, deviation, row.title) };
  });
}

function sentenceOf(file: ShareFile, deviation: Deviation, title: string): string {
  const { shop } = file;
  const { reason, weight, asked, done, at } = deviation;
  return deviationTold(reason, {
    cut: inSentence(title),
    asked: inSentence(asked),
    done: inSentence(done),
    weight: weight === null ? 'all of it' : `${formatWeight(weight, 1)} ${shop.unit}`,
    days: daysHung(file, new Date(at)),
    day: dayWords(dayIn(shop.zone, new Date(at))),
  });
}
