/** The kinds of tissue that an atom is made of; percentages of an atom add up to 100. */
export const TISSUES = ['lean', 'fat', 'bone', 'skin'] as const;
export type Tissue = (typeof TISSUES)[number];
export type TissueShares = Readonly<Record<Tissue, number>>;

/** Where an atom goes when nobody claims it: tissue by tissue to the pools, whole to bone, or inedible. */
export type Leftover = 'pools' | 'bone' | 'inedible';

/** The smallest piece of a cold side that a choice can claim. */
export type Atom = {
  readonly id: string;
  readonly name: string;
  readonly primal: string;
  /** Percent of the cold side. All atoms of a species add up to 100. */
  readonly sharePct: number;
  /** Percent of the atom. */
  readonly composition: TissueShares;
  /** First and last vertebra or rib it spans, evenly; absent when it does not move with a break. */
  readonly span?: readonly [from: string, to: string];
  /** Inches at the species' reference side. */
  readonly lengthIn?: number;
  readonly leftover: Leftover;
  /** Fat left on the outside at about `coverLeftIn`; trimming closer takes it off in proportion. */
  readonly cover?: boolean;
  /** Bone that makes stock when the customer wants bones. */
  readonly stockBone?: boolean;
  /** Institutional meat purchase item number, for people who order by it. */
  readonly item?: string;
  readonly note?: string;
};

/** A part that is weighed in only when the shop leaves it on the carcass, as percent of the base side. */
export type AddOn = {
  readonly atom: Atom;
  /** The word the booking form uses. */
  readonly label: string;
};

export type Atlas = {
  readonly reference: {
    /** Pounds: the cold side that lengths and figures refer to. */
    readonly sideLb: number;
    /** Inches of cover fat that the reference atlas leaves on. */
    readonly coverLeftIn: number;
  };
  /** The running order of vertebrae, fore to hind. Ribs share the index of their thoracic vertebra. */
  readonly vertebrae: readonly string[];
  readonly atoms: readonly Atom[];
  readonly addOns: readonly AddOn[];
  readonly source: string;
};

/** Where meat goes, the same on every screen. */
export const DESTINATIONS = ['steaks', 'roasts', 'grind', 'cured', 'bones', 'offal', 'lost'] as const;
export type Destination = (typeof DESTINATIONS)[number];

/** Share of each tissue taken off an atom before it is packed. */
export type TrimRule = TissueShares;

/** What a choice takes of an atom. */
export type Claim = {
  readonly atom: string;
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
  | { readonly kind: 'slices'; readonly run: readonly string[]; readonly thickness: string }
  | { readonly kind: 'discs'; readonly run: readonly string[] }
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
  readonly method?: 'dry';
  readonly trim?: TrimRule;
  readonly charges: readonly string[];
  /** What the label must say beyond the cut: "cook before eating". */
  readonly labelWords: readonly string[];
};

/** The cut that a choice makes of what it claims. */
export type Product = {
  /** The shop's word, printed on the label. */
  readonly cut: string;
  readonly destination: Destination;
  readonly claims: readonly Claim[];
  readonly trim: TrimRule;
  /** Takes the skin off when the named yes/no parameter is answered no. */
  readonly skinParam?: string;
  /** Inches of cover left, as a length parameter; absent when the cut has no cover to choose. */
  readonly coverParam?: string;
  /** Sawn at the thickness of this parameter or at these inches; absent when knife-cut or whole. */
  readonly saw?: { readonly param: string } | { readonly thicknessIn: number };
  readonly pieces: PieceRule;
  readonly packs: PackRule;
  /** Finished weight as a share of green weight; 1 for fresh. */
  readonly finishedYield: number;
  /** Keys that the price list charges for. */
  readonly charges: readonly string[];
  readonly cure?: CureForm;
  /** A count of ribs decides the span: the last so many ribs of this span. */
  readonly lastRibs?: { readonly param: string; readonly of: readonly [from: string, to: string] };
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
  readonly house: { readonly option: string; readonly then?: string; readonly reason: string };
  /** Asked only when this add-on was left on the carcass. */
  readonly needsAddOn?: string;
  /** May be answered in several forms with "the rest to". */
  readonly divisible?: boolean;
};

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
  /** Separable fat in the grind, percent. */
  readonly fatPct: { readonly default: number; readonly min: number; readonly max: number };
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

/** All that makes a species, as data. */
export type Species = {
  readonly id: string;
  readonly name: string;
  readonly sideWord: string;
  readonly atlas: Atlas;
  readonly decisions: readonly Decision[];
  readonly contests: readonly Contest[];
  readonly watches: readonly Watch[];
  readonly poolKeeps: readonly PoolKeep[];
  readonly cutting: {
    readonly shrinkShare: number;
    /** Blade width in inches, and the share of its volume that is really lost. */
    readonly kerfIn: number;
    readonly kerfMassShare: number;
    /** Squaring loss per run, inches. */
    readonly endLossIn: number;
  };
  readonly grind: GrindRules;
  readonly recipes: readonly Recipe[];
  readonly cures: Readonly<Record<string, Cure>>;
  readonly shrink: readonly ShrinkCurve[];
  readonly hang: { readonly targetDays: number; readonly longestDays: number };
  readonly sideMap: SideMap;
  readonly cautions: readonly Caution[];
  /** Share by which a forecast line may miss and still be usual, and points of yield for a whole order. */
  readonly tolerance: { readonly lineShare: number; readonly orderShare: number };
};
