import type { Cells } from '../atlas/cells';
import type { Condition } from '../carcass/condition';
import { typeOf } from '../carcass/shiftAtlas';
import type { CutYield } from './cutting';
import type { Pools } from './pools';
import type { Holding } from '../sheet/claims';
import type { Species, Uncertainty } from '../species/types';

/** 10 % of a normal distribution lie below the mean less this many standard deviations, 10 % above it and more. */
export const P90_DEVIATIONS = 1.2816;

/** A measured fatness leaves so much of the scatter that comes of a fatness nobody measured. */
const SCATTER_WHEN_MEASURED = 0.6;

/** How far carcasses of this kind lie beside the figures: more for types that differ, less for what was measured. */
export function uncertaintyOf(species: Species, condition: Condition | undefined): Uncertainty {
  const { uncertainty } = species;
  if (!condition) return uncertainty;
  const spread = typeOf(species, condition)?.spread ?? 1;
  const known = condition.fatness === undefined ? 1 : SCATTER_WHEN_MEASURED;
  return {
    ...uncertainty,
    atomCv: uncertainty.atomCv * spread,
    sideSd: uncertainty.sideSd * spread * known,
  };
}

/**
 * Standard deviation of a sum of atoms when each atom's share of the side may lie beside the atlas, independently,
 * and the shares add up to the side all the same: sqrt(sum of (cv x (c - s x L))^2), with c what the atom gives to
 * the sum, s its share of the side and L the sum. Weights in any one unit.
 *
 * @param gives - what each atom gives to the sum, by index of the cells' atoms
 * @param atomShare - share of the side, by the same index
 */
export function atomSpread(
  gives: ReadonlyMap<number, number>,
  atomShare: Float64Array,
  uncertainty: Uncertainty,
): number {
  const sums = { squares: 0, crossed: 0, total: 0 };
  for (const [atom, gift] of gives) addGift(sums, gift, atomShare[atom]!);
  return spreadOf(sums, atomShare, uncertainty);
}

/** The same of a sum to which every atom gives, by index. */
export function atomSpreadOfAll(
  gives: Float64Array,
  atomShare: Float64Array,
  uncertainty: Uncertainty,
): number {
  const sums = { squares: 0, crossed: 0, total: 0 };
  for (let atom = 0; atom < gives.length; atom += 1) addGift(sums, gives[atom]!, atomShare[atom]!);
  return spreadOf(sums, atomShare, uncertainty);
}

type Sums = { squares: number; crossed: number; total: number };

function addGift(sums: Sums, gift: number, share: number): void {
  sums.squares += gift * gift;
  sums.crossed += share * gift;
  sums.total += gift;
}

function spreadOf(
  { squares, crossed, total }: Sums,
  atomShare: Float64Array,
  { atomCv }: Uncertainty,
): number {
  const variance = squares - 2 * total * crossed + total * total * sumOfSquares(atomShare);
  return atomCv * Math.sqrt(Math.max(0, variance));
}

const squaresOf = new WeakMap<Float64Array, number>();

function sumOfSquares(shares: Float64Array): number {
  const known = squaresOf.get(shares);
  if (known !== undefined) return known;
  const sum = shares.reduce((total, share) => total + share * share, 0);
  squaresOf.set(shares, sum);
  return sum;
}

/** What each atom gives to a packed cut, by index of the cells' atoms. */
export function givesOf(cells: Cells, holding: Holding, cut: CutYield): Map<number, number> {
  const kept = cut.keptByCell.reduce((sum, each) => sum + each, 0);
  const packedShare = kept > 0 ? cut.packaged / kept : 0;
  const gives = new Map<number, number>();
  holding.cells.forEach((cell, i) => {
    const atom = cells.atomOf[cell]!;
    gives.set(atom, (gives.get(atom) ?? 0) + cut.keptByCell[i]! * packedShare);
  });
  return gives;
}

/** Standard deviation of a packed cut: its atoms, and the hand that trims it. */
export function cutSpread(
  { gives, cells, packaged }: { gives: ReadonlyMap<number, number>; cells: Cells; packaged: number },
  uncertainty: Uncertainty,
): number {
  return Math.hypot(atomSpread(gives, cells.atomShare, uncertainty), uncertainty.cutCv * packaged);
}

/** How the grind follows its trim: what a pound more of lean, attached and loose fat adds to it. */
export type GrindSlopes = { readonly lean: number; readonly attachedFat: number; readonly looseFat: number };

/**
 * The slopes of the grind where it stands: the loose fat follows the lean while there is enough of it, and all of it
 * is used when there is not.
 */
export function grindSlopes(pools: Pools, fatUsed: number, groundShare: number): GrindSlopes {
  const { lean, attachedFat, looseFat } = pools;
  const looseUsed = fatUsed - attachedFat;
  const all = looseUsed >= looseFat - 1e-6;
  const none = looseUsed <= 1e-6;
  if (all) return { lean: groundShare, attachedFat: groundShare, looseFat: groundShare };
  if (none) return { lean: groundShare, attachedFat: groundShare, looseFat: 0 };
  return { lean: groundShare * (1 + fatUsed / lean), attachedFat: 0, looseFat: 0 };
}
