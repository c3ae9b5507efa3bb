import type { Cells } from '../atlas/cells';
import type { Decision } from '../species/types';
import { partsOf, type Overdrawn, type Portion, type TakeShare } from './parts';
import type { ClaimWish, DecisionWish, FormWish, ProductWish } from './wishes';

/** Shares below this are rounding of floating-point sums, far under a thousandth of the heaviest side. */
const NEGLIGIBLE_SHARE = 1e-9;

/** What a product really gets. `fractions[i]` is the part of `cells[i]`. */
export type Holding = {
  readonly decision: Decision;
  /** Of its decision, in cutting order. */
  readonly order: number;
  readonly form: FormWish;
  readonly wish: ProductWish;
  readonly cells: number[];
  readonly fractions: number[];
  /** The piece's own trim rule, where it has one. */
  readonly trims: ClaimWish['trim'][];
  /** Whether its form has a share of its zone, and so of the zone's pieces; else what it holds is a run by itself. */
  readonly divided: boolean;
};

/** Two decisions want the same piece; the earlier in cutting order holds it until somebody chooses. */
export type Clash = {
  readonly holder: string;
  readonly wants: string;
  readonly atoms: readonly string[];
};

export type Claims = {
  readonly holdings: readonly Holding[];
  /** Part of each cell that nobody claims. */
  readonly free: Float64Array;
  readonly clashes: readonly Clash[];
  readonly overdrawn: readonly Overdrawn[];
  /** Forms that nothing is asked of on this side, since the other side has it all. */
  readonly idle: readonly { readonly decision: string; readonly form: number }[];
};

type Run = {
  readonly cells: Cells;
  readonly free: Float64Array;
  readonly holder: Int16Array;
  readonly holdings: Map<ProductWish, Holding>;
  readonly clashes: Map<string, { holder: string; wants: string; atoms: Set<string> }>;
  /** What the decision whose turn it is found of each cell; below 0 where it has not asked yet. */
  readonly offered: Float64Array;
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
    offered: new Float64Array(cells.count),
  };
  const parts = wishes.map((wish) => partsOf(cells, wish, takes));
  for (const yielding of [false, true]) {
    wishes.forEach((_, index) => claimDecision(run, { wishes, index, yielding }, parts[index]!.portions));
  }
  return {
    holdings: [...run.holdings.values()].sort((a, b) => a.order - b.order || a.form.index - b.form.index),
    free: run.free,
    clashes: [...run.clashes.values()].map((clash) => ({ ...clash, atoms: [...clash.atoms] })),
    overdrawn: parts.flatMap((part) => part.overdrawn),
    idle: parts.flatMap(({ idle }, at) => idle.map((form) => ({ decision: wishes[at]!.decision.id, form }))),
  };
}

/** Whose turn it is to claim: firm wishes of all decisions first, then the yielding ones. */
type Turn = { readonly wishes: readonly DecisionWish[]; readonly index: number; readonly yielding: boolean };

function claimDecision(run: Run, turn: Turn, portions: readonly Portion[]): void {
  const wish = turn.wishes[turn.index]!;
  if (!claimsNow(wish, turn.yielding)) return;
  run.offered.fill(-1);
  for (const form of wish.forms) {
    for (const product of form.products) {
      for (const claim of product.claims) {
        if (claim.yields !== turn.yielding || claim.cells.length === 0) continue;
        const holding = run.holdings.get(product) ?? emptyHolding(wish, { order: turn.index, form, product });
        takeCells(run, turn, { claim, holding, portion: portions[form.index] });
        if (holding.cells.length > 0) run.holdings.set(product, holding);
      }
    }
  }
}

/** Whether any form of a wish claims in this turn. */
function claimsNow({ forms }: DecisionWish, yielding: boolean): boolean {
  return forms.some(({ products }) =>
    products.some(({ claims }) => claims.some((claim) => claim.yields === yielding)),
  );
}

const BY_SHARE = ['share', 'weight', 'pieces', 'packs'];

/** Whether a form, or for the rest another form of its zone, is asked by a share, a weight or a count. */
function isShareOfPieces({ forms }: DecisionWish, { form }: FormWish): boolean {
  if (form.amount.kind !== 'rest') return BY_SHARE.includes(form.amount.kind);
  return forms.some((other) => BY_SHARE.includes(other.form.amount.kind));
}

function emptyHolding(
  wish: DecisionWish,
  { order, form, product }: { order: number; form: FormWish; product: ProductWish },
): Holding {
  return {
    decision: wish.decision,
    order,
    form,
    wish: product,
    cells: [],
    fractions: [],
    trims: [],
    divided: isShareOfPieces(wish, form),
  };
}

/** Gives a claim what is still free of its cells, and notes what another decision holds. */
function takeCells(
  run: Run,
  turn: Turn,
  { claim, holding, portion }: { claim: ClaimWish; holding: Holding; portion: Portion },
): void {
  const { free, holder, offered } = run;
  const { sound } = run.cells;
  for (const cell of claim.cells) {
    if (offered[cell]! < 0) offered[cell] = turn.yielding ? free[cell]! : sound[cell]!;
    const wanted = claim.share * offered[cell]! * (portion ? portion[cell]! : 1);
    if (wanted <= NEGLIGIBLE_SHARE) continue;
    const taken = Math.min(wanted, free[cell]!);
    if (taken < wanted - NEGLIGIBLE_SHARE) noteClash(run, turn, cell);
    if (taken <= 0) continue;
    holding.cells.push(cell);
    holding.fractions.push(taken);
    holding.trims.push(claim.trim);
    const left = free[cell]! - taken;
    free[cell] = left < NEGLIGIBLE_SHARE ? 0 : left;
    if (holder[cell] === -1) holder[cell] = turn.index;
  }
}

function noteClash(run: Run, { wishes, index }: Turn, cell: number): void {
  if (run.holder[cell] === index) return;
  const holder = wishes[run.holder[cell]!]!.decision.id;
  const wants = wishes[index]!.decision.id;
  const key = `${holder} ${wants}`;
  const clash = run.clashes.get(key) ?? { holder, wants, atoms: new Set<string>() };
  clash.atoms.add(run.cells.atoms[run.cells.atomOf[cell]!]!.id);
  run.clashes.set(key, clash);
}
