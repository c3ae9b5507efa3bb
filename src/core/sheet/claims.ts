import type { Cells } from '../atlas/cells';
import type { Decision } from '../species/types';
import type { CellWish, DecisionWish, FormWish, ProductWish } from './wishes';

/** Shares below this are rounding of floating-point sums, far under a thousandth of the heaviest side. */
const NEGLIGIBLE_SHARE = 1e-9;

/** What a product really gets. `fractions[i]` is the part of `cells[i]`. */
export type Holding = {
  readonly decision: Decision;
  readonly form: FormWish;
  readonly wish: ProductWish;
  readonly cells: number[];
  readonly fractions: number[];
  /** The piece's own trim rule, where it has one. */
  readonly trims: CellWish['trim'][];
};

/** Two decisions want the same piece; the earlier in cutting order holds it until somebody chooses. */
export type Clash = {
  readonly holder: string;
  readonly wants: string;
  readonly atoms: readonly string[];
};

/** A form that asks for more than its zone holds. */
export type Overdrawn = { readonly decision: string; readonly form: number; readonly wantedShare: number };

export type Claims = {
  readonly holdings: readonly Holding[];
  /** Part of each cell that nobody claims. */
  readonly free: Float64Array;
  readonly clashes: readonly Clash[];
  readonly overdrawn: readonly Overdrawn[];
};

/** How much of its zone a form takes: a share, or undefined for the rest. */
export type TakeShare = (wish: DecisionWish, form: FormWish) => number | undefined;

type Run = {
  readonly cells: Cells;
  readonly free: Float64Array;
  readonly holder: Int16Array;
  readonly holdings: Map<ProductWish, Holding>;
  readonly clashes: Map<string, { holder: string; wants: string; atoms: Set<string> }>;
};

/**
 * Gives every cell of a side to the products that wish for it, so that no part is given twice:
 * firm wishes first in cutting order, then yielding wishes from what is left. What nobody wishes stays free.
 *
 * @param takes - share of the zone for forms with an amount
 */
export function claimCells(cells: Cells, wishes: readonly DecisionWish[], takes: TakeShare): Claims {
  const run: Run = {
    cells,
    free: Float64Array.from(cells.sound),
    holder: new Int16Array(cells.count).fill(-1),
    holdings: new Map(),
    clashes: new Map(),
  };
  const overdrawn: Overdrawn[] = [];
  const shares = wishes.map((wish) => formShares(wish, takes, overdrawn));
  for (const yielding of [false, true]) {
    wishes.forEach((_, index) => claimDecision(run, { wishes, index, yielding }, shares[index]!));
  }
  return {
    holdings: [...run.holdings.values()].sort((a, b) => orderOf(wishes, a) - orderOf(wishes, b)),
    free: run.free,
    clashes: [...run.clashes.values()].map((clash) => ({ ...clash, atoms: [...clash.atoms] })),
    overdrawn,
  };
}

function orderOf(wishes: readonly DecisionWish[], holding: Holding): number {
  return wishes.findIndex((wish) => wish.decision === holding.decision) * 100 + holding.form.index;
}

/** Shares with an amount, cut off where the zone ends; undefined stands for the rest. */
function formShares(wish: DecisionWish, takes: TakeShare, overdrawn: Overdrawn[]): (number | undefined)[] {
  let left = 1;
  return wish.forms.map((form) => {
    const wanted = takes(wish, form);
    if (wanted === undefined) return undefined;
    if (wanted > left + NEGLIGIBLE_SHARE) {
      overdrawn.push({ decision: wish.decision.id, form: form.index, wantedShare: wanted });
    }
    const share = Math.max(0, Math.min(wanted, left));
    left -= share;
    return share;
  });
}

/** Whose turn it is to claim: firm wishes of all decisions first, then the yielding ones. */
type Turn = { readonly wishes: readonly DecisionWish[]; readonly index: number; readonly yielding: boolean };

function claimDecision(run: Run, turn: Turn, shares: readonly (number | undefined)[]): void {
  const { wishes, index, yielding } = turn;
  const wish = wishes[index]!;
  const offered = new Map<number, number>();
  const used = new Map<number, number>();
  const ground = groundShare(wish, shares);
  for (const form of wish.forms) {
    for (const product of form.products) {
      for (const cellWish of product.cells) {
        if (cellWish.yields !== yielding) continue;
        const { cell } = cellWish;
        if (!offered.has(cell)) offered.set(cell, yielding ? run.free[cell]! : run.cells.sound[cell]!);
        const left = (cellWish.limit - ground) * offered.get(cell)! - (used.get(cell) ?? 0);
        const wanted = Math.min(cellWish.share * offered.get(cell)! * (shares[form.index] ?? 1), left);
        if (wanted <= NEGLIGIBLE_SHARE) continue;
        used.set(cell, (used.get(cell) ?? 0) + wanted);
        const taken = Math.min(wanted, run.free[cell]!);
        if (taken < wanted - NEGLIGIBLE_SHARE) noteClash(run, turn, cell);
        if (taken > 0) take(run, { decision: wish.decision, form, product, index }, { ...cellWish, taken });
      }
    }
  }
}

/** The part of a zone that goes to the pools by a form of its own, out of reach of the forms beside it. */
function groundShare(wish: DecisionWish, shares: readonly (number | undefined)[]): number {
  return wish.forms
    .filter((form) => form.products.length === 0)
    .reduce((sum, form) => sum + (shares[form.index] ?? 0), 0);
}

type Taker = {
  readonly decision: Decision;
  readonly form: FormWish;
  readonly product: ProductWish;
  /** Of the decision, in cutting order. */
  readonly index: number;
};

function take(
  run: Run,
  { decision, form, product, index }: Taker,
  { cell, trim, taken }: Pick<CellWish, 'cell' | 'trim'> & { taken: number },
): void {
  let holding = run.holdings.get(product);
  if (!holding) {
    holding = { decision, form, wish: product, cells: [], fractions: [], trims: [] };
    run.holdings.set(product, holding);
  }
  holding.cells.push(cell);
  holding.fractions.push(taken);
  holding.trims.push(trim);
  const left = run.free[cell]! - taken;
  run.free[cell] = left < NEGLIGIBLE_SHARE ? 0 : left;
  if (run.holder[cell] === -1) run.holder[cell] = index;
}

function noteClash(run: Run, { wishes, index }: Turn, cell: number): void {
  const holder = wishes[run.holder[cell]!]!.decision.id;
  const wants = wishes[index]!.decision.id;
  const key = `${holder} ${wants}`;
  const clash = run.clashes.get(key) ?? { holder, wants, atoms: new Set<string>() };
  clash.atoms.add(run.cells.atoms[run.cells.atomOf[cell]!]!.id);
  run.clashes.set(key, clash);
}
