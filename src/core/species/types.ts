import type { Atlas } from './atlasTypes';
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
import type { Circumstance, Decision, Destination } from './decisionTypes';
import type { Guide } from './guideTypes';
import type { SpeciesHelp } from './helpTypes';
import type { Recipe } from './recipeTypes';

export * from './atlasTypes';
export * from './decisionTypes';
export type * from './guideTypes';
export type * from './helpTypes';
export * from './recipeTypes';
export type * from './carcassTypes';

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
  /** A half from this cold weight on, pounds, carries one kind more. */
  readonly anotherKindFromLb?: number;
  readonly sacrifices: readonly Sacrifice[];
};

/** A way of curing: what it is charged for, and what the label must say of it, ingredients first. */
export type Cure = { readonly charges: readonly string[]; readonly labelWords: readonly string[] };

export type ShrinkCurve = {
  readonly covering: string;
  /** Holds for carcasses that were skinned, where the species usually keeps its skin. */
  readonly skinned?: true;
  /** Holds where the fat over the lean is thin. */
  readonly thinCover?: true;
  /** Holds under film or stockinette, or bare; said where the species hangs either way. */
  readonly covered?: boolean;
  /** Shares of what is left: the first 24 hours, each of days 2 to 7, each day after. */
  readonly firstDay: number;
  readonly daysTwoToSeven: number;
  readonly later: number;
};

export type Caution = { readonly id: string; readonly where: string; readonly text: string };

export type MapPoint = readonly [x: number, y: number];

/** A run of ribs between two edges: each end is a break, where the shop makes it, or a rib such as `T5`. */
export type RibRun = {
  readonly back: string;
  readonly front: string;
  readonly from: string;
  readonly until: string;
};

/** The side map: edges are control points shared by the zones on both sides of them. */
export type SideMap = {
  readonly size: readonly [width: number, height: number];
  readonly edges: Readonly<Record<string, readonly MapPoint[]>>;
  readonly zones: Readonly<Record<string, readonly string[]>>;
  readonly labels: Readonly<Record<string, MapPoint>>;
  /** Where ribs are counted on it, from hind to head. */
  readonly ribs?: readonly RibRun[];
  /** Whether it hangs as a right half; the map of a species is a left one. */
  readonly mirrored?: boolean;
};

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
  /** What an animal takes: feet of rail a side, and minutes of cutting a whole carcass in the usual mix of cuts. */
  readonly room: { readonly feetPerSide: number; readonly minutesPerAnimal: number };
  readonly sideMap: SideMap;
  readonly cautions: readonly Caution[];
  /** Share by which a forecast line may miss and still be usual, and points of yield for a whole order. */
  readonly uncertainty: Uncertainty;
  readonly tolerance: { readonly lineShare: number };
  /** Help with every way of every decision; a species of a shop's own may have none. */
  readonly help?: SpeciesHelp;
  /** How a side is broken; a species of a shop's own may have none. */
  readonly guide?: Guide;
  /** What a shop has set of its own; nothing of it ships with the app. */
  /** A side lighter or heavier than this, pounds, is asked about. */
  readonly limits?: { readonly lightLb: number; readonly heavyLb: number };
  readonly months?: MonthsKept;
  /** The shop's word for a cut, by the cut's own name; it stands above a school's. */
  readonly words?: Readonly<Record<string, string>>;
  /** The school and the break places that hold where an order does not say. */
  readonly usual?: { readonly school?: string; readonly breaks: Readonly<Record<string, string>> };
};

/** Months that frozen packs keep their quality, by wrap and by what they are. */
export type MonthsKept = Readonly<
  Record<'vacuum' | 'paper', { readonly cut: number; readonly grind: number; readonly cured: number }>
>;
