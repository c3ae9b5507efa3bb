import { deviationTold, type Deviation } from '../order/deviation';
import { foundTold } from '../order/found';
import type { ShareFile } from '../order/shareFile';
import { daysHung } from '../order/standing';
import { inSentence } from '../quantity/inSentence';
import { formatWeight } from '../quantity/weight';
import { dayIn, dayWords } from '../time/shopTime';

/** Something that was found or done otherwise, under what it is about; with the photograph that was taken of it. */
export type HouseholdNote = { readonly cut: string; readonly note: string; readonly photoId?: string };

/** What the household reads of all that was found on the side and done otherwise, each under what it is about. */
export function toldOf(file: ShareFile): HouseholdNote[] {
  const { decisions } = file.situation.species;
  const titleOf = (row: string) => decisions.find(({ id }) => id === row)?.title;
  const found = file.sides.flatMap(({ side, found: onSide }) =>
    onSide.map((each) => ({
      cut: titleOf(each.decision) ?? `The ${side.position} side`,
      note: foundTold(each, decisions, file.shop.unit),
      ...(each.photoId === null ? {} : { photoId: each.photoId }),
    })),
  );
  const otherwise = file.deviations.map((deviation) => {
    const title = titleOf(deviation.decision)!;
    return { cut: title, note: sentenceOf(file, deviation, title) };
  });
  return [...found, ...otherwise];
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
