import type { SidePosition } from '../order/animal';
import { partName } from '../order/naming';
import type { ShareFile } from '../order/shareFile';
import { coldSides, sheetInForce } from '../order/standing';
import type { Weight } from '../quantity/weight';
import { asCutOf } from './asCutOf';
import { decisionsAsked, optionById, type Job, type Situation } from '../sheet/situation';
import type { Amount, Answer, Sheet } from '../sheet/types';
import { answerOn } from '../sheet/wishes';

export const HAND_IDS = ['left', 'right', 'both'] as const;

/** Which side of a share is in hand; both where the animal is not parted down the middle. */
export type HandId = (typeof HAND_IDS)[number];

/** What is in hand at the block: a side of a share, its quarter, or both sides at once, as a job of its own. */
export type Hand = Job & { readonly id: HandId };

/** What of a share comes to the block one after the other, as it is being cut. */
export function handsOf(file: ShareFile): Hand[] {
  const { situation, sides, animal } = file;
  const cut = asCutOf(file);
  const sheet = sheetInForce(cut);
  const { weights } = coldSides(file);
  // What is done otherwise does not put a side together again, nor part it.
  const isWhole = sides.length > 1 && (animal.unsplit || wantsBothSides(situation, sheetInForce(file)));
  if (isWhole) return [{ id: 'both', situation: cut.situation, sheet, coldSides: weights }];
  return sides.map(({ side }, index) => ({
    id: side.position satisfies SidePosition,
    situation: { ...cut.situation, sides: 1 },
    sheet: sides.length === 1 ? sheet : sheetOfSide(situation, sheet, index === 0 ? 1 : 2),
    coldSides: [weights[index]!],
  }));
}

/** Whether something is wanted that is cut across both sides, so that nobody parts them first. */
function wantsBothSides(situation: Situation, sheet: Sheet): boolean {
  return decisionsAsked(situation).some((decision) =>
    answerOn(sheet, decision.id, 1)?.forms.some(({ option }) => optionById(decision, option).needsBothSides),
  );
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

/** `left side`, `left fore quarter`, `both sides`: what is in hand, in words. */
export function handWords({ share }: Pick<ShareFile, 'share'>, { id, situation }: Hand): string {
  if (situation.part && situation.part !== 'side') return partName({ part: share.part, sharePct: 100 });
  return id === 'both' ? 'both sides' : `${id} side`;
}
