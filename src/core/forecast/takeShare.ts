import type { WeighingUnit } from '../quantity/weight';
import type { Holding, TakeShare } from '../sheet/claims';
import { numberParam, weightParam } from '../sheet/params';
import type { DecisionWish, FormWish } from '../sheet/wishes';
import { cutHolding, type SideOnTheBlock } from './cutting';
import { heldRun, piecesOf } from './pieces';

type Context = {
  readonly block: SideOnTheBlock;
  readonly unit: WeighingUnit;
  readonly lengthScale: number;
};

/**
 * How much of its zone a form with an amount takes. Packaged weight and length grow in proportion to the share,
 * so the wish divided by what the whole zone would give is the share; more than 1 is more than there is.
 */
export function takeShare(context: Context): TakeShare {
  return (wish, form) => {
    const { amount } = form.form;
    switch (amount.kind) {
      case 'rest':
        return undefined;
      case 'share':
        return amount.pct / 100;
      case 'weight':
        return divide(amount.weight, wholePackaged(context, wish, form));
      case 'length':
        return divide(amount.inches, wholeLength(context, wish, form));
      case 'pieces':
        return divide(amount.count, wholePieces(context, wish, form));
      case 'packs':
        return packsShare({ ...context, count: amount.count }, wish, form);
    }
  };
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
  return {
    decision: wish.decision,
    form,
    wish: first,
    cells: first.cells.map((cellWish) => cellWish.cell),
    fractions: first.cells.map((cellWish) => cellWish.share * sound[cellWish.cell]!),
    trims: first.cells.map((cellWish) => cellWish.trim),
  };
}

function wholePackaged(context: Context, wish: DecisionWish, form: FormWish): number {
  const holding = wholeHolding(context, wish, form);
  return holding ? cutHolding(context.block, holding).packaged : 0;
}

function wholeLength(context: Context, wish: DecisionWish, form: FormWish): number {
  const holding = wholeHolding(context, wish, form);
  const pieces = holding?.wish.product.pieces;
  if (!holding || !pieces || !('run' in pieces)) return 0;
  return heldRun(pieces, holding, { cells: context.block.cells, lengthScale: context.lengthScale }).lengthIn;
}

function wholePieces(context: Context, wish: DecisionWish, form: FormWish): number {
  const holding = wholeHolding(context, wish, form);
  if (!holding) return 0;
  const { block, unit, lengthScale } = context;
  const packaged = cutHolding(block, holding).packaged;
  return piecesOf({ species: block.species, cells: block.cells, unit, lengthScale }, holding, packaged) ?? 0;
}

function packsShare(
  { count, ...context }: Context & { count: number },
  wish: DecisionWish,
  form: FormWish,
): number {
  const packs = form.products[0]?.product.packs;
  const values = form.form.params;
  if (packs?.kind === 'pieces') {
    return divide(count * numberParam(values, packs.param, 1), wholePieces(context, wish, form));
  }
  if (packs?.kind === 'weight') {
    return divide(count * weightParam(values, packs.param), wholePackaged(context, wish, form));
  }
  return divide(count, wholePieces(context, wish, form));
}
