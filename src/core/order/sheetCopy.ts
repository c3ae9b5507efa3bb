import { counted } from '../quantity/counted';
import { formatMoney } from '../quantity/money';
import { formatWeight } from '../quantity/weight';
import { decisionsAsked } from '../sheet/situation';
import { answerSummary, extrasSummary, grindSummary } from '../sheet/summary';
import { takenOver, takenWords } from '../sheet/takenOver';
import { momentWords } from '../time/shopTime';
import { animalWords, partWords } from './naming';
import type { ShareFile } from './shareFile';
import { estimateOf, planOf, sheetInForce } from './standing';

/** A household's sheet as it was approved, to keep: what was asked, what will come of it, and about what it costs. */
export type SheetCopy = {
  readonly shopName: string;
  readonly title: string;
  readonly approved: string;
  readonly rows: readonly { readonly title: string; readonly says: string }[];
  readonly words: string;
  readonly boxes: readonly string[];
  readonly home: string;
  /** Null where prices are not shown. */
  readonly costs: string | null;
};

/**
 * @param cut - the file it is cut by
 * @param own - the household's own, whose bill it is
 */
export function sheetCopyOf(cut: ShareFile, own: ShareFile, prices: boolean): SheetCopy {
  const { situation, shop } = cut;
  const { species, unit } = situation;
  const sheet = sheetInForce(cut);
  const { expected } = planOf(cut);
  const taken = takenOver(species, (id) => sheet.answers[id]);
  const [low, high] = [expected.takeHomeLow, expected.takeHomeHigh].map((w) => formatWeight(w, 0));
  const rows = decisionsAsked(situation).flatMap((decision) => {
    const [taker, answer, right] = [
      taken.get(decision.id),
      sheet.answers[decision.id],
      sheet.secondSide[decision.id],
    ];
    if (taker) return [{ title: decision.title, says: takenWords(taker) }];
    if (!answer) return [];
    const other = right ? `; right side: ${answerSummary(decision, right, unit)}` : '';
    return [{ title: decision.title, says: `${answerSummary(decision, answer, unit)}${other}` }];
  });
  return {
    shopName: shop.name,
    title: `${own.share.owner.name}: ${partWords(own)} of ${animalWords(own)}`,
    approved: cut.sheet?.approved ? momentWords(shop.zone, cut.sheet.at) : '',
    rows: [
      ...rows,
      { title: 'Ground and sausage', says: grindSummary(species, sheet.grind, unit) },
      { title: 'Wrap and extras', says: extrasSummary(species, sheet) },
    ],
    words: sheet.instructions,
    boxes: expected.lines.map(
      (line) => `${line.cut}: ${formatWeight(line.packaged, 1)} ${unit} in ${counted(line.packs, 'pack')}`,
    ),
    home: `Expected, not weighed yet: between ${low} and ${high} ${unit} come home.`,
    costs: prices ? `About ${formatMoney(estimateOf(own).due, own.priceList.sign)} to pay on the day.` : null,
  };
}
