import { carcassOfSides } from '../order/carcassOfSides';
import { partName } from '../order/naming';
import type { ShareFile } from '../order/shareFile';
import { jobOf, sheetInForce } from '../order/standing';
import { asCutOf, withDeviations } from './asCutOf';
import { jobOfSide } from './ofSide';
import { decisionsAsked, optionById, type Job, type Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import { answerOn } from '../sheet/wishes';

export const HAND_IDS = ['left', 'right', 'both'] as const;

/** Which side of a share is in hand; both where the animal is not parted down the middle. */
export type HandId = (typeof HAND_IDS)[number];

/** What is in hand at the block: a side of a share, its quarter, or both sides at once, as a job of its own. */
export type Hand = Job & { readonly id: HandId };

/** What of a share comes to the block one after the other, as it is being cut. */
export function handsOf(file: ShareFile): Hand[] {
  const { situation, sides, animal } = file;
  // What is done otherwise does not put a side together again, nor part it.
  const isWhole = sides.length > 1 && (animal.unsplit || wantsBothSides(situation, sheetInForce(file)));
  if (isWhole) return [{ id: 'both', ...jobOf(asCutOf(file)) }];
  return sides.map((_, index) => handOfSide(file, index));
}

/** One side with what was found on it and done otherwise at it; what is of the other side is none of its. */
function handOfSide(file: ShareFile, index: number): Hand {
  const { shop, animal, sides, situation } = file;
  const hung = sides[index]!;
  const { position } = hung.side;
  const job = sides.length === 1 ? jobOf(file) : jobOfSide(jobOf(file), index === 0 ? 1 : 2);
  const carcass = carcassOfSides(situation.species, { shop, animal, sides: [hung] });
  const own = file.deviations.filter(({ hand }) => hand === position);
  const found = { ...job, situation: { ...job.situation, ...carcass } };
  return { id: position, ...withDeviations(found, own, [position]) };
}

/** Whether something is wanted that is cut across both sides, so that nobody parts them first. */
function wantsBothSides(situation: Situation, sheet: Sheet): boolean {
  return decisionsAsked(situation).some((decision) =>
    answerOn(sheet, decision.id, 1)?.forms.some(({ option }) => optionById(decision, option).needsBothSides),
  );
}

/** `left side`, `left fore quarter`, `both sides`: what is in hand, in words. */
export function handWords({ share }: Pick<ShareFile, 'share'>, { id, situation }: Hand): string {
  if (situation.part && situation.part !== 'side') return partName({ part: share.part, sharePct: 100 });
  return id === 'both' ? 'both sides' : `${id} side`;
}
