import type { TissueShares } from './atlasTypes';

/** Where meat goes, the same on every screen. */
export const DESTINATIONS = ['steaks', 'roasts', 'grind', 'cured', 'bones', 'offal', 'lost'] as const;
export type Destination = (typeof DESTINATIONS)[number];

/** What each destination is called, on every screen. */
export const DESTINATION_WORDS: Readonly<Record<Destination, string>> = {
  steaks: 'steaks, chops',
  roasts: 'roasts',
  grind: 'grind',
  cured: 'cured and smoked',
  bones: 'ribs, bones',
  offal: 'offal, fat kept',
  lost: 'lost',
};

/** Share of each tissue taken off an atom before it is packed. */
export type TrimRule = TissueShares;

/** What a choice takes of an atom. */
export type Claim = {
  readonly atom: string;
  /** Replaces the product's trim rule for this atom, tissue by tissue. */
  readonly trim?: Partial<TrimRule>;
  /** Part of the atom inside the decision's span; 1 when absent. */
  readonly share?: number;
  /** Replaces the decision's span for this atom. */
  readonly span?: readonly [from: string, to: string];
  /** A yielding claim takes what firm claims leave; two firm claims on one piece are a clash. */
  readonly yields?: boolean;
  /** Takes less for each unit of a parameter: inches of flank end cut off, inches narrowed. */
  readonly lessPer?: { readonly param: string; readonly share: number };
  /** Takes the share that a percentage parameter says instead of `share`. */
  readonly sharePctParam?: string;
  /** Claimed only when a yes/no parameter says so: the hock on a shank-on ham. */
  readonly onlyIf?: string;
};

export type ParamSpec =
  | {
      readonly id: string;
      readonly kind: 'length';
      readonly label: string;
      readonly defaultIn: number;
      readonly minIn: number;
      readonly maxIn: number;
      readonly words?: Readonly<Record<string, number>>;
    }
  | {
      readonly id: string;
      readonly kind: 'weight';
      readonly label: string;
      readonly defaultLb: number;
      readonly minLb: number;
      readonly maxLb: number;
    }
  | {
      readonly id: string;
      readonly kind: 'count';
      readonly label: string;
      readonly default: number;
      readonly min: number;
      readonly max: number;
    }
  | { readonly id: string; readonly kind: 'yesNo'; readonly label: string; readonly default: boolean }
  | {
      readonly id: string;
      readonly kind: 'choice';
      readonly label: string;
      readonly default: string;
      readonly options: Readonly<Record<string, string>>;
    };

/** How a cut falls into pieces. */
export type PieceRule =
  | {
      readonly kind: 'slices';
      readonly run: readonly string[];
      readonly thickness: string;
      /** A second run, sliced apart from the first: bottom round beside top round. */
      readonly alongside?: readonly string[];
      /** Inches of the run that can be sliced at the reference side; the whole run when absent. */
      readonly lengthIn?: number;
      /** Replaces the species' end loss. */
      readonly endLossIn?: number;
      /** Each slice is cut into so many pieces: a count parameter. */
      readonly parts?: string;
    }
  | {
      readonly kind: 'discs';
      readonly run: readonly string[];
      /** Vertebrae or ribs to a piece: a count parameter; 1 when absent. */
      readonly perPiece?: string;
    }
  | { readonly kind: 'roasts'; readonly weight: string }
  | { readonly kind: 'each'; readonly eachLb: number }
  | { readonly kind: 'fixed'; readonly count: number }
  | { readonly kind: 'uncounted' };

/** How pieces go into packs: some to a pack, or by weight. */
export type PackRule =
  | { readonly kind: 'pieces'; readonly param: string }
  | { readonly kind: 'weight'; readonly param: string }
  | { readonly kind: 'single' };

/** How the same piece comes out when it is cured: green weight first, finished weight weeks later. */
export type CureForm = {
  readonly cut: string;
  /** It is bacon, whose nitrite has limits of its own. */
  readonly bacon?: true;
  /** Finished weight as a share of green weight; above 1 when brine stays in. */
  readonly finishedYield: number;
  /** A choice parameter whose answer `fresh` means that nothing is cured; absent when it always is. */
  readonly param?: string;
  /** The cure that is always given, where nobody is asked. */
  readonly method?: string;
  readonly trim?: TrimRule;
  readonly charges: readonly string[];
  /** What the label must say beyond the cut: "cook before eating". */
  readonly labelWords: readonly string[];
};

/**
 * From where on along a run a piece has a name: from the fore face of a vertebra, or some inches behind it at the
 * reference side. The middle of the piece decides.
 */
export type NameAlong = { readonly name: string; readonly from: string; readonly afterIn?: number };

/** The cut that a choice makes of what it claims. */
export type Product = {
  /** The shop's word, printed on the label. */
  readonly cut: string;
  /** Names that change along the run, fore to hind. */
  readonly namesAlong?: readonly NameAlong[];
  /** One piece spans both sides, or an animal has one of it: each side counts half. */
  readonly acrossSides?: boolean;
  /** Bones are taken out: the knife leaves the species' boning residue on them. */
  readonly boned?: boolean;
  readonly destination: Destination;
  readonly claims: readonly Claim[];
  readonly trim: TrimRule;
  /** Takes the skin off when the named yes/no parameter is answered no. */
  readonly skinParam?: string;
  /** Inches of cover left, as a length parameter; absent when the cut has no cover to choose. */
  readonly coverParam?: string;
  /**
   * Sawn at the thickness of this parameter, at these inches, or with a fixed share of the weight lost to the blade;
   * absent when knife-cut or whole.
   */
  readonly saw?:
    { readonly param: string } | { readonly thicknessIn: number } | { readonly dustShare: number };
  readonly pieces: PieceRule;
  readonly packs: PackRule;
  /** Finished weight as a share of green weight; 1 for fresh. */
  readonly finishedYield: number;
  /** Keys that the price list charges for. */
  readonly charges: readonly string[];
  readonly cure?: CureForm;
  /** Counted in ribs from the hind end of what it claims: a count parameter. */
  readonly lastRibs?: { readonly param: string };
};

/** One thing a customer can want at a zone. */
export type Option = {
  readonly id: string;
  readonly label: string;
  /** One sentence: what it gives and what it takes. */
  readonly note?: string;
  readonly params?: readonly ParamSpec[];
  /** Empty when everything goes to the pools (ground) or is left for another choice. */
  readonly products: readonly Product[];
  /** Where the zone is coloured when no product says it. */
  readonly destination?: Destination;
  /** Offered only on a share that holds both sides. */
  readonly needsBothSides?: boolean;
  /** Offered only when this tool is in the shop. */
  readonly needsTool?: string;
  /** May only stand alone, not beside other forms of the same zone. */
  readonly aloneOnly?: boolean;
  /**
   * Decisions that are not asked beside it, since it has their pieces: a whole shoulder has the picnic. `*` stands for
   * every other one.
   */
  readonly takesOver?: readonly string[];
  /** A part of the zone by itself, such as half a ham: what its claims are of it when nothing else is said. */
  readonly ownSharePct?: number;
  /** Lies at the hind end of the zone, so many inches at the reference side when nothing else is said. */
  readonly fromHind?: { readonly inches: number };
};

/** What has to hold of an animal; all that is said. What is not known of it does not hold. */
export type Circumstance = {
  readonly types?: readonly string[];
  readonly flags?: readonly string[];
  /** In the species' measure of fatness. */
  readonly fatnessOver?: number;
  readonly fatnessUnder?: number;
  /** Cold weight of a side, pounds. */
  readonly sideLbOver?: number;
  readonly sideLbUnder?: number;
  /** Of the kill, 1 to 12. */
  readonly months?: readonly number[];
};

/** The house's way in some circumstance: another answer, or words to think about beside the usual one. */
export type HouseWhen = {
  readonly if: Circumstance;
  readonly option?: string;
  readonly then?: string;
  readonly reason: string;
};

export type Decision = {
  readonly id: string;
  readonly title: string;
  /** Zone of the side map, and the step of the break order. */
  readonly zone: string;
  readonly step: number;
  /** Where it is kept, it is taken off by hand before any saw comes near it. */
  readonly pulledFirst?: boolean;
  readonly span?: readonly [from: string, to: string];
  readonly options: readonly Option[];
  /** The house's answer, with the reason in one line. */
  readonly house: {
    readonly option: string;
    readonly then?: string;
    readonly reason: string;
    /** The answer stands beside another one of the house; where that is not given, the house says otherwise. */
    readonly beside?: {
      readonly decision: string;
      /** Any of these answers of the other decision. */
      readonly options: readonly string[];
      readonly otherwise: string;
      readonly reason: string;
    };
    /** What the house says instead, or adds, in certain circumstances; the first that hold decide. */
    readonly when?: readonly HouseWhen[];
  };
  /** Asked only when this add-on was left on the carcass. */
  readonly needsAddOn?: string;
  /** Not asked about when it has no answer: what it speaks of is then ground. */
  readonly optional?: boolean;
  /** May be answered in several forms with "the rest to". */
  readonly divisible?: boolean;
};
