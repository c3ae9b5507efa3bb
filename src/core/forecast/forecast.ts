import { cellsOf } from '../atlas/cells';
import { roundToTotal } from '../quantity/allocate';
import { convertUnits, sumWeights, weight, type Weight, type WeighingUnit } from '../quantity/weight';
import { claimCells, type Claims } from '../sheet/claims';
import type { Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import { wishesOf } from '../sheet/wishes';
import type { Recipe } from '../species/types';
import { cutHolding, tissuesOf, type SideOnTheBlock } from './cutting';
import { grindTrim, type GrindResult } from './grind';
import { draftLine, packsOf, type DraftLine } from './lines';
import { lengthScaleOf, packsByWeight } from './pieces';
import { takeShare } from './takeShare';
import type { Forecast, ForecastLine } from './types';

/** A customer's freezer takes 35 to 40 lb of packs to the cubic foot (processing figures, freezer). */
const LB_PER_CUFT = 37.5;

type Pools = { lean: number; fat: number; bone: number; stockBone: number; skin: number; inedible: number };

type SideResult = { drafts: DraftLine[]; pools: Pools; shrink: number };

/** What is not yet rounded: every place that weight can end in, and the total it must add up to. */
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
  const drafts = mergeDrafts(sides.flatMap((side) => side.drafts));
  const pools = sides.map((side) => side.pools).reduce(addPools);
  const shrink = sides.reduce((sum, side) => sum + side.shrink, 0);
  const grind = grindTrim(pools.lean, pools.fat, sheet.grind, situation.species.grind);
  return finish(situation, sheet, sumWeights(coldSides), { drafts, pools, grind, shrink });
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
  const pools = leftoverPools(block, claims.free);
  const drafts = claims.holdings.map((holding) => {
    const cut = cutHolding(block, holding);
    pools.lean += cut.trim.lean;
    pools.fat += cut.trim.fat;
    pools.bone += cut.trim.bone - cut.stockBone;
    pools.stockBone += cut.stockBone;
    pools.skin += cut.trim.skin;
    return draftLine({ situation, block, lengthScale, holding, cut });
  });
  return { drafts, pools, shrink: cold - block.weightLeft };
}

function leftoverPools(block: SideOnTheBlock, free: Float64Array): Pools {
  const pools: Pools = { lean: 0, fat: 0, bone: 0, stockBone: 0, skin: 0, inedible: 0 };
  for (let cell = 0; cell < free.length; cell += 1) {
    if (free[cell] === 0) continue;
    const atom = block.cells.atoms[block.cells.atomOf[cell]!]!;
    const left = tissuesOf(block, cell, free[cell]!);
    const whole = left.lean + left.fat + left.bone + left.skin;
    if (atom.leftover === 'inedible') pools.inedible += whole;
    else if (atom.leftover === 'bone') pools.bone += whole;
    else {
      pools.lean += left.lean;
      pools.fat += left.fat;
      pools[atom.stockBone ? 'stockBone' : 'bone'] += left.bone;
      pools.skin += left.skin;
    }
  }
  return pools;
}

function addPools(a: Pools, b: Pools): Pools {
  return {
    lean: a.lean + b.lean,
    fat: a.fat + b.fat,
    bone: a.bone + b.bone,
    stockBone: a.stockBone + b.stockBone,
    skin: a.skin + b.skin,
    inedible: a.inedible + b.inedible,
  };
}

/** The same cut from both sides is one line. */
function mergeDrafts(drafts: readonly DraftLine[]): DraftLine[] {
  const merged = new Map<string, DraftLine>();
  for (const draft of drafts) {
    const key = `${draft.key} ${draft.cut} ${draft.thicknessIn ?? ''}`;
    const other = merged.get(key);
    merged.set(
      key,
      other
        ? {
            ...other,
            cut: other.cut,
            packaged: other.packaged + draft.packaged,
            cureLoss: other.cureLoss + draft.cureLoss,
            kerf: other.kerf + draft.kerf,
            trim: addTissues(other.trim, draft.trim),
            pieces: other.pieces === null || draft.pieces === null ? null : other.pieces + draft.pieces,
          }
        : merged.size > 0 && [...merged.values()].some((line) => line.key === draft.key)
          ? { ...draft, key: `${draft.key}.second` }
          : draft,
    );
  }
  return [...merged.values()];
}

function addTissues(a: DraftLine['trim'], b: DraftLine['trim']): DraftLine['trim'] {
  return { lean: a.lean + b.lean, fat: a.fat + b.fat, bone: a.bone + b.bone, skin: a.skin + b.skin };
}

function finish(situation: Situation, sheet: Sheet, cold: Weight, exact: Unrounded): Forecast {
  const { species, unit } = situation;
  const kept = keptPools(situation, sheet, exact);
  const ends = [
    ...exact.drafts.flatMap((draft) => [draft.packaged, draft.cureLoss, draft.kerf]),
    ...exact.grind.parts.map((part) => part.packaged),
    ...kept.map((pool) => pool.exact),
    kept.some((pool) => pool.pool === 'fat') ? 0 : exact.pools.fat - exact.grind.fatUsed,
    exact.pools.bone + (kept.some((pool) => pool.pool === 'stockBone') ? 0 : exact.pools.stockBone),
    kept.some((pool) => pool.pool === 'skin') ? 0 : exact.pools.skin,
    exact.pools.inedible,
    exact.grind.loss,
    exact.shrink,
  ];
  const rounded = roundToTotal(ends, cold) as Weight[];
  const next = () => rounded.shift()!;
  const tolerance = species.tolerance;
  const lines: ForecastLine[] = [
    ...exact.drafts.map((draft) => cutLine(draft, next(), next(), next(), tolerance.lineShare)),
    ...exact.grind.parts.map((part, index) =>
      grindLine(part.line, index, next(), recipeOf(species.recipes, part.line.recipe), tolerance.lineShare),
    ),
    ...kept.map((pool) => keptLine(pool.keep, next(), unit, tolerance.lineShare)),
  ].filter((line) => line.gross > 0);
  const [fat, bone, skin, inedible, grinder, cuttingShrink] = [
    next(),
    next(),
    next(),
    next(),
    next(),
    next(),
  ];
  const takeHome = sumWeights(lines.map((line) => line.packaged));
  const spread = Math.round(cold * tolerance.orderShare) as Weight;
  return {
    coldWeight: cold,
    lines,
    losses: {
      fat,
      bone,
      skin,
      inedible,
      cure: sumWeights(lines.map((line) => line.cureLoss)),
      kerf: sumWeights(lines.map((line) => line.kerf)),
      grinder,
      cuttingShrink,
    },
    pool: {
      lean: Math.round(exact.pools.lean) as Weight,
      fat: Math.round(exact.pools.fat) as Weight,
      fatUsed: Math.round(exact.grind.fatUsed) as Weight,
      grind: sumWeights(lines.filter((line) => line.kind === 'grind').map((line) => line.packaged)),
      fatPct: exact.grind.fatPct,
    },
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

function range(packaged: Weight, share: number): { low: Weight; high: Weight } {
  return {
    low: Math.round(packaged * (1 - share)) as Weight,
    high: Math.round(packaged * (1 + share)) as Weight,
  };
}

function cutLine(
  draft: DraftLine,
  packaged: Weight,
  cureLoss: Weight,
  kerf: Weight,
  share: number,
): ForecastLine {
  const trim = {
    lean: Math.round(draft.trim.lean) as Weight,
    fat: Math.round(draft.trim.fat) as Weight,
    bone: Math.round(draft.trim.bone) as Weight,
    skin: Math.round(draft.trim.skin) as Weight,
  };
  const gross = sumWeights([packaged, cureLoss, kerf, trim.lean, trim.fat, trim.bone, trim.skin]);
  return {
    key: draft.key,
    kind: 'cut',
    decision: draft.decision,
    cut: draft.cut,
    destination: draft.destination,
    gross,
    trim,
    kerf,
    cureLoss,
    packaged,
    ...range(packaged, share),
    pieces: draft.pieces,
    packs: packsOf(draft, packaged),
    piecesPerPack: draft.piecesPerPack,
    packWeight: draft.packWeight,
    thicknessIn: draft.thicknessIn,
    cure: draft.cure,
    charges: draft.charges,
    labelWords: draft.labelWords,
  };
}

const NO_TRIM = { lean: 0, fat: 0, bone: 0, skin: 0 } as ForecastLine['trim'];

function recipeOf(recipes: readonly Recipe[], id: string): Recipe {
  return recipes.find((recipe) => recipe.id === id) ?? recipes[0]!;
}

function grindLine(
  line: Sheet['grind']['lines'][number],
  index: number,
  packaged: Weight,
  recipe: Recipe,
  share: number,
): ForecastLine {
  const form = { bulk: '', patties: ', patties', links: ', links' }[line.form];
  return {
    key: `grind.${index}`,
    kind: 'grind',
    decision: 'grind',
    cut: `${recipe.name}${form}`,
    destination: 'grind',
    gross: packaged,
    trim: NO_TRIM,
    kerf: 0 as Weight,
    cureLoss: 0 as Weight,
    packaged,
    ...range(packaged, share),
    pieces: null,
    packs: packsByWeight(packaged, line.packWeight),
    piecesPerPack: null,
    packWeight: line.packWeight,
    thicknessIn: null,
    cure: null,
    charges: [
      'grinding',
      ...(recipe.seasoned ? ['seasoning'] : []),
      ...(line.form === 'links' ? ['linking'] : []),
      ...(line.form === 'patties' ? ['patties'] : []),
    ],
    labelWords: [
      `Ingredients: ${recipe.ingredients}`,
      ...(recipe.allergens.length > 0 ? [`Contains: ${recipe.allergens.join(', ')}.`] : []),
      'Raw. Cook before eating.',
    ],
  };
}

function keptLine(keep: Kept['keep'], packaged: Weight, unit: WeighingUnit, share: number): ForecastLine {
  const packWeight = weight(convertUnits(keep.packLb, 'lb', unit));
  return {
    key: keep.id,
    kind: 'kept',
    decision: keep.id,
    cut: keep.cut,
    destination: keep.destination,
    gross: packaged,
    trim: NO_TRIM,
    kerf: 0 as Weight,
    cureLoss: 0 as Weight,
    packaged,
    ...range(packaged, share),
    pieces: null,
    packs: packsByWeight(packaged, packWeight),
    piecesPerPack: null,
    packWeight,
    thicknessIn: null,
    cure: null,
    charges: keep.charges,
    labelWords: [],
  };
}
