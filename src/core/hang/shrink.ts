import type { Weight } from '../quantity/weight';
import type { Condition } from '../carcass/condition';
import type { ShrinkCurve, Species } from '../species/types';
import type { Working } from '../working/working';

/** What decides by which curve a carcass dries; whether it hangs covered is absent where nobody has said. */
export type Drying = Pick<Condition, 'skinned' | 'thinCover'> & {
  readonly covered?: boolean;
  /** What this shop's sides lose against the table, as a natural logarithm, by how they hang; the table alone when absent. */
  readonly learnt?: Readonly<Record<string, { readonly logRatio: number }>>;
};

/**
 * The curve by which a carcass dries: its species' usual one, unless it was skinned, is thinly covered, or hangs
 * otherwise; as fast as this shop's cooler has dried the like.
 */
export function shrinkCurveOf(
  { shrink }: Pick<Species, 'shrink'>,
  { skinned, thinCover, covered, learnt }: Drying = {},
): ShrinkCurve {
  const curve =
    (skinned && shrink.find((each) => each.skinned)) ||
    (thinCover && shrink.find((each) => each.thinCover)) ||
    shrink.find((each) => covered !== undefined && each.covered === covered) ||
    shrink[0]!;
  const own = learnt?.[curve.covering];
  if (!own) return curve;
  const times = Math.exp(own.logRatio);
  return {
    ...curve,
    firstDay: Math.min(1, curve.firstDay * times),
    daysTwoToSeven: Math.min(1, curve.daysTwoToSeven * times),
    later: Math.min(1, curve.later * times),
  };
}

/**
 * Share of the hot weight that is left after hanging; each day takes its part of what the day before left.
 *
 * @param days - whole days since the hot weight; 0 is the day of slaughter
 * @example keptShare({ covering: 'open', firstDay: 0.02, daysTwoToSeven: 0.005, later: 0.0025 }, 0) // => 1
 */
export function keptShare(curve: ShrinkCurve, days: number): number {
  if (days <= 0) return 1;
  const toSeven = Math.min(days, 7) - 1;
  const later = Math.max(0, days - 7);
  return (1 - curve.firstDay) * (1 - curve.daysTwoToSeven) ** toSeven * (1 - curve.later) ** later;
}

/** The cold weight to expect, rounded to the thousandth. */
export function expectedCold(curve: ShrinkCurve, hot: Weight, days: number): Weight {
  return Math.round(hot * keptShare(curve, days)) as Weight;
}

/** Shrink as a share of the hot weight, in percent. Above zero when weight was lost. */
export function shrinkPct(hot: Weight, cold: Weight): number {
  return hot > 0 ? (100 * (hot - cold)) / hot : 0;
}

/** How the expected shrink comes about. */
export function shrinkWorking(curve: ShrinkCurve, days: number): Working {
  const percent = (share: number) => `${(share * 100).toFixed(1)} %`;
  return {
    title: 'Expected shrink',
    formula:
      'Each day takes its part of what the day before left: the first day, days 2 to 7, then each day after.',
    inputs: [
      { label: `first 24 hours (${curve.covering})`, value: percent(curve.firstDay) },
      { label: 'each day, 2 to 7', value: percent(curve.daysTwoToSeven) },
      { label: 'each day after', value: percent(curve.later) },
      { label: 'days hung', value: String(days) },
      { label: 'lost in all', value: percent(1 - keptShare(curve, days)) },
    ],
    source: 'Reference shrink table of the species; docs/figures.md.',
  };
}
