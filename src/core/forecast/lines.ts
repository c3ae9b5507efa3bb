import { schoolById } from '../carcass/breaks';
import type { Learnt } from '../experience/experience';
import type { Weight, WeighingUnit } from '../quantity/weight';
import type { Holding } from '../sheet/claims';
import { cureChosen, numberParam, weightParam } from '../sheet/params';
import type { Situation } from '../sheet/situation';
import type { Destination, Product } from '../species/types';
import type { CutYield, SideOnTheBlock, TissueWeights } from './cutting';
import { namesOf, packsByWeight, piecesOf, type NamedPieces } from './pieces';

/** A line of the boxes before rounding; weights in thousandths at full precision. */
export type DraftLine = {
  readonly key: string;
  readonly decision: string;
  readonly cut: string;
  readonly ownCut: string;
  readonly destination: Destination;
  readonly trim: TissueWeights;
  readonly kerf: number;
  readonly airLoss: number;
  readonly cureLoss: number;
  readonly packaged: number;
  /** Standard deviation of what is packed. */
  readonly spread: number;
  readonly experience: Learnt;
  readonly pieces: number | null;
  readonly names: readonly NamedPieces[];
  /** On how many sides of the animal it is cut. */
  readonly sides: number;
  readonly piecesPerPack: number | null;
  readonly packWeight: Weight | null;
  readonly thicknessIn: number | null;
  readonly cure: string | null;
  readonly charges: readonly string[];
  readonly labelWords: readonly string[];
};

/** The cut's own name in the species' data, cured or fresh as it is asked. */
export function ownCutOf({ wish, form }: Holding): string {
  const { product } = wish;
  return cureChosen(product, form.form.params) ? product.cure!.cut : product.cut;
}

export function draftLine(input: {
  situation: Situation;
  block: SideOnTheBlock;
  lengthScale: number;
  holding: Holding;
  cut: CutYield;
  spread: number;
  experience: Learnt;
}): DraftLine {
  const { situation, block, holding, cut } = input;
  const { product, index } = holding.wish;
  const { params } = holding.form.form;
  const cure = cureChosen(product, params);
  const { packs } = product;
  const ownCut = ownCutOf(holding);
  const { cures } = situation.species;
  const context = {
    species: situation.species,
    cells: block.cells,
    unit: situation.unit,
    lengthScale: input.lengthScale,
  };
  return {
    key: `${holding.decision.id}.${holding.form.index}.${index}`,
    decision: holding.decision.id,
    cut: localName(situation, ownCut),
    ownCut,
    destination: cure ? 'cured' : product.destination,
    trim: cut.trim,
    kerf: cut.kerf,
    airLoss: cut.airLoss,
    cureLoss: cut.green - cut.airLoss - cut.packaged,
    packaged: cut.packaged,
    spread: input.spread,
    experience: input.experience,
    pieces: acrossSides(product, piecesOf(context, holding, cut.packaged)),
    names: namesOf(context, holding),
    sides: 1,
    piecesPerPack: packs.kind === 'pieces' ? numberParam(params, packs.param, 1) : null,
    packWeight: packs.kind === 'weight' ? weightParam(params, packs.param) : null,
    thicknessIn: product.pieces.kind === 'slices' ? numberParam(params, product.pieces.thickness, 1) : null,
    cure: cure ?? null,
    charges: cure ? [...product.charges, ...cures[cure]!.charges, ...product.cure!.charges] : product.charges,
    labelWords: cure ? [...cures[cure]!.labelWords, ...product.cure!.labelWords] : [],
  };
}

/** A piece that spans both sides counts half on each. */
function acrossSides(product: Product, pieces: number | null): number | null {
  return product.acrossSides && pieces !== null ? pieces / 2 : pieces;
}

/** The shop's word for a cut, else the school's, else the cut's own. */
export function localName({ species, school }: Pick<Situation, 'species' | 'school'>, cut: string): string {
  const ofSchool = school === undefined ? undefined : schoolById(species, school).names[cut];
  return species.words?.[cut] ?? ofSchool ?? cut;
}

/** Pieces of both sides together; a half left over is a piece for the customer all the same. */
export function wholePieces(pieces: number | null): number | null {
  return pieces === null ? null : Math.ceil(pieces);
}

/** Packs of a finished line: by weight, by pieces to a pack, or one to a piece. */
export function packsOf(draft: DraftLine, packaged: Weight, unit: WeighingUnit): number {
  if (draft.packWeight !== null) return packsByWeight(packaged, draft.packWeight, unit);
  const pieces = wholePieces(draft.pieces) ?? 1;
  return packaged > 0 ? Math.ceil(pieces / (draft.piecesPerPack ?? 1)) : 0;
}
