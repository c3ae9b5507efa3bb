import { failure, success, type Result } from '../quantity/result';
import { solve } from '../solver/solve';

/** A tub of trim: how lean it is, percent, how much there is, and what a pound costs; any one unit of weight. */
export type TrimBin = { readonly leanPct: number; readonly stock: number; readonly cost?: number };

export type Blend = {
  /** Taken from each bin, in the order given. */
  readonly use: readonly number[];
  readonly leanPct: number;
  readonly cost: number;
};

/**
 * Shares of a leaner and a fatter bin in a batch: a = W (t - b) / (A - b).
 *
 * @throws RangeError when the wish is not between the two bins
 * @example twoBinBlend({ leaner: 90, fatter: 50, wished: 80, batch: 100 }) // => { leaner: 75, fatter: 25 }
 */
export function twoBinBlend(blend: { leaner: number; fatter: number; wished: number; batch: number }): {
  leaner: number;
  fatter: number;
} {
  const { leaner, fatter, wished, batch } = blend;
  if (!(leaner > fatter && wished >= fatter && wished <= leaner)) {
    throw new RangeError(`"wished" expected between ${fatter} and ${leaner}, got ${wished}`);
  }
  const part = (batch * (wished - fatter)) / (leaner - fatter);
  return { leaner: part, fatter: batch - part };
}

/**
 * Fat trim that brings all of a lean bin to the wished lean: y = a (A - t) / (t - b).
 *
 * @example fatterToUse({ leaner: 88, stock: 62, fatter: 55, wished: 80 }).toFixed(2) // => '19.84'
 */
export function fatterToUse(blend: {
  leaner: number;
  stock: number;
  fatter: number;
  wished: number;
}): number {
  const { leaner, stock, fatter, wished } = blend;
  if (!(leaner >= wished && wished > fatter)) {
    throw new RangeError(`"wished" expected above ${fatter} and up to ${leaner}, got ${wished}`);
  }
  return (stock * (leaner - wished)) / (wished - fatter);
}

/**
 * A batch of so much, at least so lean, from any number of bins, at the least cost. Where bins cost nothing, as in
 * custom work, the leanest bins are saved: a pound of lean counts as its cost.
 *
 * @returns the blend, or why there is none
 */
export async function blendBins(
  bins: readonly TrimBin[],
  batch: number,
  leanPct: number,
): Promise<Result<Blend, 'too-little' | 'too-fat'>> {
  const stock = bins.reduce((sum, bin) => sum + bin.stock, 0);
  if (stock < batch) return failure('too-little', `${batch} wanted, ${stock} in the tubs.`);
  const free = bins.every((bin) => bin.cost === undefined || bin.cost === 0);
  const costOf = (bin: TrimBin) => (free ? bin.leanPct : (bin.cost ?? 0));
  const { optimal, values } = await solve(
    [
      'Minimize',
      ` obj: ${bins.map((bin, at) => `${costOf(bin)} x${at}`).join(' + ')}`,
      'Subject To',
      ` batch: ${bins.map((_, at) => `x${at}`).join(' + ')} = ${batch}`,
      ` lean: ${bins.map((bin, at) => `${bin.leanPct} x${at}`).join(' + ')} >= ${leanPct * batch}`,
      'Bounds',
      ...bins.map((bin, at) => ` 0 <= x${at} <= ${bin.stock}`),
      'End',
      '',
    ].join('\n'),
  );
  if (!optimal) {
    return failure(
      'too-fat',
      `The tubs cannot make ${batch} of ${leanPct} % lean: there is too little lean.`,
    );
  }
  const use = bins.map((_, at) => values[`x${at}`] ?? 0);
  const sum = (of: (bin: TrimBin) => number) =>
    bins.reduce((total, bin, at) => total + use[at]! * of(bin), 0);
  return success({ use, leanPct: sum((bin) => bin.leanPct) / batch, cost: sum((bin) => bin.cost ?? 0) });
}
