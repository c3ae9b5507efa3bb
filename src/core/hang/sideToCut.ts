import { convertUnits, weight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { Condition } from '../carcass/condition';
import type { Species } from '../species/types';
import { expectedCold, shrinkCurveOf, type Drying } from './shrink';

/** What a side's cold weight stands on: weighed cold, expected from the hot weight, or a usual side. */
export type WeightBasis = 'cold' | 'hot' | 'usual';

export type SideToCut = { readonly weight: Weight; readonly basis: WeightBasis };

/**
 * The cold weight to cut a side by: as weighed; else what its hot weight leaves after its days on the rail; else the
 * species' reference side.
 *
 * @param condition - days on the rail, as long as the species usually hangs when nobody says; and what decides how it dries
 */
export function sideToCut(
  species: Species,
  unit: WeighingUnit,
  weighed: { readonly hot?: Weight | undefined; readonly cold?: Weight | undefined },
  condition?: Pick<Condition, 'daysHung'> & Drying,
): SideToCut {
  if (weighed.cold !== undefined) return { weight: weighed.cold, basis: 'cold' };
  if (weighed.hot !== undefined) {
    const days = condition?.daysHung ?? species.hang.targetDays;
    return { weight: expectedCold(shrinkCurveOf(species, condition), weighed.hot, days), basis: 'hot' };
  }
  return { weight: weight(convertUnits(species.atlas.reference.sideLb, 'lb', unit)), basis: 'usual' };
}

/** The least certain of several bases: a share is only as sure as its least sure side. */
export function leastCertain(bases: readonly WeightBasis[]): WeightBasis {
  return (['usual', 'hot'] as const).find((basis) => bases.includes(basis)) ?? 'cold';
}
