import type { Decision, Option, Species } from '../species/types';
import type { Answer } from './types';

/** The answer that has a decision's pieces, so that it is not asked: the whole shoulder has the picnic. */
export type Taker = { readonly decision: Decision; readonly option: Option };

const NOBODY: ReadonlyMap<string, Taker> = new Map();

/**
 * The decisions that another answer of a side takes over, by id. An answer that takes everything goes before those
 * that take a part, and what is taken over takes nothing itself.
 *
 * @param answerTo - the answer that holds on the side
 */
export function takenOver(
  { decisions }: Species,
  answerTo: (decision: string) => Answer | undefined,
): ReadonlyMap<string, Taker> {
  const takers = decisions.flatMap((decision) => {
    const forms = answerTo(decision.id)?.forms ?? [];
    const options = forms.map((form) => decision.options.find((each) => each.id === form.option));
    const option = options.find((each) => each?.takesOver !== undefined);
    return option ? [{ decision, option }] : [];
  });
  if (takers.length === 0) return NOBODY;
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
