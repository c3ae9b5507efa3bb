/** The kinds of tissue that an atom is made of; percentages of an atom add up to 100. */
export const TISSUES = ['lean', 'fat', 'bone', 'skin'] as const;
export type Tissue = (typeof TISSUES)[number];
export type TissueShares = Readonly<Record<Tissue, number>>;

/**
 * Where an atom goes when nobody claims it: tissue by tissue to the pools, whole to bone, to the hard fat that no
 * grind draws from (its bone to bone), or inedible.
 */
export type Leftover = 'pools' | 'bone' | 'fat' | 'inedible';

/** Shares of lean and of fat that the knife leaves on a bone, and that leave with it. */
export type Residue = { readonly lean: number; readonly fat: number };

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
  /** What stays on the bone when nobody claims it and it is boned out. */
  readonly residue?: Residue;
  /** Share of its fat that cannot be culled from the grind at normal labour; the species' own when absent. */
  readonly attachedShare?: number;
  /** Its fat is on the outside or in open seams: a wish for more or less fat left on reaches it. */
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

/** Parts of a carcass that can be a share of their own. */
export const QUARTERS = ['fore', 'hind'] as const;
export type Quarter = (typeof QUARTERS)[number];

export type Atlas = {
  readonly reference: {
    /** Pounds: the cold side that lengths and figures refer to. */
    readonly sideLb: number;
    /** Inches of cover fat that the reference atlas leaves on. */
    readonly coverLeftIn: number;
  };
  /** The primals of each quarter; absent for a species that is not quartered. */
  readonly quarters?: Readonly<Record<Quarter, readonly string[]>>;
  /** What a skinned carcass of the species lacks: atoms gone, and those whose fat comes away with the skin. */
  readonly skinning?: {
    readonly gone: readonly string[];
    readonly back: string;
    readonly covers: readonly string[];
    /** Percent of the base side, half from the back and half from the covers. */
    readonly knifeLossPct: number;
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
  /** One piece spans both sides, so that each side counts half of it. */
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

/** What people call a cut besides its own name: other countries' words, household words, dishes made of it. */
export type CutName = {
  readonly say: readonly string[];
  readonly cut: string;
  /** Where the word means this cut, when elsewhere it means another. */
  readonly where?: string;
  /** The words are dishes. */
  readonly dish?: boolean;
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
  /** Fat wished for in the grind, percent of it, counted as `fatBasis` says. */
  readonly fatPct: { readonly default: number; readonly min: number; readonly max: number };
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

/** Moves cells of one atom under the name and the rules of another; their tissue stays what it is. */
export type Move = {
  readonly from: string;
  readonly to: string;
  /** Part of each cell; 1 when absent. */
  readonly share?: number;
};

/** Where a break can be made: behind a vertebra or rib, or as a list of moves when it is no place on the spine. */
export type BreakPlace = {
  readonly id: string;
  readonly label: string;
  /** The last vertebra on the fore side. */
  readonly behind?: string;
  readonly moves?: readonly Move[];
};

/**
 * A cut between two zones. Given to another place, the slices between the two places change their zone: those of
 * `foreToHind` when it goes forward, those of `hindToFore` when it goes back.
 */
export type Break = {
  readonly id: string;
  readonly title: string;
  readonly reference: string;
  readonly places: readonly BreakPlace[];
  readonly foreToHind?: readonly Move[];
  readonly hindToFore?: readonly Move[];
  /** What moving it means, for the customer. */
  readonly note?: string;
};

/** A set of break places and cut names; a shop may have its own on top. */
export type School = {
  readonly id: string;
  readonly name: string;
  readonly breaks: Readonly<Record<string, string>>;
  /** The school's word for a cut, by the cut's own name. */
  readonly names: Readonly<Record<string, string>>;
  /** House answers of the school where they differ from the species'. */
  readonly house?: Readonly<Record<string, string>>;
  readonly note?: string;
};

/** Changes of the tissues, in points of the whole side. */
export type TissuePoints = Readonly<Partial<TissueShares>>;

/** How the atlas of a species shifts with a carcass. Every step multiplies tissue weights, then adds up to 100 again. */
export type Shifts = {
  /** Fat measured on the carcass: what it is called, its usual value, and what a unit of it moves. */
  readonly fatness: {
    readonly label: string;
    readonly unit: string;
    readonly reference: number;
    readonly min: number;
    readonly max: number;
    /** Points of the whole side for each unit above the reference. */
    readonly points?: TissuePoints;
    /** How strongly each atom's fat follows the measure: fat x (1 + k x (measure / reference - 1)). */
    readonly sensitivity?: { readonly atoms: Readonly<Record<string, number>>; readonly others: number };
  };
  /** Points of the whole side for each pound of cold side above the reference, at the same fatness. */
  readonly perSideLb?: TissuePoints;
  /** Points for each pound when the fatness is not known, in place of `perSideLb`. */
  readonly perSideLbUnknownFatness?: TissuePoints;
  /** Sides are taken to shift only between these weights, pounds. */
  readonly sideLb: readonly [from: number, to: number];
  /** The side's own fat stays between these percentages. */
  readonly fatPct: readonly [least: number, most: number];
  /** The eye muscle measured on the carcass, square inches, and the atoms that follow it. */
  readonly eye?: { readonly referenceSqIn: number; readonly atoms: readonly string[] };
};

/** A finish, breed type, sex or age that moves the whole atlas. */
export type CarcassType = {
  readonly id: string;
  readonly label: string;
  /** What the side's tissues come to at its usual weight, percent. */
  readonly target?: TissuePoints;
  readonly points?: TissuePoints;
  /** Multiplies each tissue of every atom. */
  readonly tissues?: TissuePoints;
  /** Multiplies single atoms. */
  readonly atoms?: Readonly<Record<string, number>>;
  /** What the measure of fatness and the eye usually are, where the carcass says neither. */
  readonly fatness?: number;
  readonly eyeSqIn?: number;
  readonly lengthFactor?: number;
  readonly lipidLean?: number;
  readonly coverShift?: number;
  readonly note?: string;
};

/** A fact of a carcass that takes pieces away or keeps bones out of the cuts. */
export type CarcassFlag = {
  readonly id: string;
  readonly label: string;
  /** Atoms that leave whole, as waste kept apart. */
  readonly wastes: readonly string[];
  /** Atoms that no cut may hold. */
  readonly forbids: readonly string[];
  readonly sentence: string;
};

/** Dried face and mould that is cut off before anything else, and where it comes from. */
export type FaceTrim = {
  /** Shares of the cutting-day weight for each day after `afterDay`. */
  readonly perDay: readonly { readonly afterDay: number; readonly share: number }[];
  readonly where: readonly { readonly atoms: readonly string[]; readonly share: number }[];
};

/** How far carcasses and hands lie beside the figures, as shares; standard deviations. */
export type Uncertainty = {
  /** Of an atom's weight, animal by animal. */
  readonly atomCv: number;
  /** Of a cut's weight by the hand that trims it. */
  readonly cutCv: number;
  /** Of the whole take-home, in parts of the cold weight: the fatness nobody measured. */
  readonly sideSd: number;
  /** Of a shop's own usual against the reference, before it has finished an order. */
  readonly priorSd: number;
};

/** What the block takes, whatever is cut; one model for every species, with the species' own figures. */
export type CuttingRules = {
  /** Lost from the whole side to air and drip before it is cut. */
  readonly shrinkShare: number;
  /** Lost from every packed pound to drip, air and the table. */
  readonly packShrinkShare: number;
  /** Blade width in inches, and the share of its volume that is really lost. */
  readonly kerfIn: number;
  readonly kerfMassShare: number;
  /** Squaring loss per run, inches. */
  readonly endLossIn: number;
  /** A rest of at least this share of a slice is one thin end piece; absent where rests are never pieces. */
  readonly thinEndShare?: number;
  /** What boning leaves on the bones of a boned cut. */
  readonly boningResidue: Residue;
  /**
   * How a wish for fat left on moves the fat rule of pieces with cover: inches left, and what is added to the share
   * taken off. Straight between the points, ascending.
   */
  readonly coverShift: readonly (readonly [inches: number, shift: number])[];
};

/** All that makes a species, as data. */
export type Species = {
  readonly id: string;
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
  /** The bones a saw parts down the middle: a split off centre gives one side more of them. */
  readonly splitBones: readonly string[];
  readonly decisions: readonly Decision[];
  readonly names: readonly CutName[];
  readonly contests: readonly Contest[];
  readonly watches: readonly Watch[];
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
  readonly tolerance: { readonly lineShare: number; readonly orderShare: number };
};
