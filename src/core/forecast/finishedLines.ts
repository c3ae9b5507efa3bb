import { convertUnits, sumWeights, weight, type Weight, type WeighingUnit } from '../quantity/weight';
import type { GrindLine } from '../sheet/types';
import type { PoolKeep, Species } from '../species/types';
import { packsOf, wholePieces, type DraftLine } from './lines';
import { packsByWeight } from './pieces';
import type { ForecastLine } from './types';

function range(packaged: Weight, share: number): { low: Weight; high: Weight } {
  return {
    low: Math.round(packaged * (1 - share)) as Weight,
    high: Math.round(packaged * (1 + share)) as Weight,
  };
}

/** A cut's line with its rounded weights. `share` is how far such a line usually lies beside its forecast. */
export function cutLine(
  draft: DraftLine,
  { packaged, airLoss, cureLoss, kerf }: Pick<ForecastLine, 'packaged' | 'airLoss' | 'cureLoss' | 'kerf'>,
  share: number,
): ForecastLine {
  const trim = {
    lean: Math.round(draft.trim.lean) as Weight,
    fat: Math.round(draft.trim.fat) as Weight,
    bone: Math.round(draft.trim.bone) as Weight,
    skin: Math.round(draft.trim.skin) as Weight,
  };
  const gross = sumWeights([packaged, airLoss, cureLoss, kerf, trim.lean, trim.fat, trim.bone, trim.skin]);
  return {
    key: draft.key,
    kind: 'cut',
    decision: draft.decision,
    cut: draft.cut,
    ownCut: draft.ownCut,
    destination: draft.destination,
    gross,
    trim,
    kerf,
    airLoss,
    cureLoss,
    packaged,
    ...range(packaged, share),
    pieces: wholePieces(draft.pieces),
    names: draft.names,
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

/** What each form of grind is charged for besides grinding. */
const FORM_CHARGES = { bulk: [], patties: ['patties'], links: ['linking'] } as const;

/** A line that the grinder makes. */
export function grindLine(species: Species, line: GrindLine, index: number, packaged: Weight): ForecastLine {
  const recipe = species.recipes.find((each) => each.id === line.recipe) ?? species.recipes[0]!;
  return {
    key: `grind.${index}`,
    kind: 'grind',
    decision: 'grind',
    cut: line.form === 'bulk' ? recipe.name : `${recipe.name}, ${line.form}`,
    ownCut: recipe.name,
    destination: 'grind',
    gross: packaged,
    trim: NO_TRIM,
    kerf: 0 as Weight,
    airLoss: 0 as Weight,
    cureLoss: 0 as Weight,
    packaged,
    ...range(packaged, species.tolerance.lineShare),
    pieces: null,
    names: [],
    packs: packsByWeight(packaged, line.packWeight),
    piecesPerPack: null,
    packWeight: line.packWeight,
    thicknessIn: null,
    cure: null,
    charges: ['grinding', ...(recipe.seasoned ? ['seasoning'] : []), ...FORM_CHARGES[line.form]],
    labelWords: [
      `Ingredients: ${recipe.ingredients}`,
      ...(recipe.allergens.length > 0 ? [`Contains: ${recipe.allergens.join(', ')}.`] : []),
      'Raw. Cook before eating.',
    ],
  };
}

/** What a customer keeps of the fat, bone or skin. */
export function keptLine(keep: PoolKeep, packaged: Weight, unit: WeighingUnit, share: number): ForecastLine {
  const packWeight = weight(convertUnits(keep.packLb, 'lb', unit));
  return {
    key: keep.id,
    kind: 'kept',
    decision: keep.id,
    cut: keep.cut,
    ownCut: keep.cut,
    destination: keep.destination,
    gross: packaged,
    trim: NO_TRIM,
    kerf: 0 as Weight,
    airLoss: 0 as Weight,
    cureLoss: 0 as Weight,
    packaged,
    ...range(packaged, share),
    pieces: null,
    names: [],
    packs: packsByWeight(packaged, packWeight),
    piecesPerPack: null,
    packWeight,
    thicknessIn: null,
    cure: null,
    charges: keep.charges,
    labelWords: [],
  };
}
