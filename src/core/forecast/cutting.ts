import type { Cells } from '../atlas/cells';
import type { Holding } from '../sheet/claims';
import { cureChosen, numberParam } from '../sheet/params';
import type { CarcassType, CuttingRules, Product, Species, TrimRule } from '../species/types';

/** Tissue weights at full precision, in thousandths of the shop's unit. */
export type TissueWeights = { lean: number; fat: number; bone: number; skin: number };

/** What becomes of a holding under the knife and the saw; full precision, thousandths. */
export type CutYield = {
  readonly trim: TissueWeights;
  /** Part of `trim.bone` that makes stock. */
  readonly stockBone: number;
  /** What is kept of each held cell after the knife, before the saw. */
  readonly keptByCell: readonly number[];
  /** Part of what is kept that is lean. */
  readonly leanShare: number;
  /** Part that is bone. */
  readonly boneShare: number;
  readonly kerf: number;
  readonly green: number;
  /** Lost by the packed pounds to drip and air. */
  readonly airLoss: number;
  readonly packaged: number;
};

/** What a side is, as far as cutting it is concerned. Weight in thousandths at full precision. */
export type SideOnTheBlock = {
  readonly species: Species;
  readonly type: CarcassType | undefined;
  readonly cells: Cells;
  /** Cold weight after cutting shrink. */
  readonly weightLeft: number;
};

/**
 * Trims, saws and finishes what a product holds. The order is the same for every species: cutting shrink (already off
 * the side), what boning leaves on the bone, trim by tissue, blade loss on what is left, the finished yield of the
 * cure, and what a packed pound loses to the air.
 */
export function cutHolding(side: SideOnTheBlock, holding: Holding): CutYield {
  const { cells, species } = side;
  const { product } = holding.wish;
  const values = holding.form.form.params;
  const cured = cureChosen(product, values) !== undefined;
  const rule = trimRule(product, cured, values);
  const shift = coverShift(species.cutting, product, values) + (side.type?.coverShift ?? 0);
  const residue = product.boned ? species.cutting.boningResidue : undefined;
  const trim: TissueWeights = { lean: 0, fat: 0, bone: 0, skin: 0 };
  const keptByCell: number[] = [];
  let [stockBone, gross, keptLean, keptBone] = [0, 0, 0, 0];
  for (let i = 0; i < holding.cells.length; i += 1) {
    const cell = holding.cells[i]!;
    const own = holding.trims[i] ? { ...rule, ...holding.trims[i] } : rule;
    const mass = side.weightLeft * holding.fractions[i]!;
    let lean = mass * cells.lean[cell]!;
    let fat = mass * cells.fat[cell]!;
    const bone = mass * cells.bone[cell]!;
    const skin = mass * cells.skin[cell]!;
    const whole = lean + fat + bone + skin;
    gross += whole;
    const before = trim.lean + trim.fat + trim.bone + trim.skin;
    if (residue) {
      trim.bone += lean * residue.lean + fat * residue.fat;
      lean *= 1 - residue.lean;
      fat *= 1 - residue.fat;
    }
    trim.lean += lean * own.lean;
    trim.fat += fat * (cells.cover[cell] ? Math.min(1, Math.max(0, own.fat + shift)) : own.fat);
    trim.bone += bone * own.bone;
    trim.skin += skin * own.skin;
    if (cells.atoms[cells.atomOf[cell]!]!.stockBone) stockBone += bone * own.bone;
    keptLean += lean * (1 - own.lean);
    keptBone += bone * (1 - own.bone);
    keptByCell.push(whole - (trim.lean + trim.fat + trim.bone + trim.skin - before));
  }
  const net = gross - (trim.lean + trim.fat + trim.bone + trim.skin);
  const kerf = net * kerfShare(species.cutting, product, values);
  const green = net - kerf;
  const finished = green * (cured ? product.cure!.finishedYield : product.finishedYield);
  const airLoss = finished * species.cutting.packShrinkShare;
  const packaged = finished - airLoss;
  const leanShare = net > 0 ? keptLean / net : 0;
  const boneShare = net > 0 ? keptBone / net : 0;
  return { trim, stockBone, keptByCell, leanShare, boneShare, kerf, green, airLoss, packaged };
}

type Values = Holding['form']['form']['params'];

function trimRule(product: Product, cured: boolean, values: Values): TrimRule {
  const rule = (cured ? product.cure?.trim : undefined) ?? product.trim;
  if (product.skinParam === undefined || cured) return rule;
  return { ...rule, skin: values[product.skinParam] === true ? 0 : 1 };
}

/** What a wish for more or less fat left on adds to the share of cover fat taken off; 0 at the usual. */
function coverShift({ coverShift: points }: CuttingRules, product: Product, values: Values): number {
  if (product.coverParam === undefined || points.length === 0) return 0;
  const inches = numberParam(values, product.coverParam, Number.NaN);
  if (Number.isNaN(inches)) return 0;
  const after = points.findIndex(([at]) => at >= inches);
  if (after === -1) return points.at(-1)![1];
  if (after === 0) return points[0]![1];
  const [x0, y0] = points[after - 1]!;
  const [x1, y1] = points[after]!;
  return y0 + ((inches - x0) / (x1 - x0)) * (y1 - y0);
}

/**
 * Share of the net weight that the blade turns to dust; 0 when no saw is used. A slice loses the blade's width in
 * its thickness, of which `kerfMassShare` is really gone; where the cut has no one thickness, its rule says a share.
 */
export function kerfShare(cutting: CuttingRules, product: Product, values: Values): number {
  const { saw } = product;
  if (!saw) return 0;
  if ('dustShare' in saw) return saw.dustShare;
  const thicknessIn = 'param' in saw ? numberParam(values, saw.param, 1) : saw.thicknessIn;
  return (cutting.kerfMassShare * cutting.kerfIn) / (thicknessIn + cutting.kerfIn);
}
