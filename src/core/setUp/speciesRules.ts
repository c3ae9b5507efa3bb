import { USUAL_MONTHS } from '../label/label';
import type { Species } from '../species/types';
import type { SpeciesRules } from './types';

/** A side of more pounds is nobody's; it stands for no limit. */
const NO_LIMIT_LB = 2000;

/** The figures of a species as they hold in a shop, whether it has set them or not. */
export function rulesOf({ hang, limits, grind, tolerance, usual, months }: Species): SpeciesRules {
  return {
    targetDays: hang.targetDays,
    longestDays: hang.longestDays,
    lightLb: limits?.lightLb ?? 0,
    heavyLb: Math.min(NO_LIMIT_LB, limits?.heavyLb ?? NO_LIMIT_LB),
    minBatchLb: grind.minBatchLb.default,
    kindsPerHalf: grind.kindsPerHalf,
    anotherKindFromLb: grind.anotherKindFromLb ?? 0,
    grindFatPct: grind.fatPct.default,
    grindPackLb: grind.packLb.default,
    tolerancePct: Math.round(tolerance.lineShare * 100),
    school: usual?.school ?? '',
    months: months ?? USUAL_MONTHS,
  };
}
