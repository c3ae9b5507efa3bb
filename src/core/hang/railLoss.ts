import type { Weight } from '../quantity/weight';

/** A carcass loses no more than this between the hot and the cold weight, unless one of them is wrong. */
const MOST_LOST_ON_THE_RAIL = 0.15;

/** What is to be asked of a cold weight that lies far below its hot one; undefined when it may be. */
export function railLossQuestion(hot: Weight, cold: Weight): string | undefined {
  if (cold >= hot * (1 - MOST_LOST_ON_THE_RAIL)) return undefined;
  const lost = Math.round((1 - cold / hot) * 100);
  return `Cold is ${lost} % less than hot, which no rail takes. Are both weights right?`;
}
