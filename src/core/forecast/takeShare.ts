import type { WeighingUnit } from '../quantity/weight';
import type { Holding } from '../sheet/claims';
import { numberParam, weightParam } from '../sheet/params';
import { isStretch, vertebraeOf, type TakeShare } from '../sheet/parts';
import type { Amount, Sheet } from '../sheet/types';
import type { DecisionWish, FormWish } from '../sheet/wishes';
import { cutHolding, type SideOnTheBlock } from './cutting';
import { bonesOf, piecesOf, wholeRunOf } from './pieces';

type Context = {
  readonly block: SideOnTheBlock;
  readonly unit: WeighingUnit;
  readonly lengthScale: number;
  readonly sheet: Sheet;
  readonly side: 1 | 2;
  /** Sides of the share: what is asked of a whole animal is divided between them. */
  readonly sides: number;
};

/**
 * How much of its zone a form takes on one side. Packaged weight, length and pieces grow in proportion to the share,
 * so the wish divided by what the whole zone would give is the share; more than 1 is more than there is. Cuts by the
 * bone take whole bones.
 */
export function takeShare(context: Context): TakeShare {
  return (wish, form) => {
    const share = askedShare(context, wish, form);
    const rule = form.products[0]?.product.pieces;
    if (share === undefined || share <= 0 || rule?.kind !== 'discs') return share;
    const bones = bonesOf(rule, wholeHolding(context, wish, form)!, context.block.cells);
    return bones === 0 ? share : Math.max(1, Math.round(share * bones)) / bones;
  };
}

function askedShare(context: Context, wish: DecisionWish, form: FormWish): number | undefined {
  const { amount } = form.form;
  switch (amount.kind) {
    case 'rest':
      return isStretch(form) ? ownStretch(context, form) : undefined;
    case 'share':
      return amount.pct / 100;
    case 'weight':
      return divide(weightHere(context, wish, { form, amount }), wholePackaged(context, wish, form));
    case 'length':
      return divide(amount.inches, wholeLength(context, form));
    case 'pieces':
    case 'packs':
      return countedShare(context, wish, { form, amount });
  }
}

/** The part of its zone that a form at the hind end has when nothing is said: so many ribs, or inches, or all there is. */
function ownStretch(context: Context, form: FormWish): number {
  const { lastRibs } = form.products[0]!.product;
  if (lastRibs) {
    const reached = vertebraeOf(context.block.cells, form).length;
    return Math.min(1, divide(numberParam(form.form.params, lastRibs.param, 0), reached));
  }
  const inches = form.option.fromHind!.inches * context.lengthScale;
  return Math.min(1, divide(inches, wholeLength(context, form)));
}

type Asked<Kind extends Amount['kind']> = {
  readonly form: FormWish;
  readonly amount: Extract<Amount, { kind: Kind }>;
};

/** Whether this side shares a wish with the other one. */
function isShared(context: Context, wish: DecisionWish, amount: { readonly eachSide?: boolean }): boolean {
  return context.sides === 2 && !amount.eachSide && !(wish.decision.id in context.sheet.secondSide);
}

/** This side's part of a count: the first side has the odd one. */
function countHere(count: number, side: 1 | 2): number {
  return side === 1 ? Math.ceil(count / 2) : Math.floor(count / 2);
}

/** This side's part of a weight: whole roasts where it is roasts, else half. */
function weightHere(context: Context, wish: DecisionWish, { form, amount }: Asked<'weight'>): number {
  if (!isShared(context, wish, amount)) return amount.weight;
  const rule = form.products[0]?.product.pieces;
  if (rule?.kind !== 'roasts') return amount.weight / 2;
  const roasts = Math.max(1, Math.round(amount.weight / weightParam(form.form.params, rule.weight)));
  return (amount.weight * countHere(roasts, context.side)) / roasts;
}

/** So many pieces or packs: counted in pieces, or in weight where packs are made by weight. */
function countedShare(
  context: Context,
  wish: DecisionWish,
  { form, amount }: Asked<'pieces' | 'packs'>,
): number {
  const product = form.products[0]?.product;
  const { params } = form.form;
  const shared = isShared(context, wish, amount);
  if (amount.kind === 'packs' && product?.packs.kind === 'weight') {
    const wanted = amount.count * weightParam(params, product.packs.param);
    return divide(shared ? wanted / 2 : wanted, wholePackaged(context, wish, form));
  }
  const toPack =
    amount.kind === 'packs' && product?.packs.kind === 'pieces'
      ? numberParam(params, product.packs.param, 1)
      : 1;
  const wanted = amount.count * toPack;
  const here = shared ? countHere(wanted, context.side) : wanted;
  if (product?.lastRibs) return here * ownStretch(context, form);
  return divide(here, wholePieces(context, wish, form));
}

/** A wish of nothing takes nothing; a wish for some of what gives nothing is more than all of it. */
function divide(wanted: number, whole: number): number {
  if (wanted <= 0) return 0;
  return whole > 0 ? wanted / whole : Number.MAX_VALUE;
}

/** What the form's first product would hold if it took the whole zone. */
function wholeHolding({ block }: Context, wish: DecisionWish, form: FormWish): Holding | undefined {
  const { sound } = block.cells;
  const first = form.products[0];
  if (!first) return undefined;
  const { claims } = first;
  return {
    decision: wish.decision,
    order: 0,
    form,
    wish: first,
    cells: claims.flatMap(({ cells }) => cells),
    fractions: claims.flatMap(({ cells, share }) => cells.map((cell) => share * sound[cell]!)),
    trims: claims.flatMap(({ cells, trim }) => cells.map(() => trim)),
    divided: false,
  };
}

function wholePackaged(context: Context, wish: DecisionWish, form: FormWish): number {
  const holding = wholeHolding(context, wish, form);
  return holding ? cutHolding(context.block, holding).packaged : 0;
}

function wholeLength({ block, lengthScale }: Context, form: FormWish): number {
  const pieces = form.products[0]?.product.pieces;
  if (!pieces || !('run' in pieces)) return 0;
  return wholeRunOf(pieces, form.products[0]!, { cells: block.cells, lengthScale });
}

function wholePieces(context: Context, wish: DecisionWish, form: FormWish): number {
  const holding = wholeHolding(context, wish, form);
  if (!holding) return 0;
  const { block, unit, lengthScale } = context;
  const packaged = cutHolding(block, holding).packaged;
  return piecesOf({ species: block.species, cells: block.cells, unit, lengthScale }, holding, packaged) ?? 0;
}
