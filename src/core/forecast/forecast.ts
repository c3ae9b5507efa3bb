import { typeOf } from '../carcass/shiftAtlas';
import { convertUnits, roundWeights, sumWeights, type Weight } from '../quantity/weight';
import type { Job, Situation } from '../sheet/situation';
import type { GrindLine, Sheet } from '../sheet/types';
import { FINISHED_SHARE, recipeNamed } from '../species/recipe';
import { cutLine, grindLine, keptLine } from './finishedLines';
import { boneStateOf, type BoneState } from '../experience/boneState';
import { noExperience, type Learnt } from '../experience/experience';
import { grindTrim, type GrindResult, type Trim } from './grind';
import type { DraftLine } from './lines';
import { mergeDrafts } from './mergeDrafts';
import { divideSides, shareOnTheBlock, type DividedSide } from './onTheBlock';
import type { Pools } from './pools';
import { shareSpread, type ShareSpread } from './shareSpread';
import { P90_DEVIATIONS, uncertaintyOf } from './spread';
import type { Forecast, ForecastLine, Losses } from './types';

/** A customer's freezer takes 35 to 40 lb of packs to the cubic foot (processing figures, freezer). */
const LB_PER_CUFT = 37.5;

/** What is not yet rounded: every place that weight can end in. */
type Unrounded = {
  readonly drafts: readonly DraftLine[];
  readonly pools: Pools;
  readonly grind: GrindResult;
  readonly shrink: number;
  readonly spread: ShareSpread;
  /** What this shop grinds of a tub. */
  readonly learnt: Learnt;
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
  const job = { situation, sheet, coldSides };
  return forecastOf(job, divideSides(job));
}

/** The forecast of a job whose sides are divided already. */
export function forecastOf(job: Job, divided: readonly DividedSide[]): Forecast {
  const { situation, sheet, coldSides } = job;
  const { species } = situation;
  const { cells, pools, sides } = shareOnTheBlock(job, divided);
  const coldWeight = sumWeights(coldSides);
  const boneState = boneStateOf(species, { coldWeight, losses: { bone: boneOut(situation, sheet, pools) } });
  const grind = grindOf(situation, sheet, pools, boneState);
  const learnt = learntGrind(situation, boneState);
  const cuts = sides.flatMap((side) => side.cuts);
  return finish(job, {
    drafts: mergeDrafts(sides[0]!.drafts, sides[1]?.drafts ?? []),
    pools,
    grind,
    shrink: sides.reduce((sum, side) => sum + side.shrink, 0),
    learnt,
    spread: shareSpread({
      cells,
      cuts,
      pools,
      grind,
      rules: species.grind,
      uncertainty: uncertaintyOf(species, situation.condition),
      coldWeight,
      usualSd: sides.flatMap((side) => side.drafts.map((draft) => draft.experience.logRatioSd)),
    }),
  });
}

/** What this shop grinds of a tub, of animals of one bone state. */
function learntGrind({ species, experience }: Situation, boneState: BoneState): Learnt {
  return experience?.grind?.[boneState] ?? noExperience(species.uncertainty);
}

/** The grind of a share's trim, counted by what this carcass' lean holds, and as this shop grinds. */
export function grindOf(
  situation: Situation,
  sheet: Sheet,
  trim: Trim,
  boneState: BoneState = 'mixed',
): GrindResult {
  const { grind, cutting } = situation.species;
  const finished = (line: GrindLine) => FINISHED_SHARE[recipeNamed(situation.species, line.recipe).state];
  const by = { rules: grind, lipid: lipidOf(situation), packShrinkShare: cutting.packShrinkShare, finished };
  const ratio = Math.exp(learntGrind(situation, boneState).logRatio);
  return grindTrim(trim, sheet.grind, { ...by, ratio });
}

/** What the lean and the fat of this carcass hold. */
export function lipidOf({ species, condition }: Situation): Situation['species']['grind']['lipid'] {
  const type = condition && typeOf(species, condition);
  return {
    ...species.grind.lipid,
    ...(type?.lipidLean === undefined ? {} : { lean: type.lipidLean }),
  };
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
      grindCure: grind.parts.map((part) => part.cureLoss),
      kept: kept.map((pool) => pool.exact),
      ...lostPools({ situation, sheet }, exact, kept),
    },
    cold,
  );
  const { spread } = exact;
  const ground = sumOf(grind.parts.map((part) => part.packaged));
  const { noiseScale, logRatioSd } = exact.learnt;
  const { grind: ofGrind, takeHome: ofWhole } = spread;
  const wholeScale = situation.experience?.takeHome?.noiseScale ?? 1;
  const grindSd = Math.hypot(ofGrind.scatter * noiseScale, ofGrind.usual, logRatioSd * ground);
  const takeHomeSpread = Math.hypot(ofWhole.scatter * wholeScale, ofWhole.usual, logRatioSd * ground);
  const boxes = ground + sumOf(drafts.map((draft) => draft.packaged));
  const grindShare = ground > 0 ? grindSd / ground : 0;
  const keptShare = species.tolerance.lineShare / P90_DEVIATIONS;
  const lines = [
    ...drafts.map((draft, i) =>
      cutLine(draft, unit, {
        packaged: rounded.packaged[i]!,
        airLoss: rounded.airLoss[i]!,
        cureLoss: rounded.cureLoss[i]!,
        kerf: rounded.kerf[i]!,
        together: spread.together,
      }),
    ),
    ...grind.parts.map((part, i) =>
      grindLine(species, part.line, {
        index: i,
        packaged: rounded.grind[i]!,
        cureLoss: rounded.grindCure[i]!,
        sdShare: grindShare,
        evidence: exact.learnt.evidence,
        unit,
        picked: grind.leanPicked > 0,
      }),
    ),
    ...kept.map((pool, i) => keptLine(pool.keep, unit, { packaged: rounded.kept[i]!, sdShare: keptShare })),
  ].filter((line) => line.gross > 0);
  const losses: Losses = {
    fat: rounded.fat[0]!,
    bone: rounded.bone[0]!,
    skin: rounded.skin[0]!,
    inedible: rounded.inedible[0]!,
    cure: sumWeights([...rounded.cureLoss, ...rounded.grindCure]),
    kerf: sumWeights(rounded.kerf),
    grinder: rounded.grinder[0]!,
    cuttingShrink: sumWeights([rounded.cuttingShrink[0]!, ...rounded.airLoss]),
  };
  return {
    ...totals(situation, lines, { cold, takeHomeSpread }),
    scatter: {
      together: spread.together,
      grind: ground > 0 ? ofGrind.scatter / ground : 0,
      takeHome: boxes > 0 ? ofWhole.scatter / boxes : 0,
    },
    losses,
    pool: grindPool(pools, grind, lines),
  };
}

/** What reaches no box, each a list of one for the rounding. */
function lostPools(
  { situation, sheet }: Pick<Job, 'situation' | 'sheet'>,
  { pools, grind, shrink }: Unrounded,
  kept: readonly Kept[],
) {
  const isKept = (pool: Kept['pool']) => kept.some((each) => each.pool === pool);
  return {
    fat: [isKept('fat') ? 0 : surplusFat(pools, grind)],
    bone: [boneOut(situation, sheet, pools)],
    skin: [isKept('skin') ? 0 : pools.skin],
    inedible: [pools.inedible],
    grinder: [grind.loss],
    cuttingShrink: [shrink + grind.airLoss],
  };
}

/** Bone that nobody keeps. */
function boneOut({ species }: Situation, { keeps }: Sheet, pools: Pools): number {
  const kept = species.poolKeeps.some(({ pool, id }) => pool === 'stockBone' && keeps[id] === true);
  return pools.bone + (kept ? 0 : pools.stockBone);
}

function sumOf(numbers: readonly number[]): number {
  return numbers.reduce((sum, each) => sum + each, 0);
}

/** Fat that no grind takes: what is loose beyond the wish, the hard fat, and what is picked with its lean. */
function surplusFat(pools: Pools, { fatUsed, leanPicked, discarded }: GrindResult): number {
  return Math.max(0, pools.looseFat + pools.attachedFat - fatUsed) + pools.hardFat + leanPicked + discarded;
}

function grindPool(pools: Pools, grind: GrindResult, lines: readonly ForecastLine[]): Forecast['pool'] {
  const lean = pools.lean - grind.leanPicked;
  return {
    lean: Math.round(pools.lean) as Weight,
    fat: Math.round(pools.looseFat + pools.attachedFat) as Weight,
    fatUsed: Math.round(grind.fatUsed) as Weight,
    grind: sumWeights(lines.filter((line) => line.kind === 'grind').map((line) => line.packaged)),
    fatPct: grind.fatPct,
    floorPct: grind.floorPct,
    separablePct: lean > 0 ? (100 * grind.fatUsed) / (lean + grind.fatUsed) : 0,
    leanPicked: Math.round(grind.leanPicked) as Weight,
    attachedFat: Math.round(pools.attachedFat) as Weight,
  };
}

function totals(
  { unit }: Situation,
  lines: readonly ForecastLine[],
  { cold, takeHomeSpread }: { cold: Weight; takeHomeSpread: number },
): Omit<Forecast, 'losses' | 'pool' | 'scatter'> {
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
