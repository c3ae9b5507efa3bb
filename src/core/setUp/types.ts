import type { CureRecipe } from '../curing/cureRecipe';
import type { HouseRules } from '../shop/houseRules';
import type { Shop } from '../shop/shop';
import type { Atom, Destination, MonthsKept, Species, WrittenRecipe } from '../species/types';
import type { SmokePlan } from '../smokehouse/plan';
import type { Instant } from '../time/shopTime';
import type { Place } from './places';

/** How much the knife takes off a cut of the shop's own. */
export const TRIM_LEVELS = ['untrimmed', 'usual', 'close'] as const;
export type TrimLevel = (typeof TRIM_LEVELS)[number];

/** How a cut of the shop's own comes apart. */
export const OWN_SHAPES = ['whole', 'roasts', 'slices', 'dice'] as const;
export type OwnShape = (typeof OWN_SHAPES)[number];

/** A cut of the shop's own, made of pieces of the animal: as the owner describes it. */
export type OwnCut = {
  /** Stays for ever; the name may change. */
  readonly id: string;
  /** The decision that it is an answer to. */
  readonly decision: string;
  readonly name: string;
  /** Pieces of the atlas that it holds, whole; what else the zone has goes where it goes unclaimed. */
  readonly pieces: readonly string[];
  readonly bone: 'in' | 'out';
  readonly trim: TrimLevel;
  readonly shape: OwnShape;
  /** Pounds of a roast or of a pack of dice, inches of a slice; not read for a whole piece. */
  readonly size: number;
  readonly perPack: number;
  /** Several muscles held together by a net: one piece, however many they are. */
  readonly netted: boolean;
  readonly destination: Exclude<Destination, 'lost' | 'cured'>;
  /** Keys of further charges that it raises. */
  readonly charges: readonly string[];
};

/** What the house says at a decision, with its reason. */
export type HouseSays = { readonly option: string; readonly then?: string; readonly reason: string };

/** Figures of one species that a shop sets for itself; pounds, days, percent. */
export type SpeciesRules = {
  readonly targetDays: number;
  readonly longestDays: number;
  /** A side lighter or heavier than this is asked about. */
  readonly lightLb: number;
  readonly heavyLb: number;
  readonly minBatchLb: number;
  /** Kinds of sausage to a half without more ado. */
  readonly kindsPerHalf: number;
  /** A half from this weight on carries one kind more; 0 for none. */
  readonly anotherKindFromLb: number;
  readonly grindFatPct: number;
  readonly grindPackLb: number;
  /** How far a line may miss its forecast and still be usual, percent. */
  readonly tolerancePct: number;
  /** Whose break places and names are used where an order does not say. */
  readonly school: string;
  readonly months: MonthsKept;
};

/** What a shop has changed of one species. */
export type SpeciesSetUp = {
  /** The pieces with the shop's own shares and tissues, where it has calibrated them. */
  readonly atoms?: readonly Atom[];
  readonly rules: Partial<SpeciesRules>;
  /** Break places that differ from the school's. */
  readonly breaks: Readonly<Record<string, string>>;
  readonly house: Readonly<Record<string, HouseSays>>;
  /** What is kept of fat, bones and skin when nobody says. */
  readonly keeps: Readonly<Record<string, { readonly keep: boolean; readonly reason: string }>>;
  /** `decision.option.param`: what a parameter is when nobody says; inches, pounds, counts, yes or no, a word. */
  readonly defaults: Readonly<Record<string, number | boolean | string>>;
  /** The shop's own word for a cut, by the cut's name in the species' data. */
  readonly words: Readonly<Record<string, string>>;
  /** What else people say for a cut. */
  readonly aliases: Readonly<Record<string, readonly string[]>>;
  /** Options that the shop does not do, as `decision.option`. */
  readonly hidden: readonly string[];
  readonly ownCuts: readonly OwnCut[];
  /** Flavours of the shop's own, and changed ones under the name of what they were. */
  readonly recipes: readonly WrittenRecipe[];
  readonly hiddenRecipes: readonly string[];
};

export const NOTHING_CHANGED: SpeciesSetUp = {
  rules: {},
  breaks: {},
  house: {},
  keeps: {},
  defaults: {},
  words: {},
  aliases: {},
  hidden: [],
  ownCuts: [],
  recipes: [],
  hiddenRecipes: [],
};

/** How a shop is set up, as of one step of its history. */
export type SetUp = {
  /** Of the last step; 0 before the first. */
  readonly number: number;
  /** Of the last step that changed what can be cut or made. */
  readonly catalogueNumber: number;
  readonly rules: HouseRules;
  readonly species: Readonly<Record<string, SpeciesSetUp>>;
  /** Item numbers that were given to what the shop added, by species; they are never taken back. */
  readonly items: Readonly<Record<string, Readonly<Record<string, number>>>>;
  readonly places: readonly Place[];
  /** Cures and plans of the smokehouse of the shop's own, and changed ones under the name of what they were. */
  readonly cureRecipes: readonly CureRecipe[];
  readonly smokePlans: readonly SmokePlan[];
  /** Species that the shop brought itself. */
  readonly ownSpecies: readonly Species[];
};

/** One step of a shop's set-up: it stands for ever, and a later step may take it back. */
export type SetUpStep = {
  readonly number: number;
  readonly change: SetUpChange;
  readonly at: Instant;
  readonly actorName: string;
};

/** What of the shop itself may change: its unit and its zone never do. */
export type ShopFacts = Partial<Pick<Shop, 'name' | 'phone' | 'establishment' | 'codePrefix'>>;

/** One thing that an owner changes. */
export type SetUpChange =
  | { readonly kind: 'rules'; readonly rules: Partial<Omit<HouseRules, 'version'>> }
  | { readonly kind: 'species-rules'; readonly species: string; readonly rules: Partial<SpeciesRules> }
  | { readonly kind: 'break'; readonly species: string; readonly break: string; readonly place: string }
  | {
      readonly kind: 'house';
      readonly species: string;
      readonly decision: string;
      readonly says: HouseSays;
      /** What its parameters are then when nobody says, as `decision.option.param`. */
      readonly usual?: Readonly<Record<string, number | boolean | string>>;
    }
  /** What a parameter is when nobody says: `decision.option.param`. */
  | {
      readonly kind: 'usual';
      readonly species: string;
      readonly param: string;
      readonly value: number | boolean | string;
    }
  | {
      readonly kind: 'keep';
      readonly species: string;
      readonly id: string;
      readonly keep: boolean;
      readonly reason: string;
    }
  /** An empty word gives the cut its own name back. */
  | { readonly kind: 'word'; readonly species: string; readonly cut: string; readonly word: string }
  | {
      readonly kind: 'alias';
      readonly species: string;
      readonly cut: string;
      readonly say: readonly string[];
    }
  | { readonly kind: 'offer'; readonly species: string; readonly option: string; readonly offered: boolean }
  /** A new cut of the shop's own, or another description of one that is there. */
  | {
      readonly kind: 'own-cut';
      readonly species: string;
      readonly cut: OwnCut;
      readonly items: Readonly<Record<string, number>>;
    }
  | { readonly kind: 'without-own-cut'; readonly species: string; readonly id: string }
  | {
      readonly kind: 'recipe';
      readonly species: string;
      readonly recipe: WrittenRecipe;
      readonly items: Readonly<Record<string, number>>;
    }
  | {
      readonly kind: 'offer-recipe';
      readonly species: string;
      readonly id: string;
      readonly offered: boolean;
    }
  /** The pieces of a species with other shares and tissues. */
  | { readonly kind: 'atlas'; readonly species: string; readonly atoms: readonly Atom[] }
  /** A species of the shop's own, or another description of one that is there. */
  | {
      readonly kind: 'species';
      readonly own: Species;
      readonly items: Readonly<Record<string, number>>;
    }
  /** Facts of the shop itself, and what they were before. */
  | { readonly kind: 'shop'; readonly shop: ShopFacts; readonly was: ShopFacts }
  | { readonly kind: 'cure-recipe'; readonly recipe: CureRecipe }
  | { readonly kind: 'smoke-plan'; readonly plan: SmokePlan }
  | { readonly kind: 'place'; readonly place: Place }
  | { readonly kind: 'without-place'; readonly id: string }
  /** Takes an earlier step back; the later ones stay. */
  | { readonly kind: 'back'; readonly step: number };
