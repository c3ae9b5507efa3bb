import type { Cells } from '../atlas/cells';
import type { Holding } from '../sheet/claims';
import { cureChosen, numberParam } from '../sheet/params';
import type { Product, Species, TrimRule } from '../species/types';

/** Tissue weights at full precision, in thousandths of the shop's unit. */
export type TissueWeights = { lean: number; fat: number; bone: number; skin: number };

/** What becomes of a holding under the knife and the saw; full precision, thousandths. */
export type CutYield = {
  readonly trim: TissueWeights;
  /** Part of `trim.bone` that makes stock. */
  readonly stockBone: number;
  readonly kerf: number;
  readonly green: number;
  readonly packaged: number;
};

/** What a side is, as far as cutting it is concerned. Weight in thousandths at full precision. */
export type SideOnTheBlock = {
  readonly species: Species;
  readonly cells: Cells;
  /** Cold weight after cutting shrink. */
  readonly weightLeft: number;
};

const TISSUE_KEYS = ['lean', 'fat', 'bone', 'skin'] as const;

/** Weight of each tissue in the held part of a cell's atom. */
export function tissuesOf(side: SideOnTheBlock, cell: number, fraction: number): TissueWeights {
  const atom = side.cells.atoms[side.cells.atomOf[cell]!]!;
  const mass = (side.weightLeft * side.cells.share[cell]! * fraction) / 100;
  return {
    lean: mass * atom.composition.lean,
    fat: mass * atom.composition.fat,
    bone: mass * atom.composition.bone,
    skin: mass * atom.composition.skin,
  };
}

/**
 * Trims, saws and finishes what a product holds. The order is: cutting shrink (already off the side), trim by
 * tissue, blade loss on what is left, then the finished yield of the cure.
 */
export function cutHolding(side: SideOnTheBlock, holding: Holding): CutYield {
  const { product } = holding.wish;
  const values = holding.form.form.params;
  const cured = cureChosen(product, values) !== undefined;
  const rule = trimRule(product, cured, values);
  const coverOff = coverTakenOff(side.species, product, values);
  const trim: TissueWeights = { lean: 0, fat: 0, bone: 0, skin: 0 };
  let [stockBone, gross] = [0, 0];
  holding.cells.forEach((cell, i) => {
    const atom = side.cells.atoms[side.cells.atomOf[cell]!]!;
    const held = tissuesOf(side, cell, holding.fractions[i]!);
    for (const tissue of TISSUE_KEYS) {
      const share = tissue === 'fat' && atom.cover ? rule.fat + (1 - rule.fat) * coverOff : rule[tissue];
      trim[tissue] += held[tissue] * share;
      gross += held[tissue];
    }
    if (atom.stockBone) stockBone += held.bone * rule.bone;
  });
  const net = gross - (trim.lean + trim.fat + trim.bone + trim.skin);
  const kerf = net * kerfShare(side.species, product, values);
  const green = net - kerf;
  const finished = cured ? product.cure!.finishedYield : product.finishedYield;
  return { trim, stockBone, kerf, green, packaged: green * finished };
}

type Values = Holding['form']['form']['params'];

function trimRule(product: Product, cured: boolean, values: Values): TrimRule {
  const rule = (cured ? product.cure?.trim : undefined) ?? product.trim;
  if (product.skinParam === undefined || cured) return rule;
  return { ...rule, skin: values[product.skinParam] === true ? 0 : 1 };
}

/** Part of the cover fat that comes off because the customer wants less left on than the atlas leaves. */
function coverTakenOff(species: Species, product: Product, values: Values): number {
  if (product.coverParam === undefined) return 0;
  const { coverLeftIn } = species.atlas.reference;
  return Math.max(0, 1 - numberParam(values, product.coverParam, coverLeftIn) / coverLeftIn);
}

/** Share of the net weight that the blade turns to dust; 0 when no saw is used. */
export function kerfShare({ cutting }: Species, product: Product, values: Values): number {
  if (!product.saw) return 0;
  const thicknessIn =
    'param' in product.saw ? numberParam(values, product.saw.param, 1) : product.saw.thicknessIn;
  return (cutting.kerfMassShare * cutting.kerfIn) / (thicknessIn + cutting.kerfIn);
}
