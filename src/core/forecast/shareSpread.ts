import type { Cells } from '../atlas/cells';
import { atomSpreadOfAll, grindSlopes } from './spread';
import type { GrindRules, Uncertainty } from '../species/types';
import type { GrindResult } from './grind';
import type { GivenCut, Pools } from './pools';

/** Standard deviations in thousandths: how single orders scatter, and how sure the usual of their cuts is. */
export type Spread = { readonly scatter: number; readonly usual: number };

/** How far the grind and the whole take-home may lie beside their forecast. */
export type ShareSpread = {
  readonly grind: Spread;
  readonly takeHome: Spread;
  /** What all lines of an animal have more or less together, as a share of each: a fat one gives less of everything. */
  readonly together: number;
};

/**
 * How far the grind and the take-home may lie beside their forecast. The grind follows its trim, atom by atom and hand
 * by hand: what a hand leaves on a cut is missing in the tub, as far as the trim is lean. What it takes off comes back as
 * grind as far as the cut is lean; the rest is lost to the boxes. How fat an animal is it says in all its lines at once.
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
  /** Of each cut, in their order: how sure its usual is, as a share of it. */
  readonly usualSd: readonly number[];
}): ShareSpread {
  const { cells, cuts, pools, grind, rules, uncertainty, usualSd } = input;
  const slopes = grindSlopes(pools, grind.fatUsed, 1 - rules.grinderLossShare);
  const toGrind = new Float64Array(cells.atoms.length);
  for (let atom = 0; atom < cells.atoms.length; atom += 1) {
    toGrind[atom] =
      pools.tub.lean[atom]! * slopes.lean * (1 - rules.sinewShare) +
      pools.tub.attachedFat[atom]! * slopes.attachedFat +
      pools.tub.looseFat[atom]! * slopes.looseFat;
  }
  const toBoxes = toGrind.slice();
  const hands = { grind: 0, boxes: 0, usualGrind: 0, usualBoxes: 0 };
  const ground = grind.parts.reduce((sum, part) => sum + part.packaged, 0);
  let boxes = ground;
  cuts.forEach(({ cut, gives }, at) => {
    for (const [atom, gift] of gives) toBoxes[atom]! += gift;
    boxes += cut.packaged;
    // What a hand leaves on is lean as its trim is; what it takes off, as the cut is.
    for (const lean of [cut.leanShare, leanOf(cut.trim)]) {
      const returned = Math.min(1, lean * slopes.lean);
      const [toTub, lost] = [(cut.packaged * returned) ** 2 / 2, (cut.packaged * (1 - returned)) ** 2 / 2];
      hands.grind += uncertainty.cutCv ** 2 * toTub;
      hands.boxes += uncertainty.cutCv ** 2 * lost;
      hands.usualGrind += usualSd[at]! ** 2 * toTub;
      hands.usualBoxes += usualSd[at]! ** 2 * lost;
    }
  });
  const whole = uncertainty.sideSd * input.coldWeight;
  const together = boxes > 0 ? whole / boxes : 0;
  const ofAtoms = (gives: Float64Array) => atomSpreadOfAll(gives, cells.atomShare, uncertainty);
  return {
    together,
    grind: {
      scatter: Math.hypot(ofAtoms(toGrind), Math.sqrt(hands.grind), together * ground),
      usual: Math.sqrt(hands.usualGrind),
    },
    takeHome: {
      scatter: Math.hypot(ofAtoms(toBoxes), Math.sqrt(hands.boxes), whole),
      usual: Math.sqrt(hands.usualBoxes),
    },
  };
}

/** Lean of what is trimmed off a cut, 0 to 1; what a hand leaves on is of it. */
export function leanOf({ lean, fat }: { readonly lean: number; readonly fat: number }): number {
  return lean + fat > 0 ? lean / (lean + fat) : 0;
}
