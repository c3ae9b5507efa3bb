/** Closer than this, percent, is as asked. */
const CLOSE_PCT = 1;

/** Separable fat that a batch has too little of, or too much, against what its recipe is best at. */
export type FatBeside = {
  readonly is: 'short' | 'over' | 'as-asked';
  /** To come to it, or to be culled; in the unit of the meat. 0 where it is as asked. */
  readonly fat: number;
};

/**
 * What brings meat of some separable fat to what is asked: `x = M (t - s) / (1 - t)` of fat to come, or as much to cull.
 *
 * @param meat - any one unit of weight
 * @param comesPct - separable fat of the meat as it comes, percent
 * @param askedPct - below 100
 * @example fatBeside({ meat: 25.14, comesPct: 24, askedPct: 30 }).fat.toFixed(1) // => '2.2'
 * @example fatBeside({ meat: 65, comesPct: 20, askedPct: 20 }) // => { is: 'as-asked', fat: 0 }
 */
export function fatBeside({
  meat,
  comesPct,
  askedPct,
}: {
  readonly meat: number;
  readonly comesPct: number;
  readonly askedPct: number;
}): FatBeside {
  const off = askedPct - comesPct;
  if (Math.abs(off) <= CLOSE_PCT) return { is: 'as-asked', fat: 0 };
  return { is: off > 0 ? 'short' : 'over', fat: (meat * Math.abs(off)) / (100 - askedPct) };
}
