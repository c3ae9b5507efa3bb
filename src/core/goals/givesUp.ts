import type { Comparison } from '../compare/compareSheets';
import { inSentence } from '../quantity/inSentence';
import { listed } from '../quantity/listed';
import { formatMoney, type Cents } from '../quantity/money';
import { formatWeight, sumWeights, type Weight, type WeighingUnit } from '../quantity/weight';

/** Cuts that go are named one by one up to so many. */
const MOST_NAMED = 4;
/** Less than this of a difference is not worth a word, thousandths. */
const TRIFLE = 300;

/** What a sheet gives up against the present one, in a sentence: the cuts that go, weight home, money. */
export function givesUp(
  { cuts, takeHome, charges }: Pick<Comparison, 'cuts' | 'takeHome' | 'charges'>,
  { unit, sign }: { readonly unit: WeighingUnit; readonly sign: string },
): string {
  const gone = cuts.filter(({ first, second }) => first.packaged > 0 && second.packaged === 0);
  const named = gone.slice(0, MOST_NAMED).map(({ cut }) => short(cut));
  const others = gone.length - named.length;
  const weight = sumWeights(gone.map(({ first }) => first.packaged));
  const less = cuts.find(({ first, second, packaged }) => packaged < -TRIFLE && second.packaged > 0 && first);
  const parts = [
    gone.length > 0
      ? `${listed([...named, ...(others > 0 ? [`${others} more`] : [])])} (${formatWeight(weight, 1)} ${unit})`
      : less
        ? `${formatWeight(-less.packaged as Weight, 1)} ${unit} of ${short(less.cut)}`
        : '',
    takeHome < -TRIFLE ? `${formatWeight(-takeHome as Weight, 1)} ${unit} less comes home` : '',
    charges > 0 ? `it costs ${formatMoney(charges as Cents, sign)} more` : '',
  ].filter((part) => part !== '');
  return parts.length === 0 ? 'Nothing that is there now.' : `${parts.join('; ')}.`;
}

/** A cut without what is done to it: `arm roast, halved` is an arm roast. */
function short(cut: string): string {
  return inSentence(cut.split(',')[0]!);
}
