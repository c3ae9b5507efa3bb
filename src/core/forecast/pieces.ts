import type { Cells } from '../atlas/cells';
import { convertUnits, inUnits, weight, type WeighingUnit } from '../quantity/weight';
import type { Holding } from '../sheet/claims';
import { numberParam, weightParam } from '../sheet/params';
import type { Species } from '../species/types';

/** Guards divisions that should come out whole against floating-point dust. */
const ROUNDING_DUST = 1e-9;

/**
 * Slices in a run of meat: n = floor((length - end loss + kerf) / (thickness + kerf)).
 *
 * @param lengthIn - the run, inches
 * @param thicknessIn - of one slice, inches, above 0
 * @param kerfIn - blade width in inches; 0 with a knife
 * @param endLossIn - squared off the ends, inches
 * @example slicesIn({ lengthIn: 18.3, thicknessIn: 1, kerfIn: 0.035, endLossIn: 0.25 }) // => 17
 * @example slicesIn({ lengthIn: 18.3, thicknessIn: 1, kerfIn: 0, endLossIn: 0.25 }) // => 18
 */
export function slicesIn(run: {
  lengthIn: number;
  thicknessIn: number;
  kerfIn: number;
  endLossIn: number;
}): number {
  const room = run.lengthIn - run.endLossIn + run.kerfIn;
  return Math.max(0, Math.floor(room / (run.thicknessIn + run.kerfIn) + ROUNDING_DUST));
}

/** Inches of a run that a holding has, at this side's size. Lengths grow with the cube root of the weight. */
export function heldLength(
  run: readonly string[],
  holding: Holding,
  cells: Cells,
  lengthScale: number,
): number {
  const lengthPerCell = new Map<number, number>();
  for (const id of run) {
    const first = cells.firstCell.get(id)!;
    const count = cells.cellCount.get(id)!;
    const length = cells.atoms[cells.atomOf[first]!]!.lengthIn ?? 0;
    for (let cell = first; cell < first + count; cell += 1) lengthPerCell.set(cell, length / count);
  }
  return holding.cells.reduce(
    (sum, cell, i) => sum + (lengthPerCell.get(cell) ?? 0) * holding.fractions[i]! * lengthScale,
    0,
  );
}

export type PieceContext = {
  readonly species: Species;
  readonly cells: Cells;
  readonly unit: WeighingUnit;
  readonly lengthScale: number;
};

/**
 * Pieces that a holding is cut into on one side; null where nobody counts them.
 *
 * @param packaged - thousandths of the shop's unit
 */
export function piecesOf(context: PieceContext, holding: Holding, packaged: number): number | null {
  if (packaged <= 0) return 0;
  const { product } = holding.wish;
  const values = holding.form.form.params;
  const rule = product.pieces;
  switch (rule.kind) {
    case 'uncounted':
      return null;
    case 'fixed':
      return rule.count;
    case 'each': {
      const each = convertUnits(rule.eachLb, 'lb', context.unit);
      return Math.max(1, Math.round(packaged / weight(each)));
    }
    case 'roasts':
      return Math.max(1, Math.round(packaged / weightParam(values, rule.weight)));
    case 'discs':
      return holding.cells.reduce((count, cell, i) => {
        const atom = context.cells.atoms[context.cells.atomOf[cell]!]!;
        return rule.run.includes(atom.id) && holding.fractions[i]! > 0.5 ? count + 1 : count;
      }, 0);
    case 'slices':
      return Math.max(
        1,
        slicesIn({
          lengthIn: heldLength(rule.run, holding, context.cells, context.lengthScale),
          thicknessIn: numberParam(values, rule.thickness, 1),
          kerfIn: product.saw ? context.species.cutting.kerfIn : 0,
          endLossIn: context.species.cutting.endLossIn,
        }),
      );
  }
}

/**
 * Packs of a weight each; the last may be lighter.
 *
 * @param packaged - thousandths
 * @param packWeight - thousandths, above 0
 * @example packsByWeight(9560, 1000) // => 10
 */
export function packsByWeight(packaged: number, packWeight: number): number {
  return packaged <= 0 ? 0 : Math.ceil(packaged / packWeight - ROUNDING_DUST);
}

/** Edge of a side's lengths against the reference side: the cube root of the weight ratio. */
export function lengthScaleOf(species: Species, coldWeight: number, unit: WeighingUnit): number {
  const lb = convertUnits(inUnits(coldWeight as never), unit, 'lb');
  return Math.cbrt(lb / species.atlas.reference.sideLb);
}
