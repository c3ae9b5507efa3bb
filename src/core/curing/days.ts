/** How a piece is cured; strips and slices lie overnight, however thick. Natural sources bring nitrite as well. */
export const CURE_METHODS = ['dry', 'immersed', 'pumped-covered', 'pumped', 'overnight'] as const;
export type CureMethod = (typeof CURE_METHODS)[number];

export const CURE_METHOD_WORDS: Readonly<Record<CureMethod, string>> = {
  dry: 'dry',
  immersed: 'immersed',
  'pumped-covered': 'pumped and covered',
  pumped: 'pumped',
  overnight: 'overnight',
};

/** Figures of the trade: seven days to the inch, salt enters from both faces, and two days to be sure. */
const [DAYS_PER_INCH, SAFETY_DAYS] = [7, 2];
const PUMPED_COVERED_SHARE = 0.6;
const [EVEN_OUT_LEAST, EVEN_OUT_MOST] = [3, 7];

/** The rule goes by the inch, time by its square: it holds for pieces between these. */
export const THICKNESS_IN = { least: 1, most: 6 } as const;

/**
 * Days that a piece stays in its cure, at 36 to 40 F throughout.
 *
 * @param thicknessIn - of its thickest part, inches
 * @throws RangeError when it is thinner or thicker than the rule holds for
 * @example cureDays('dry', 1.75) // => 15
 * @example cureDays('dry', 5) // => 37
 * @example cureDays('pumped', 5) // => 5
 */
export function cureDays(method: CureMethod, thicknessIn: number): number {
  if (method === 'overnight') return 1;
  if (!(thicknessIn >= THICKNESS_IN.least && thicknessIn <= THICKNESS_IN.most)) {
    throw new RangeError(
      `"thicknessIn" expected ${THICKNESS_IN.least} to ${THICKNESS_IN.most} in, got ${thicknessIn}`,
    );
  }
  const soaked = Math.ceil(DAYS_PER_INCH * thicknessIn) + SAFETY_DAYS;
  switch (method) {
    case 'dry':
    case 'immersed':
      return soaked;
    case 'pumped-covered':
      return Math.ceil(PUMPED_COVERED_SHARE * soaked);
    case 'pumped':
      return Math.min(EVEN_OUT_MOST, Math.max(EVEN_OUT_LEAST, Math.ceil(thicknessIn)));
  }
}
