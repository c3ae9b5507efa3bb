import { cellsOf, type Cells } from '../atlas/cells';
import { typeOf } from '../carcass/shiftAtlas';
import { noExperience } from '../learning/experience';
import { cutSpread, givesOf, P90_DEVIATIONS, uncertaintyOf } from './spread';
import { convertUnits, roundWeights, sumWeights, type Weight } from '../quantity/weight';
import { claimCells, type Claims } from '../sheet/claims';
import type { Job, Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import { wishesOf } from '../sheet/wishes';
import { cutHolding, type SideOnTheBlock } from './cutting';
import { cutLine, grindLine, keptLine } from './finishedLines';
import { grindTrim, type GrindResult, type Trim } from './grind';
import { draftLine, ownCutOf, type DraftLine } from './lines';
import { mergeDrafts } from './mergeDrafts';
import { lengthScaleOf } from './pieces';
import { addLeftovers, addTrim, emptyPools, type GivenCut, type Pools } from './pools';
import { shareSpread, type ShareSpread } from './shareSpread';
import { takeShare } from './takeShare';
import type { Forecast, ForecastLine, Losses } from './types';
import { withExperience } from './withExperience';

/** A customer's freezer takes 35 to 40 lb of packs to the cubic foot (processing figures, freezer). */
const LB_PER_CUFT = 37.5;

export type SideResult = {
  readonly drafts: readonly DraftLine[];
  readonly cuts: readonly GivenCut[];
  readonly shrink: number;
};

/** What is not yet rounded: every place that weight can end in. */
type Unrounded = {
  readonly drafts: readonly DraftLine[];
  readonly pools: Pools;
  readonly grind: GrindResult;
  readonly shrink: number;
  readonly spread: ShareSpread;
};

/**
 * What a share becomes under a sheet: packages, tubs, losses and yield, from the cold weight of its sides.
 * Everything is computed at full precision and rounded once, so that the parts add up to the cold weight.
 *
 * @param coldSides - cold weight of each side of the share, or of the quarter it is, thousandths, in the order
 *   first, second
 * @throws RangeError when the number of sides is not the situation's, or its school, breaks or type not the species'
 */
export function forecast(situation: Situation, sheet: Sheet, coldSides: readonly Weight[]): Forecast {
  if (coldSides.length !== situation.sides) {
    throw new RangeError(`"coldSides" expected ${situation.sides} weights, got ${coldSides.length}`);
  }
  const { species } = situation;
  const job = { situation, sheet, coldSides };
  const { cells, pools, sides } = shareOnTheBlock(job);
  const grind = grindOf(situation, sheet, pools);
  const coldWeight = sumWeights(coldSides);
  const cuts = sides.flatMap((side) => side.cuts);
  return finish(job, {
    drafts: mergeDrafts(sides[0]!.drafts, sides[1]?.drafts ?? []),
    pools,
    grind,
    shrink: sides.reduce((sum, side) => sum + side.shrink, 0),
    spread: shareSpread({
      cells,
      cuts,
      pools,
      grind,
      rules: species.grind,
      uncertainty: uncertaintyOf(species, situation.condition),
      coldWeight,
    }),
  });
}

/** A share cut but not yet ground: its sides, and what is in the tubs. */
export type ShareOnTheBlock = {
  readonly cells: Cells;
  readonly pools: Pools;
  readonly sides: readonly SideResult[];
};

/** Cuts every side of a share; at full precision, sinew picked out of the lean. */
export function shareOnTheBlock(job: Job): ShareOnTheBlock {
  const { situation, coldSides } = job;
  const cells = cellsOf(situation, wholeSideLb(situation, coldSides));
  const pools = emptyPools(cells.atoms.length);
  const sides = coldSides.map((_, index) => cutSide(job, index === 0 ? 1 : 2, pools));
  const sinew = pools.lean * situation.species.grind.sinewShare;
  pools.lean -= sinew;
  pools.inedible += sinew;
  return { cells, pools, sides };
}

/** The grind of a share's trim, counted by what this carcass' lean holds. */
export function grindOf({ species, condition }: Situation, sheet: Sheet, trim: Trim): GrindResult {
  const type = condition && typeOf(species, condition);
  const lipid = {
    ...species.grind.lipid,
    ...(type?.lipidLean === undefined ? {} : { lean: type.lipidLean }),
  };
  const { packShrinkShare } = species.cutting;
  return grindTrim(trim, sheet.grind, { rules: species.grind, lipid, packShrinkShare });
}

/**
 * Who gets which part of one side under a sheet; the ground on which forecast and questions stand. Both sides of an
 * animal are taken to be built alike: composition and lengths follow their mean weight.
 */
export function claimsOnSide(
  { situation, sheet, coldSides }: Job,
  side: 1 | 2,
): { claims: Claims; block: SideOnTheBlock; lengthScale: number } {
  const { species, unit, condition } = situation;
  const type = condition && typeOf(species, condition);
  const sideLb = wholeSideLb(situation, coldSides);
  const cells = cellsOf(situation, sideLb);
  const weightLeft = coldSides[side - 1]! * (1 - species.cutting.shrinkShare);
  const block = { species, type, cells, weightLeft };
  const lengthScale = lengthScaleOf(species, sideLb, type?.lengthFactor);
  const wishes = wishesOf({ situation, sheet, cells }, side);
  const takes = takeShare({ block, unit, lengthScale, sheet, side, sides: coldSides.length });
  return { claims: claimCells(cells, wishes, takes), block, lengthScale };
}

/** Pounds of the whole side that a share's weights speak of. */
function wholeSideLb(situation: Situation, coldSides: readonly Weight[]): number {
  const { species, unit, part = 'side' } = situation;
  const mean = sumWeights(coldSides) / coldSides.length;
  const lb = convertUnits(mean / 1000, unit, 'lb');
  if (part === 'side') return lb;
  return lb / cellsOf(situation, species.atlas.reference.sideLb).partOfSide;
}

function cutSide(job: Job, side: 1 | 2, pools: Pools): SideResult {
  const { situation, coldSides } = job;
  const { claims, block, lengthScale } = claimsOnSide(job, side);
  const { grind } = situation.species;
  const uncertainty = uncertaintyOf(situation.species, situation.condition);
  const usual = noExperience(uncertainty);
  const cuts: GivenCut[] = [];
  const drafts = claims.holdings.map((holding) => {
    const experience = situation.experience?.[ownCutOf(holding)] ?? usual;
    const cut = withExperience(cutHolding(block, holding), experience);
    const gives = givesOf(block.cells, holding, cut);
    cuts.push({ cut, gives });
    addTrim(pools, { cut, gives }, grind);
    const spread = cutSpread({ gives, cells: block.cells, packaged: cut.packaged }, uncertainty);
    return draftLine({ situation, block, lengthScale, holding, cut, spread, experience });
  });
  addLeftovers(pools, block, claims.free);
  return { drafts, cuts, shrink: coldSides[side - 1]! - block.weightLeft };
}

/** Rounds once and writes the result down. */
function finish({ situation, sheet, coldSides }: Job, exact: Unrounded): Forecast {
  const cold = sumWeights(coldSides);
  const { species, unit } = situation;
  const { drafts, pools, grind } = exact;
  const kept = keptPools(situation, sheet, exact);
  const rounded = roundWeights(
    {
      packaged: drafts.map((draft) => draft.packaged),
      airLoss: drafts.map((draft) => draft.airLoss),
      cureLoss: drafts.map((draft) => draft.cureLoss),
      kerf: drafts.map((draft) => draft.kerf),
      grind: grind.parts.map((part) => part.packaged),
      kept: kept.map((pool) => pool.exact),
      ...lostPools(exact, kept),
    },
    cold,
  );
  const { spread } = exact;
  const grindShare = pools.lean > 0 ? spread.grind / sumOf(grind.parts.map((part) => part.packaged)) : 0;
  const keptShare = species.tolerance.lineShare / P90_DEVIATIONS;
  const lines = [
    ...drafts.map((draft, i) =>
      cutLine(draft, unit, {
        packaged: rounded.packaged[i]!,
        airLoss: rounded.airLoss[i]!,
        cureLoss: rounded.cureLoss[i]!,
        kerf: rounded.kerf[i]!,
      }),
    ),
    ...grind.parts.map((part, i) =>
      grindLine(species, part.line, { index: i, packaged: rounded.grind[i]!, sdShare: grindShare, unit }),
    ),
    ...kept.map((pool, i) => keptLine(pool.keep, unit, { packaged: rounded.kept[i]!, sdShare: keptShare })),
  ].filter((line) => line.gross > 0);
  const losses: Losses = {
    fat: rounded.fat[0]!,
    bone: rounded.bone[0]!,
    skin: rounded.skin[0]!,
    inedible: rounded.inedible[0]!,
    cure: sumWeights(rounded.cureLoss),
    kerf: sumWeights(rounded.kerf),
    grinder: rounded.grinder[0]!,
    cuttingShrink: sumWeights([rounded.cuttingShrink[0]!, ...rounded.airLoss]),
  };
  return {
    ...totals(situation, lines, { cold, takeHomeSpread: spread.takeHome }),
    losses,
    pool: grindPool(pools, grind, lines),
  };
}

/** What reaches no box, each a list of one for the rounding. */
function lostPools({ pools, grind, shrink }: Unrounded, kept: readonly Kept[]) {
  const isKept = (pool: Kept['pool']) => kept.some((each) => each.pool === pool);
  return {
    fat: [isKept('fat') ? 0 : surplusFat(pools, grind)],
    bone: [pools.bone + (isKept('stockBone') ? 0 : pools.stockBone)],
    skin: [isKept('skin') ? 0 : pools.skin],
    inedible: [pools.inedible],
    grinder: [grind.loss],
    cuttingShrink: [shrink + grind.airLoss],
  };
}

function sumOf(numbers: readonly number[]): number {
  return numbers.reduce((sum, each) => sum + each, 0);
}

/** Fat that no grind takes: what is loose beyond the wish, and the hard fat. */
function surplusFat(pools: Pools, { fatUsed }: GrindResult): number {
  return Math.max(0, pools.looseFat + pools.attachedFat - fatUsed) + pools.hardFat;
}

function grindPool(pools: Pools, grind: GrindResult, lines: readonly ForecastLine[]): Forecast['pool'] {
  return {
    lean: Math.round(pools.lean) as Weight,
    fat: Math.round(pools.looseFat + pools.attachedFat) as Weight,
    fatUsed: Math.round(grind.fatUsed) as Weight,
    grind: sumWeights(lines.filter((line) => line.kind === 'grind').map((line) => line.packaged)),
    fatPct: grind.fatPct,
    floorPct: grind.floorPct,
    separablePct: pools.lean > 0 ? (100 * grind.fatUsed) / (pools.lean + grind.fatUsed) : 0,
  };
}

function totals(
  { unit }: Situation,
  lines: readonly ForecastLine[],
  { cold, takeHomeSpread }: { cold: Weight; takeHomeSpread: number },
): Omit<Forecast, 'losses' | 'pool'> {
  const takeHome = sumWeights(lines.map((line) => line.packaged));
  const spread = Math.round(P90_DEVIATIONS * takeHomeSpread);
  return {
    coldWeight: cold,
    lines,
    takeHome,
    takeHomeLow: Math.max(0, takeHome - spread) as Weight,
    takeHomeHigh: Math.min(cold, takeHome + spread) as Weight,
    yieldBp: cold > 0 ? Math.round((10_000 * takeHome) / cold) : 0,
    freezerCuFt: convertUnits(takeHome / 1000, unit, 'lb') / LB_PER_CUFT,
  };
}

type Kept = {
  readonly pool: 'fat' | 'stockBone' | 'skin';
  readonly exact: number;
  readonly keep: Situation['species']['poolKeeps'][number];
};

function keptPools(situation: Situation, sheet: Sheet, exact: Unrounded): Kept[] {
  const surplus = {
    fat: surplusFat(exact.pools, exact.grind),
    stockBone: exact.pools.stockBone,
    skin: exact.pools.skin,
  };
  return situation.species.poolKeeps
    .filter((keep) => sheet.keeps[keep.id] === true)
    .map((keep) => ({ pool: keep.pool, exact: surplus[keep.pool], keep }));
}
