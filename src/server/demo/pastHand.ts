import { randomLcg, randomNormal } from 'd3-random';
import { steadyId } from './steady';

/** How far the demo shop's usual lies beside the reference, cut by cut. */
const HAND_SD = 0.035;

/** For the last part of the season the sirloin is trimmed less: somebody new holds the knife. */
const CHANGED_AFTER = 0.6;
const TRIMMED_LESS = 0.07;

/**
 * The hand of the demo's shop: the same for every cut of a name, and a little different from the reference.
 *
 * @param elapsed - how much of the season is over, 0 to 1
 */
export function pastHand(elapsed: number): (ownCut: string) => number {
  return (ownCut) => {
    const seed = Number.parseInt(steadyId(`hand ${ownCut}`).slice(0, 8), 16) / 2 ** 32;
    const usual = HAND_SD * randomNormal.source(randomLcg(seed))(0, 1)();
    return usual + (elapsed > CHANGED_AFTER && ownCut.startsWith('Sirloin') ? TRIMMED_LESS : 0);
  };
}
