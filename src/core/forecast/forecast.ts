import { cellsOf } from '../atlas/cells';
import { convertUnits, roundWeights, sumWeights, type Weight } from '../quantity/weight';
import { claimCells, type Claims } from '../sheet/claims';
import type { Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import { wishesOf } from '../sheet/wishes';
import { cutHolding, type SideOnTheBlock } from './cutting';
import { cutLine, grindLine, keptLine } from './finishedLines';
import { grindTrim, type GrindResult } from './grind';
import { draftLine, type DraftLine } from './lines';
import { mergeDrafts } from './mergeDrafts';
import { lengthScaleOf } from './pieces';
import { leftoverPools, sumPools, trimPools, type Pools } from './pools';
import { takeShare } from './takeShare';
import type { Forecast, ForecastLine, Losses } from './types';

/** A customer's freezer takes 35 to 40 lb of packs to the cubic foot (processing figures, freezer). */
const LB_PER_CUFT = 37.5;

type SideResult = { readonly drafts: readonly DraftLine[]; readonly pools: Pools; readonly shrink: number };

/** What is not yet rounded: every place that weight can end in. */
type Unrounded = {
  readonly drafts: readonly DraftLine[];
  readonly pools: Pools;
  readonly grind: GrindResult;
  readonly shrink: number;
};

/**
 * What a share becomes under a sheet: packages, tubs, losses and yield, from the cold weight of its sides.
 * Everything is computed at full precision and rounded once, so that the parts add up to the cold weight.
 *
 * @param coldSides - cold weight of each side of the share, thousandths, in the order first, second
 * @throws RangeError when the number of sides is not the situation's
 */
export function forecast(situation: Situation, sheet: Sheet, coldSides: readonly Weight[]): Forecast {
  if (coldSides.length !== situation.sides) {
    throw new RangeError(`"coldSides" expected ${situation.sides} weights, got ${coldSides.length}`);
  }
  const sides = coldSides.map((cold, index) => cutSide(situation, sheet, cold, index === 0 ? 1 : 2));
  const pools = sumPools(sides.map((side) => side.pools));
  return finish(situation, sheet, sumWeights(coldSides), {
    drafts: mergeDrafts(sides[0]!.drafts, sides[1]?.drafts ?? []),
    pools,
    grind: grindTrim(pools.lean, pools.fat, sheet.grind, situation.species.grind),
    shrink: sides.reduce((sum, side) => sum + side.shrink, 0),
  });
}

/** Who gets which part of one side under a sheet; the ground on which forecast and questions stand. */
export function claimsOnSide(
  situation: Situation,
  sheet: Sheet,
  coldWeight: Weight,
  side: 1 | 2,
): { claims: Claims; block: SideOnTheBlock; lengthScale: number } {
  const { species, unit } = situation;
  const cells = cellsOf(species.atlas, situation.addOns);
  const block = { species, cells, weightLeft: coldWeight * (1 - species.cutting.shrinkShare) };
  const lengthScale = lengthScaleOf(species, coldWeight, unit);
  const wishes = wishesOf(situation, sheet, cells, side);
  const takes = takeShare({ block, unit, lengthScale });
  return { claims: claimCells(cells, wishes, takes), block, lengthScale };
}

function cutSide(situation: Situation, sheet: Sheet, cold: Weight, side: 1 | 2): SideResult {
  const { claims, block, lengthScale } = claimsOnSide(situation, sheet, cold, side);
  const cuts = claims.holdings.map((holding) => ({ holding, cut: cutHolding(block, holding) }));
  return {
    drafts: cuts.map(({ holding, cut }) => draftLine({ situation, block, lengthScale, holding, cut })),
    pools: sumPools([leftoverPools(block, claims.free), ...cuts.map(({ cut }) => trimPools(cut))]),
    shrink: cold - block.weightLeft,
  };
}

/** Rounds once and writes the result down. */
function finish(situation: Situation, sheet: Sheet, cold: Weight, exact: Unrounded): Forecast {
  const { species, unit } = situation;
  const { drafts, pools, grind } = exact;
  const kept = keptPools(situation, sheet, exact);
  const rounded = roundWeights(
    {
      packaged: drafts.map((draft) => draft.packaged),
      cureLoss: drafts.map((draft) => draft.cureLoss),
      kerf: drafts.map((draft) => draft.kerf),
      grind: grind.parts.map((part) => part.packaged),
      kept: kept.map((pool) => pool.exact),
      ...lostPools(exact, kept),
    },
    cold,
  );
  const spread = species.tolerance.lineShare;
  const lines = [
    ...drafts.map((draft, i) =>
      cutLine(
        draft,
        { packaged: rounded.packaged[i]!, cureLoss: rounded.cureLoss[i]!, kerf: rounded.kerf[i]! },
        spread,
      ),
    ),
    ...grind.parts.map((part, i) => grindLine(species, part.line, i, rounded.grind[i]!)),
    ...kept.map((pool, i) => keptLine(pool.keep, rounded.kept[i]!, unit, spread)),
  ].filter((line) => line.gross > 0);
  const losses: Losses = {
    fat: rounded.fat[0]!,
    bone: rounded.bone[0]!,
    skin: rounded.skin[0]!,
    inedible: rounded.inedible[0]!,
    cure: sumWeights(rounded.cureLoss),
    kerf: sumWeights(rounded.kerf),
    grinder: rounded.grinder[0]!,
    cuttingShrink: rounded.cuttingShrink[0]!,
  };
  return { ...totals(situation, cold, lines), losses, pool: grindPool(pools, grind, lines) };
}

/** What reaches no box, each a list of one for the rounding. */
function lostPools({ pools, grind, shrink }: Unrounded, kept: readonly Kept[]) {
  const isKept = (pool: Kept['pool']) => kept.some((each) => each.pool === pool);
  return {
    fat: [isKept('fat') ? 0 : pools.fat - grind.fatUsed],
    bone: [pools.bone + (isKept('stockBone') ? 0 : pools.stockBone)],
    skin: [isKept('skin') ? 0 : pools.skin],
    inedible: [pools.inedible],
    grinder: [grind.loss],
    cuttingShrink: [shrink],
  };
}

function grindPool(pools: Pools, grind: GrindResult, lines: readonly ForecastLine[]): Forecast['pool'] {
  return {
    lean: Math.round(pools.lean) as Weight,
    fat: Math.round(pools.fat) as Weight,
    fatUsed: Math.round(grind.fatUsed) as Weight,
    grind: sumWeights(lines.filter((line) => line.kind === 'grind').map((line) => line.packaged)),
    fatPct: grind.fatPct,
  };
}

function totals(
  { species, unit }: Situation,
  cold: Weight,
  lines: readonly ForecastLine[],
): Omit<Forecast, 'losses' | 'pool'> {
  const takeHome = sumWeights(lines.map((line) => line.packaged));
  const spread = Math.round(cold * species.tolerance.orderShare);
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
    fat: exact.pools.fat - exact.grind.fatUsed,
    stockBone: exact.pools.stockBone,
    skin: exact.pools.skin,
  };
  return situation.species.poolKeeps
    .filter((keep) => sheet.keeps[keep.id] === true)
    .map((keep) => ({ pool: keep.pool, exact: surplus[keep.pool], keep }));
}
