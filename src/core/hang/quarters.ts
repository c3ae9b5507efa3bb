import { sumWeights, type Weight } from '../quantity/weight';
import type { Quarter } from '../species/types';

export const QUARTERS = ['fore', 'hind'] as const satisfies readonly Quarter[];

/** What a quarter weighed, less its hook. */
export type QuarterNet = {
  readonly quarter: Quarter;
  readonly kind: 'hot' | 'cold';
  readonly net: Weight;
};

/** Both quarters of a side as they were last weighed. */
export type Quartered = Readonly<Record<Quarter, Weight>>;

/**
 * The quarters of a side where both were weighed the same way; cold ones go before hot ones.
 *
 * @param weighed - in the order it was
 */
export function quarteredOf(weighed: readonly QuarterNet[]): Quartered | null {
  for (const kind of ['cold', 'hot'] as const) {
    const last = (quarter: Quarter) =>
      weighed.findLast((each) => each.quarter === quarter && each.kind === kind)?.net;
    const [fore, hind] = [last('fore'), last('hind')];
    if (fore !== undefined && hind !== undefined) return { fore, hind };
  }
  return null;
}

/** The fore quarter's part of a side's weight, by what both quarters weighed; the hind has the rest. */
export function foreOf(side: Weight, { fore, hind }: Quartered): Weight {
  return Math.round((side * fore) / sumWeights([fore, hind])) as Weight;
}
