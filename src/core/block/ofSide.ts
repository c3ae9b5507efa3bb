import type { Weight } from '../quantity/weight';
import { decisionsAsked, type Job, type Situation } from '../sheet/situation';
import type { Amount, Answer, Sheet } from '../sheet/types';
import { answerOn } from '../sheet/wishes';

/** One of the two sides of a job, as a job of its own. */
export function jobOfSide({ situation, sheet, coldSides }: Job, side: 1 | 2): Job {
  return {
    situation: { ...situation, sides: 1 },
    sheet: sheetOfSide(situation, sheet, side),
    coldSides: [coldSides[side - 1]!],
  };
}

/** The sheet as it holds on one of two sides; what was asked of both together is half of it on each, as near as can be. */
function sheetOfSide(situation: Situation, sheet: Sheet, side: 1 | 2): Sheet {
  const answers = decisionsAsked(situation).flatMap(({ id }) => {
    const answer = answerOn(sheet, id, side);
    return answer ? [[id, halved(answer)] as const] : [];
  });
  return { ...sheet, answers: Object.fromEntries(answers), secondSide: {} };
}

function halved({ forms }: Answer): Answer {
  return { forms: forms.map((form) => ({ ...form, amount: halfOf(form.amount) })) };
}

function halfOf(amount: Amount): Amount {
  if ((amount.kind === 'packs' || amount.kind === 'pieces') && !amount.eachSide) {
    return { ...amount, count: Math.max(1, Math.round(amount.count / 2)) };
  }
  if (amount.kind === 'weight' && !amount.eachSide) {
    return { ...amount, weight: Math.round(amount.weight / 2) as Weight };
  }
  return amount;
}
