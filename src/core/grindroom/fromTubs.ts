import type { Weight } from '../quantity/weight';
import { blendBins } from './blend';
import { fatBeside, type FatBeside } from './fatBeside';
import { leanOf, type Grade, type Tub } from './tubs';

/** What to take of which tub for what is still to come into a batch. */
export type FromTubs = {
  /** The leanest first; tubs of which nothing is taken as well. */
  readonly use: readonly { readonly grade: Grade; readonly take: Weight }[];
  /** Of the whole batch, with what is in it already; percent. */
  readonly leanPct: number;
  /** What then still is short or to cull: no tub has it. */
  readonly beside: FatBeside;
};

type Asked = {
  /** Meat of the whole batch. */
  readonly planned: Weight;
  readonly askedFatPct: number;
  readonly inBatch: readonly { readonly grade: Grade; readonly net: Weight }[];
  /** Lean of trim that nobody has parted, percent. */
  readonly asItComes: number;
};

/**
 * The exact blend of a share's own tubs: as lean as asked with as little of the lean as can be, so that lean is left for
 * what comes after. Where the tubs have less than planned all is taken; where they are too fat, the leanest of them, and
 * what is to be culled is said.
 *
 * @param tubs - the leanest first
 */
export async function fromTubs(
  tubs: readonly Tub[],
  { planned, askedFatPct, inBatch, asItComes }: Asked,
): Promise<FromTubs> {
  const bins = tubs.map(({ grade, leanPct, left }) => ({ grade, leanPct, stock: Math.max(0, left) }));
  const stock = bins.reduce((sum, bin) => sum + bin.stock, 0);
  const inIt = inBatch.reduce((sum, { net }) => sum + net, 0);
  const leanInIt = inBatch.reduce((sum, { grade, net }) => sum + net * leanOf(grade, asItComes), 0);
  const wanted = Math.min(stock, Math.max(0, planned - inIt));
  const askedPct = wanted === 0 ? 0 : ((100 - askedFatPct) * (inIt + wanted) - leanInIt) / wanted;
  const blend = wanted === 0 ? undefined : await blendBins(bins, wanted, Math.max(0, askedPct));
  const takes = blend?.ok ? blend.value.use : leanestFirst(bins, wanted);
  const use = bins.map(({ grade }, at) => ({ grade, take: Math.round(takes[at]!) as Weight }));
  const whole = inIt + wanted;
  const lean = leanInIt + bins.reduce((sum, { leanPct }, at) => sum + takes[at]! * leanPct, 0);
  const leanPct = whole === 0 ? 0 : lean / whole;
  return {
    use,
    leanPct,
    beside: fatBeside({ meat: whole, comesPct: 100 - leanPct, askedPct: askedFatPct }),
  };
}

function leanestFirst(bins: readonly { readonly stock: number }[], wanted: number): number[] {
  let left = wanted;
  return bins.map(({ stock }) => {
    const take = Math.min(stock, left);
    left -= take;
    return take;
  });
}
