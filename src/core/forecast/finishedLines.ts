import {
  convertUnits,
  inUnits,
  sumWeights,
  weight,
  type Weight,
  type WeighingUnit,
} from '../quantity/weight';
import { FORM_CHARGES, PICKING_CHARGE } from '../charges/keys';
import { cutItem, grindItem, keptItem } from '../species/items';
import { isCured, recipeNamed, STATE_CHARGES, STATE_WORDS } from '../species/recipe';
import { grindSize } from '../sheet/grindSizes';
import type { GrindLine } from '../sheet/types';
import { P90_DEVIATIONS } from './spread';
import type { PoolKeep, Recipe, Species } from '../species/types';
import { packsOf, wholePieces, type DraftLine } from './lines';
import { packsByWeight } from './pieces';
import type { ForecastLine } from './types';

/** Eight in ten lie between `low` and `high`: the forecast less and more 1.28 standard deviations. */
function low(packaged: Weight, relativeSd: number): Weight {
  return Math.round(packaged * Math.max(0, 1 - P90_DEVIATIONS * relativeSd)) as Weight;
}

function high(packaged: Weight, relativeSd: number): Weight {
  return Math.round(packaged * (1 + P90_DEVIATIONS * relativeSd)) as Weight;
}

/** The scatter of single orders as this shop has it, and how sure its usual is. */
function scatterOf({ spread, packaged, experience }: DraftLine, together: number): number {
  if (packaged <= 0) return 0;
  return Math.hypot(Math.hypot(spread / packaged, together) * experience.noiseScale, experience.logRatioSd);
}

type Finished = Pick<ForecastLine, 'packaged' | 'airLoss' | 'cureLoss' | 'kerf'> & {
  /** What it has more or less together with every line of its animal, as a share of it. */
  readonly together: number;
};

/** A cut's line with its rounded weights. */
export function cutLine(
  draft: DraftLine,
  unit: WeighingUnit,
  { packaged, airLoss, cureLoss, kerf, together }: Finished,
): ForecastLine {
  const trim = {
    lean: Math.round(draft.trim.lean) as Weight,
    fat: Math.round(draft.trim.fat) as Weight,
    bone: Math.round(draft.trim.bone) as Weight,
    skin: Math.round(draft.trim.skin) as Weight,
  };
  const relativeSd = scatterOf(draft, together);
  const gross = sumWeights([packaged, airLoss, cureLoss, kerf, trim.lean, trim.fat, trim.bone, trim.skin]);
  return {
    key: draft.key,
    kind: 'cut',
    decision: draft.decision,
    cut: draft.cut,
    ownCut: draft.ownCut,
    item: cutItem(draft.decision, draft.ownCut, draft.cure),
    destination: draft.destination,
    gross,
    trim,
    kerf,
    airLoss,
    cureLoss,
    packaged,
    low: low(packaged, relativeSd),
    high: high(packaged, relativeSd),
    relativeSd,
    evidence: draft.experience.evidence,
    pieces: wholePieces(draft.pieces),
    names: draft.names,
    packs: packsOf(draft, packaged, unit),
    sides: draft.sides,
    piecesPerPack: draft.piecesPerPack,
    packWeight: draft.packWeight,
    thicknessIn: draft.thicknessIn,
    cure: draft.cure,
    charges: draft.charges,
    labelWords: draft.labelWords,
  };
}

const NO_TRIM = { lean: 0, fat: 0, bone: 0, skin: 0 } as ForecastLine['trim'];

/** A line that the grinder makes. */
export function grindLine(
  species: Species,
  line: GrindLine,
  {
    index,
    packaged,
    cureLoss,
    sdShare,
    evidence,
    unit,
    picked,
  }: {
    index: number;
    packaged: Weight;
    cureLoss: Weight;
    sdShare: number;
    evidence: number;
    unit: WeighingUnit;
    picked: boolean;
  },
): ForecastLine {
  const recipe = recipeNamed(species, line.recipe);
  const perLb = grindSize(line.form, line.size)?.perLb;
  const lb = convertUnits(inUnits(packaged), unit, 'lb');
  return {
    key: `grind.${index}`,
    kind: 'grind',
    decision: 'grind',
    cut: line.form === 'bulk' ? recipe.name : `${recipe.name}, ${line.form}`,
    ownCut: recipe.name,
    item: grindItem(recipe.id, line.form),
    destination: 'grind',
    gross: (packaged + cureLoss) as Weight,
    trim: NO_TRIM,
    kerf: 0 as Weight,
    airLoss: 0 as Weight,
    cureLoss,
    packaged,
    low: low(packaged, sdShare),
    high: high(packaged, sdShare),
    relativeSd: sdShare,
    evidence,
    pieces: perLb === undefined ? null : Math.round(lb * perLb),
    names: [],
    packs: packsByWeight(packaged, line.packWeight, unit),
    sides: 1,
    piecesPerPack: null,
    packWeight: line.packWeight,
    thicknessIn: null,
    cure: isCured(recipe) ? recipe.state : null,
    charges: [
      'grinding',
      ...(recipe.seasoned ? ['seasoning'] : []),
      ...(picked ? [PICKING_CHARGE] : []),
      ...FORM_CHARGES[line.form],
      ...STATE_CHARGES[recipe.state],
    ],
    labelWords: recipeWords(recipe),
  };
}

/** What the label of anything made by a recipe must say. */
export function recipeWords({ ingredients, allergens, state }: Recipe): string[] {
  return [
    `Ingredients: ${ingredients}`,
    ...(allergens.length > 0 ? [`Contains: ${allergens.join(', ')}.`] : []),
    STATE_WORDS[state],
  ];
}

/** What a customer keeps of the fat, bone or skin. */
export function keptLine(
  keep: PoolKeep,
  unit: WeighingUnit,
  { packaged, sdShare }: { packaged: Weight; sdShare: number },
): ForecastLine {
  const packWeight = weight(convertUnits(keep.packLb, 'lb', unit));
  return {
    key: keep.id,
    kind: 'kept',
    decision: keep.id,
    cut: keep.cut,
    ownCut: keep.cut,
    item: keptItem(keep.id),
    destination: keep.destination,
    gross: packaged,
    trim: NO_TRIM,
    kerf: 0 as Weight,
    airLoss: 0 as Weight,
    cureLoss: 0 as Weight,
    packaged,
    low: low(packaged, sdShare),
    high: high(packaged, sdShare),
    relativeSd: sdShare,
    evidence: 0,
    pieces: null,
    names: [],
    packs: packsByWeight(packaged, packWeight, unit),
    sides: 1,
    piecesPerPack: null,
    packWeight,
    thicknessIn: null,
    cure: null,
    charges: keep.charges,
    labelWords: [],
  };
}
