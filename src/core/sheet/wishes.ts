import { indexOfVertebra, type Cells } from '../atlas/cells';
import type { Claim, Decision, Option, Product, TrimRule } from '../species/types';
import { numberParam } from './params';
import { takenOver } from './takenOver';
import { decisionsAsked, optionById, type Situation } from './situation';
import type { Answer, Form, ParamValues, Sheet } from './types';

/** What a claim of a product would take if its form took the whole zone: the same share of each of its cells. */
export type ClaimWish = {
  readonly cells: readonly number[];
  /** Of each cell, above 0. */
  readonly share: number;
  readonly yields: boolean;
  /** What this piece of the cut is trimmed by in place of the product's own rule. */
  readonly trim: Partial<TrimRule> | undefined;
};

export type ProductWish = {
  readonly product: Product;
  readonly index: number;
  readonly claims: readonly ClaimWish[];
};

export type FormWish = {
  readonly form: Form;
  readonly index: number;
  readonly option: Option;
  readonly products: readonly ProductWish[];
};

export type DecisionWish = { readonly decision: Decision; readonly forms: readonly FormWish[] };

/** The answer that holds on a side: the second side's own where it differs. */
export function answerOn(sheet: Sheet, decisionId: string, side: 1 | 2): Answer | undefined {
  return (side === 2 ? sheet.secondSide[decisionId] : undefined) ?? sheet.answers[decisionId];
}

/** Everything a sheet wishes for on one side, decision by decision in the cutter's order. */
export function wishesOf(
  { situation, sheet, cells }: { situation: Situation; sheet: Sheet; cells: Cells },
  side: 1 | 2,
): DecisionWish[] {
  const answerTo = (decision: string) => answerOn(sheet, decision, side);
  const taken = takenOver(situation.species, answerTo);
  return decisionsAsked(situation).map((decision) => {
    const forms = taken.has(decision.id) ? [] : (answerTo(decision.id)?.forms ?? []);
    return { decision, forms: forms.map((form, index) => formWish(decision, { form, index }, cells)) };
  });
}

/** A form of a sheet never changes, so on one carcass its wish is read once, however often the rest of the sheet is. */
const wishesOfForms = new WeakMap<Cells, WeakMap<Form, FormWish>>();

function formWish(
  decision: Decision,
  { form, index }: { form: Form; index: number },
  cells: Cells,
): FormWish {
  const ofCarcass = wishesOfForms.get(cells) ?? new WeakMap<Form, FormWish>();
  wishesOfForms.set(cells, ofCarcass);
  const option = optionById(decision, form.option);
  const known = ofCarcass.get(form);
  if (known?.option === option && known.index === index) return known;
  const products = option.products.map((product, at) => ({
    product,
    index: at,
    claims: product.claims.flatMap((claim) => claimWish(claim, { decision, params: form.params }, cells)),
  }));
  const wish = { form, index, option, products };
  ofCarcass.set(form, wish);
  return wish;
}

function claimWish(
  claim: Claim,
  { decision, params }: { decision: Decision; params: ParamValues },
  cells: Cells,
): ClaimWish[] {
  if (claim.onlyIf !== undefined && params[claim.onlyIf] !== true) return [];
  const share = wishedShare(claim, params);
  if (share <= 0) return [];
  const reached = cellsOfClaim(claim, decision, cells);
  return [{ cells: reached, share, yields: claim.yields === true, trim: claim.trim }];
}

/** Where a claim reaches depends only on the carcass: it is looked up once for each way of dividing one. */
const reachOfClaims = new WeakMap<Cells, Map<Claim, readonly number[]>>();

function cellsOfClaim(claim: Claim, decision: Decision, cells: Cells): readonly number[] {
  const ofCarcass = reachOfClaims.get(cells) ?? new Map<Claim, readonly number[]>();
  reachOfClaims.set(cells, ofCarcass);
  const known = ofCarcass.get(claim);
  if (known) return known;
  const reached = cellsWithin(cells, claim.atom, spanOf(claim, decision, cells));
  ofCarcass.set(claim, reached);
  return reached;
}

/** Cells of an atom between two vertebrae; cells without a vertebra are always within. */
function cellsWithin(cells: Cells, atom: string, span: IndexSpan | undefined): readonly number[] {
  const own = cells.cellsOfAtom.get(atom) ?? [];
  if (!span) return own;
  return own.filter((cell) => {
    const vertebra = cells.vertebraOf[cell]!;
    return vertebra < 0 || (vertebra >= span[0] && vertebra <= span[1]);
  });
}

function wishedShare(claim: Claim, params: ParamValues): number {
  if (claim.sharePctParam !== undefined) return numberParam(params, claim.sharePctParam, 0) / 100;
  const whole = claim.share ?? 1;
  if (!claim.lessPer) return whole;
  return Math.max(0, whole - claim.lessPer.share * numberParam(params, claim.lessPer.param, 0));
}

type IndexSpan = readonly [first: number, last: number];

function spanOf(claim: Claim, decision: Decision, cells: Cells): IndexSpan | undefined {
  const span = claim.span ?? decision.span;
  return span && [spanEnd(cells, span[0]), spanEnd(cells, span[1])];
}

/** `start` and `end` stand for the zone's own ends, wherever its breaks are. */
function spanEnd(cells: Cells, name: string): number {
  if (name === 'start') return 0;
  return name === 'end' ? cells.vertebraIndex.size - 1 : indexOfVertebra(cells.vertebraIndex, name);
}
