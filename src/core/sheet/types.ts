import type { Weight } from '../quantity/weight';
import type { GrindForm } from '../species/types';

/**
 * How much of a zone a form takes. The last form of a zone takes the rest; an earlier one without an amount takes as
 * it falls: its own pieces, or its own size. Packs, pieces and weights are of the whole share, both its sides
 * together, unless each side is said; a share and a length, which is measured along the animal, hold on each side.
 */
export type Amount =
  | { readonly kind: 'rest' }
  | { readonly kind: 'share'; readonly pct: number }
  | { readonly kind: 'packs'; readonly count: number; readonly eachSide?: boolean }
  | { readonly kind: 'pieces'; readonly count: number; readonly eachSide?: boolean }
  | { readonly kind: 'weight'; readonly weight: Weight; readonly eachSide?: boolean }
  | { readonly kind: 'length'; readonly inches: number };

/** Answers to an option's parameters: inches, thousandths of the shop's unit, counts, yes/no or a word. */
export type ParamValues = Readonly<Record<string, number | boolean | string>>;

/** One form a zone is cut into. */
export type Form = {
  readonly option: string;
  readonly amount: Amount;
  readonly params: ParamValues;
  /** An option of the same zone that the cutter may take instead when the piece does not look right for this one. */
  readonly otherwise?: string;
};

/** What a customer decided at a zone: one form, or several with the rest to the last. */
export type Answer = { readonly forms: readonly Form[] };

export type GrindLine = {
  readonly recipe: string;
  readonly form: GrindForm;
  readonly amount: { readonly kind: 'weight'; readonly weight: Weight } | { readonly kind: 'rest' };
  readonly packWeight: Weight;
  /** How big a patty, which casing, bag or tube: an id of `GRIND_SIZES`. As the shop does it when absent. */
  readonly size?: string;
};

/** What becomes of the grind: how fat, and which lines; the last line takes the rest. */
export type GrindOrder = {
  readonly fatPct: number;
  readonly lines: readonly GrindLine[];
  /** Whether fat is picked from the trim by hand when the grind would come out fatter than asked. */
  readonly picked?: boolean;
};

export const WRAPS = ['vacuum', 'paper'] as const;
export type Wrap = (typeof WRAPS)[number];

/** One customer's wishes for one share. Zones without an answer are open questions. */
export type Sheet = {
  readonly species: string;
  readonly answers: Readonly<Record<string, Answer>>;
  /** Answers of the second side where they differ from the first; only for a share that holds both. */
  readonly secondSide: Readonly<Record<string, Answer>>;
  readonly keeps: Readonly<Record<string, boolean>>;
  /** Ids of the offal that the household asks for at the kill floor: it is not on the carcass and in no weight here. */
  readonly offal?: readonly string[];
  readonly grind: GrindOrder;
  readonly wrap: Wrap;
  /** Words that stop the cutter once; empty when there are none. */
  readonly instructions: string;
};
