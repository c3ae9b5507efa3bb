import type { CureForm } from './decisionTypes';
import type { Species } from './types';

/** How a line of a plan is cured, as its species says; undefined where the species does not know it any more. */
export function cureFormOf(
  { decisions }: Species,
  line: { readonly decision: string; readonly ownCut: string },
): CureForm | undefined {
  const options = decisions.find(({ id }) => id === line.decision)?.options ?? [];
  return options.flatMap(({ products }) => products).find(({ cure }) => cure?.cut === line.ownCut)?.cure;
}
