/**
 * Classes of what is cured, by which the ingoing nitrite is limited. The figures are usual ones, no law: a shop sets its
 * own, and its plan, the inspector and local code stand above both.
 */
export const CURE_CLASSES = [
  'bacon-pumped',
  'bacon-immersed',
  'bacon-dry',
  'ham',
  'ground',
  'long-dry',
] as const;
export type CureClass = (typeof CURE_CLASSES)[number];

export const CURE_CLASS_WORDS: Readonly<Record<CureClass, string>> = {
  'bacon-pumped': 'bacon, pumped',
  'bacon-immersed': 'bacon, immersed',
  'bacon-dry': 'bacon, dry cured',
  ham: 'ham and other pumped or immersed cuts',
  ground: 'ground meat, sausage, strips',
  'long-dry': 'dry cured for long',
};

/** The most nitrite of each class, ppm ingoing, and whether figures are compared unrounded. */
export type NitriteRules = {
  readonly ppm: Readonly<Record<CureClass, number>>;
  /** Compares unrounded: 156.25 is over 156. */
  readonly strict: boolean;
  /** Under this, what keeps by its nitrite may not keep: a warning. */
  readonly warnUnder: number;
};

/** Usual figures of the trade for ingoing sodium nitrite. */
export const USUAL_NITRITE: NitriteRules = {
  ppm: {
    'bacon-pumped': 120,
    'bacon-immersed': 120,
    'bacon-dry': 200,
    ham: 200,
    ground: 156,
    'long-dry': 625,
  },
  strict: false,
  warnUnder: 120,
};

/** Skin takes up no cure: bacon with its skin on may have a tenth less. */
const SKIN_ON = 0.9;

/** Whether a class is bacon, which has limits of its own. */
export function isBaconClass(of: CureClass): boolean {
  return of === 'bacon-pumped' || of === 'bacon-immersed' || of === 'bacon-dry';
}

export function limitOf({ ppm }: NitriteRules, of: CureClass, skinOn = false): number {
  return skinOn && isBaconClass(of) ? Math.floor(ppm[of] * SKIN_ON) : ppm[of];
}

/** What is to be said of an ingoing nitrite; `over` is refused, whoever asks. */
export type NitriteVerdict = 'none' | 'low' | 'good' | 'over';

/**
 * @param ppm - ingoing
 * @example verdictOf({ ppm: { ground: 156 }, strict: false, warnUnder: 120 }, 156.25, 156) // => 'good'
 * @example verdictOf({ ppm: { ground: 156 }, strict: true, warnUnder: 120 }, 156.25, 156) // => 'over'
 */
export function verdictOf(rules: NitriteRules, ppm: number, limit: number): NitriteVerdict {
  if (ppm <= 0) return 'none';
  const compared = rules.strict ? ppm : Math.round(ppm);
  if (compared > limit) return 'over';
  return ppm < rules.warnUnder ? 'low' : 'good';
}
