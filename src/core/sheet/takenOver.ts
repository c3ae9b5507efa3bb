import type { Decision, Option, Species } from '../species/types';
import type { Answer } from './types';

/** The answer that has a decision's pieces, so that it is not asked: the whole shoulder has the picnic. */
export type Taker = { readonly decision: Decision; readonly option: Option };

const NOBODY: ReadonlyMap<string, Taker> = new Map();

const ofSpecies = new WeakMap<Species, readonly Taker[]>();

/** The answers of a species that take others over, in the cutter's order; few have one, and they are asked often. */
function takersOf(species: Species): readonly Taker[] {
  const known = ofSpecies.get(species);
  if (known) return known;
  const takers = species.decisions.flatMap((decision) =>
    decision.options.filter((option) => option.takesOver).map((option) => ({ decision, option })),
  );
  ofSpecies.set(species, takers);
  return takers;
}

/**
 * The decisions that another answer of a side takes over, by id. An answer that takes everything goes before those
 * that take a part, and what is taken over takes nothing itself.
 *
 * @param answerTo - the answer that holds on the side
 */
export function takenOver(
  species: Species,
  answerTo: (decision: string) => Answer | undefined,
): ReadonlyMap<string, Taker> {
  const takers = takersOf(species).filter(({ decision, option }) =>
    answerTo(decision.id)?.forms.some((form) => form.option === option.id),
  );
  if (takers.length === 0) return NOBODY;
  const { decisions } = species;
  const taken = new Map<string, Taker>();
  const takesAll = ({ option }: Taker) => option.takesOver!.includes('*');
  for (const taker of [...takers.filter(takesAll), ...takers]) {
    if (taken.has(taker.decision.id)) continue;
    for (const { id } of decisions) {
      const wanted = takesAll(taker) || taker.option.takesOver!.includes(id);
      if (wanted && id !== taker.decision.id && !taken.has(id)) taken.set(id, taker);
    }
  }
  return taken;
}

/** Where the pieces of a decision that is not asked have gone, in words. */
export function takenWords({ option }: Taker): string {
  return `with the ${option.label.toLowerCase()}`;
}
