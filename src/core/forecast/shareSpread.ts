import type { Cells } from '../atlas/cells';
import { atomSpreadOfAll, grindSlopes } from './spread';
import type { GrindRules, Uncertainty } from '../species/types';
import type { GrindResult } from './grind';
import type { GivenCut, Pools } from './pools';

/** Standard deviations of the grind and of the whole take-home; weights in thousandths. */
export type ShareSpread = { readonly grind: number; readonly takeHome: number };

/**
 * How far the grind and the take-home may lie beside their forecast. The grind follows its trim, atom by atom and hand
 * by hand: what a hand leaves on a cut is missing in the tub. What a hand takes off a cut comes back as grind as far
 * as it is lean; the rest is lost to the boxes.
 */
export function shareSpread(input: {
  readonly cells: Cells;
  readonly cuts: readonly GivenCut[];
  readonly pools: Pools;
  readonly grind: GrindResult;
  readonly rules: GrindRules;
  readonly uncertainty: Uncertainty;
  /** Thousandths. */
  readonly coldWeight: number;
}): ShareSpread {
  const { cells, cuts, pools, grind, rules, uncertainty } = input;
  const slopes = grindSlopes(pools, grind.fatUsed, 1 - rules.grinderLossShare);
  const toGrind = new Float64Array(cells.atoms.length);
  for (let atom = 0; atom < cells.atoms.length; atom += 1) {
    toGrind[atom] =
      pools.tub.lean[atom]! * slopes.lean * (1 - rules.sinewShare) +
      pools.tub.attachedFat[atom]! * slopes.attachedFat +
      pools.tub.looseFat[atom]! * slopes.looseFat;
  }
  const toBoxes = toGrind.slice();
  let [handGrind, handBoxes] = [0, 0];
  for (const { cut, gives } of cuts) {
    for (const [atom, gift] of gives) toBoxes[atom]! += gift;
    const hand = uncertainty.cutCv * cut.packaged;
    const returned = Math.min(1, cut.leanShare * slopes.lean);
    handGrind += (hand * returned) ** 2;
    handBoxes += (hand * (1 - returned)) ** 2;
  }
  return {
    grind: Math.hypot(atomSpreadOfAll(toGrind, cells.atomShare, uncertainty), Math.sqrt(handGrind)),
    takeHome: Math.hypot(
      atomSpreadOfAll(toBoxes, cells.atomShare, uncertainty),
      Math.sqrt(handBoxes),
      uncertainty.sideSd * input.coldWeight,
    ),
  };
}
