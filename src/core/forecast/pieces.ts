import { indexOfVertebra, type Cells } from '../atlas/cells';
import { convertUnits, weight, type WeighingUnit } from '../quantity/weight';
import type { Holding } from '../sheet/claims';
import { numberParam, weightParam } from '../sheet/params';
import type { ProductWish } from '../sheet/wishes';
import type { PieceRule, Species } from '../species/types';

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

/** The run of meat that a holding has, fore to hind, at this side's size. */
export type HeldRun = {
  readonly lengthIn: number;
  /** Each held cell of the run with its vertebra and its inches; cells without a vertebra have -1. */
  readonly cells: readonly { readonly vertebra: number; readonly lengthIn: number }[];
};

/** The run that a piece rule slices, as far as it is held. Lengths grow with the cube root of the weight. */
export function heldRun(
  rule: { readonly run: readonly string[]; readonly lengthIn?: number },
  holding: Holding,
  { cells, lengthScale }: Pick<PieceContext, 'cells' | 'lengthScale'>,
): HeldRun {
  const scale = lengthScale * usablePart(rule, cells);
  const held: { vertebra: number; lengthIn: number }[] = [];
  let sum = 0;
  for (let i = 0; i < holding.cells.length; i += 1) {
    const cell = holding.cells[i]!;
    if (!rule.run.includes(cells.atoms[cells.atomOf[cell]!]!.id)) continue;
    const lengthIn = cells.lengthIn[cell]! * holding.fractions[i]! * scale;
    held.push({ vertebra: cells.vertebraOf[cell]!, lengthIn });
    sum += lengthIn;
  }
  held.sort((a, b) => a.vertebra - b.vertebra);
  return { lengthIn: sum, cells: held };
}

/** Inches of the run that a product would have if it held its whole zone. */
export function wholeRunOf(
  rule: { readonly run: readonly string[]; readonly lengthIn?: number },
  wish: ProductWish,
  { cells, lengthScale }: Pick<PieceContext, 'cells' | 'lengthScale'>,
): number {
  let sum = 0;
  for (const claim of wish.claims) {
    for (const cell of claim.cells) {
      if (!rule.run.includes(cells.atoms[cells.atomOf[cell]!]!.id)) continue;
      sum += cells.lengthIn[cell]! * claim.share * cells.sound[cell]!;
    }
  }
  return sum * lengthScale * usablePart(rule, cells);
}

/** Part of a run that can be sliced, where the rule says fewer inches than there are. */
function usablePart({ run, lengthIn }: { run: readonly string[]; lengthIn?: number }, cells: Cells): number {
  if (lengthIn === undefined) return 1;
  const whole = run.reduce((sum, id) => sum + lengthOf(cells, id), 0);
  return whole === 0 ? 1 : lengthIn / whole;
}

function lengthOf(cells: Cells, atom: string): number {
  return (cells.cellsOfAtom.get(atom) ?? []).reduce((sum, cell) => sum + cells.lengthIn[cell]!, 0);
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
      return product.lastRibs ? ribRoastsOf(context, holding, rule.count) : rule.count;
    case 'each': {
      const each = convertUnits(rule.eachLb, 'lb', context.unit);
      return Math.max(1, Math.round(packaged / weight(each)));
    }
    case 'roasts':
      return Math.max(1, Math.round(packaged / weightParam(values, rule.weight)));
    case 'discs':
      return discsOf(rule, holding, context);
    case 'slices': {
      const beside = rule.alongside ? slicesOf(context, holding, { ...rule, run: rule.alongside }).slices : 0;
      const slices = slicesOf(context, holding, rule).slices + beside;
      return Math.max(1, Math.round(slices * numberParam(values, rule.parts ?? '', 1)));
    }
  }
}

/** One roast of all its ribs, or as many as were asked of so many ribs each. */
function ribRoastsOf({ cells }: PieceContext, { wish, form, cells: held }: Holding, count: number): number {
  const { amount, params } = form.form;
  if (amount.kind !== 'pieces' && amount.kind !== 'packs') return count;
  const ribs = new Set(held.map((cell) => cells.vertebraOf[cell]!)).size;
  return Math.max(1, Math.round(ribs / numberParam(params, wish.product.lastRibs!.param, ribs)));
}

type DiscRule = Extract<PieceRule, { kind: 'discs' }>;
type SliceRule = Extract<PieceRule, { kind: 'slices' }>;

/** Whole vertebrae of a run that are held, so many to a piece; the last piece may have fewer. */
function discsOf(rule: DiscRule, holding: Holding, { cells }: PieceContext): number {
  const bones = Math.max(1, bonesOf(rule, holding, cells));
  return Math.ceil(bones / numberParam(holding.form.form.params, rule.perPiece ?? '', 1));
}

/** Vertebrae of a run that are held: of a part of a zone, as many as its share of all of them comes to. */
export function bonesOf({ run }: DiscRule, { cells: held, fractions }: Holding, cells: Cells): number {
  const isOfRun = (cell: number) => run.includes(cells.atoms[cells.atomOf[cell]!]!.id);
  return Math.round(held.reduce((sum, cell, i) => (isOfRun(cell) ? sum + fractions[i]! : sum), 0));
}

/**
 * Slices of a held run with the measures they were counted by, inches. The end of a run is lost once: a part of a zone
 * has its part of the slices that the whole run gives.
 */
function slicesOf({ species, cells, lengthScale }: PieceContext, holding: Holding, rule: SliceRule) {
  const { product } = holding.wish;
  const { cutting } = species;
  const run = heldRun(rule, holding, { cells, lengthScale });
  const thicknessIn = numberParam(holding.form.form.params, rule.thickness, 1);
  const kerfIn = product.saw ? cutting.kerfIn : 0;
  const endLossIn = rule.endLossIn ?? cutting.endLossIn;
  const wholeIn = holding.divided ? wholeRunOf(rule, holding.wish, { cells, lengthScale }) : run.lengthIn;
  const full = slicesIn({ lengthIn: wholeIn, thicknessIn, kerfIn, endLossIn });
  const restIn = wholeIn - endLossIn - full * (thicknessIn + kerfIn);
  const thin = cutting.thinEndShare !== undefined && restIn >= cutting.thinEndShare * thicknessIn ? 1 : 0;
  const part = wholeIn > 0 ? run.lengthIn / wholeIn : 0;
  const slices = holding.divided ? part * (full + thin) : Math.max(1, full + thin);
  return { thicknessIn, kerfIn, endLossIn, slices };
}

/** Pieces by the name they have where they are cut. */
export type NamedPieces = { readonly name: string; readonly pieces: number };

/**
 * The names of a cut's slices along its run, fore to hind, with how many pieces carry each. The middle of a slice
 * decides. Empty where the cut has one name.
 */
export function namesOf(context: PieceContext, holding: Holding): NamedPieces[] {
  const { namesAlong, pieces: rule } = holding.wish.product;
  if (!namesAlong || (rule.kind !== 'slices' && rule.kind !== 'discs')) return [];
  const { cells, lengthScale } = context;
  const run = heldRun(rule, holding, { cells, lengthScale });
  const wholeIn = wholeRunOf(rule, holding.wish, { cells, lengthScale });
  const scale = lengthScale * (holding.divided && wholeIn > 0 ? run.lengthIn / wholeIn : 1);
  const starts = namesAlong.map((along) => ({
    name: along.name,
    atIn: inchesTo(run, indexOfVertebra(cells.vertebraIndex, along.from)) + (along.afterIn ?? 0) * scale,
  }));
  const counts = new Map<string, number>();
  for (const middleIn of middlesOf(context, holding, run)) {
    const name = starts.findLast((start) => start.atIn <= middleIn)?.name ?? starts[0]!.name;
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  return [...counts].map(([name, pieces]) => ({ name, pieces }));
}

/** Inches from the fore end of a held run to the fore face of a vertebra; below zero when it lies before the run. */
function inchesTo(run: HeldRun, vertebra: number): number {
  const first = run.cells[0];
  if (!first) return 0;
  if (vertebra < first.vertebra) return (vertebra - first.vertebra) * first.lengthIn;
  return run.cells.reduce((sum, cell) => (cell.vertebra < vertebra ? sum + cell.lengthIn : sum), 0);
}

/** Inches from the fore end of a held run to the middle of each of its pieces. */
function middlesOf(context: PieceContext, holding: Holding, run: HeldRun): number[] {
  const rule = holding.wish.product.pieces;
  const evenly = (count: number) =>
    Array.from({ length: count }, (_, i) => ((i + 0.5) / count) * run.lengthIn);
  if (rule.kind === 'slices') {
    const { slices: count, thicknessIn, kerfIn, endLossIn } = slicesOf(context, holding, rule);
    if (holding.divided) return evenly(Math.max(1, Math.round(count)));
    return Array.from(
      { length: count },
      (_, i) => endLossIn / 2 + i * (thicknessIn + kerfIn) + thicknessIn / 2,
    );
  }
  if (rule.kind === 'discs' && holding.divided) return evenly(discsOf(rule, holding, context));
  let from = 0;
  return run.cells.map((cell) => {
    from += cell.lengthIn;
    return from - cell.lengthIn / 2;
  });
}

/** What is left over makes an odd pack from this weight on, pounds; less is spread over the other packs. */
export const LEAST_ODD_PACK_LB = 0.5;

/** A pack that takes what is left over may weigh this much of what was asked, and no more. */
export const LARGEST_PACK = 1.25;

/**
 * Packs of a weight each: what is left over is a pack of its own from half a pound on, or from half a pack where packs
 * are small; else it is spread over the others, as long as none of them grows by more than a quarter.
 *
 * @param packaged - thousandths of the unit
 * @param packWeight - thousandths, above 0
 * @example packsByWeight(9560, 1000, 'lb') // => 10
 * @example packsByWeight(9440, 1000, 'lb') // => 9
 * @example packsByWeight(1440, 1000, 'lb') // => 2
 */
export function packsByWeight(packaged: number, packWeight: number, unit: WeighingUnit): number {
  if (packaged <= 0) return 0;
  const full = Math.floor(packaged / packWeight + ROUNDING_DUST);
  const leastOdd = Math.min(weight(convertUnits(LEAST_ODD_PACK_LB, 'lb', unit)), packWeight / 2);
  if (full === 0) return 1;
  const isOdd = packaged - full * packWeight >= leastOdd || packaged > full * packWeight * LARGEST_PACK;
  return isOdd ? full + 1 : full;
}

/**
 * Lengths of a side against the reference side: the cube root of the weight ratio, times the type's own build.
 *
 * @param sideLb - cold weight of a whole side, pounds
 */
export function lengthScaleOf(species: Species, sideLb: number, lengthFactor = 1): number {
  return Math.cbrt(sideLb / species.atlas.reference.sideLb) * lengthFactor;
}
