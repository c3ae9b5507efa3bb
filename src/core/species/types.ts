import type { Atlas, TissueShares } from './atlasTypes';
import type {
  Break,
  CarcassFlag,
  CarcassType,
  CuttingRules,
  FaceTrim,
  School,
  Shifts,
  Uncertainty,
} from './carcassTypes';

export * from './atlasTypes';
export type * from './carcassTypes';

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

/** What people call a cut besides its own name: other countries' words, household words, dishes made of it. */
export type CutName = {
  readonly say: readonly string[];
  /** A cut's own name, a recipe's, or that of what is kept besides. */
  readonly cut: string;
  /** Where the word means this cut, when elsewhere it means another. */
  readonly where?: string;
  /** The words are dishes. */
  readonly dish?: boolean;
};

/** Offal that stays at the kill floor unless it is asked for. */
export type Offal = {
  readonly id: string;
  readonly label: string;
  /** How many an animal has. */
  readonly perAnimal: number;
};

/** A part of the animal that people ask for and that is not on the carcass, with what to tell them. */
export type AbsentPart = { readonly say: readonly string[]; readonly sentence: string };

/** Why two choices exclude each other, in words for the customer. */
export type Contest = {
  readonly atoms: readonly string[];
  readonly sentence: string;
};

/** A piece that nobody meant to lose: asked about when it would go to the pools unclaimed. */
export type Watch = {
  readonly id: string;
  readonly atoms: readonly string[];
  readonly decision: string;
  readonly sentence: string;
};

/** What the fat, bone and skin pools can be kept as. */
export type PoolKeep = {
  readonly pool: 'fat' | 'stockBone' | 'skin';
  readonly id: string;
  readonly title: string;
  readonly cut: string;
  readonly destination: Destination;
  readonly packLb: number;
  readonly charges: readonly string[];
  readonly house: { readonly keep: boolean; readonly reason: string };
};

/** A way of giving a cut up for sausage, in the order of least regret. */
export type Sacrifice = {
  readonly id: string;
  readonly label: string;
  readonly decision: string;
  readonly option: string;
  /** Part of the zone that is given up. */
  readonly sharePct: number;
};

export type GrindRules = {
  /** Fat wished for in the grind, percent of it, counted as `fatBasis` says. */
  readonly fatPct: {
    readonly default: number;
    readonly min: number;
    readonly max: number;
    /** What the house asks instead in certain circumstances; the first that hold decide. */
    readonly when?: readonly { readonly if: Circumstance; readonly pct: number }[];
  };
  /** Picking fat from the trim by hand: part of the tub that is lost for each point, percent, and how far it goes. */
  readonly picking: { readonly lossPctPerPoint: number; readonly mostPoints: number };
  /** Separable fat is what the knife can part from lean; total fat is what an analysis finds. */
  readonly fatBasis: 'separable' | 'total';
  /** Share of fat, by analysis, in lean and in separable fat. */
  readonly lipid: { readonly lean: number; readonly fat: number };
  /** Share of fat that cannot be culled: of pieces ground whole, and of what is trimmed off cuts. */
  readonly attachedShare: { readonly whole: number; readonly trim: number };
  /** Share of the lean that is sinew and is picked out before grinding. */
  readonly sinewShare: number;
  readonly grinderLossShare: number;
  readonly casingLossShare: number;
  readonly packLb: { readonly default: number; readonly min: number; readonly max: number };
  readonly minBatchLb: { readonly default: number; readonly min: number; readonly max: number };
  readonly kindsPerHalf: number;
  readonly sacrifices: readonly Sacrifice[];
};

export type Recipe = {
  readonly id: string;
  readonly name: string;
  /** Separable fat it is best at, percent. */
  readonly fatPct: number;
  readonly forms: readonly GrindForm[];
  readonly seasoned: boolean;
  readonly ingredients: string;
  readonly allergens: readonly string[];
  /** Rites that what is in it offends. */
  readonly notFor?: readonly string[];
};

export const GRIND_FORMS = ['bulk', 'patties', 'links'] as const;
export type GrindForm = (typeof GRIND_FORMS)[number];

/** A way of curing: what it is charged for, and what the label must say of it, ingredients first. */
export type Cure = { readonly charges: readonly string[]; readonly labelWords: readonly string[] };

export type ShrinkCurve = {
  readonly covering: string;
  /** Shares of what is left: the first 24 hours, each of days 2 to 7, each day after. */
  readonly firstDay: number;
  readonly daysTwoToSeven: number;
  readonly later: number;
};

export type Caution = { readonly id: string; readonly where: string; readonly text: string };

export type MapPoint = readonly [x: number, y: number];

/** The side map: edges are control points shared by the zones on both sides of them. */
export type SideMap = {
  readonly size: readonly [width: number, height: number];
  readonly edges: Readonly<Record<string, readonly MapPoint[]>>;
  readonly zones: Readonly<Record<string, readonly string[]>>;
  readonly labels: Readonly<Record<string, MapPoint>>;
};

/** Rites that keep an animal's meat apart; the authority's own rules stand above what is refused here. */
export const RITES = ['halal', 'kosher'] as const;
export type Rite = (typeof RITES)[number];

/** All that makes a species, as data. */
export type Species = {
  readonly id: string;
  /** The place in the shop's list. */
  readonly listed: number;
  /** The shop's item number of everything that can be packed of it, by `ForecastLine.item`. */
  readonly items: Readonly<Record<string, number>>;
  readonly name: string;
  readonly sideWord: string;
  readonly atlas: Atlas;
  readonly breaks: readonly Break[];
  readonly schools: readonly School[];
  readonly shifts: Shifts;
  readonly types: readonly CarcassType[];
  readonly flags: readonly CarcassFlag[];
  readonly faceTrim?: FaceTrim;
  /** Atoms of which an animal has one, booked half to each side: a measured side has all of it or none. */
  readonly onePerCarcass: readonly string[];
  /** Rites that the species can be slaughtered by. */
  readonly rites: readonly string[];
  /** The bones a saw parts down the middle: a split off centre gives one side more of them. */
  readonly splitBones: readonly string[];
  readonly decisions: readonly Decision[];
  readonly names: readonly CutName[];
  /** The animal's own words, which make no difference beside a cut: `pork chops` are chops. */
  readonly spokenAs: readonly string[];
  readonly absent: readonly AbsentPart[];
  readonly contests: readonly Contest[];
  readonly watches: readonly Watch[];
  /** What can be asked for at the kill floor. */
  readonly offal: readonly Offal[];
  readonly poolKeeps: readonly PoolKeep[];
  readonly cutting: CuttingRules;
  readonly grind: GrindRules;
  readonly recipes: readonly Recipe[];
  readonly cures: Readonly<Record<string, Cure>>;
  readonly shrink: readonly ShrinkCurve[];
  readonly hang: { readonly targetDays: number; readonly longestDays: number };
  readonly sideMap: SideMap;
  readonly cautions: readonly Caution[];
  /** Share by which a forecast line may miss and still be usual, and points of yield for a whole order. */
  readonly uncertainty: Uncertainty;
  readonly tolerance: { readonly lineShare: number };
};
