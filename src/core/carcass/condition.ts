import type { Quarter, Rite } from '../species/types';

/**
 * What a carcass is beyond its species and its weight, as found on the rail or said by the farm. Everything is
 * optional: an empty condition is the reference carcass.
 */
export type Condition = {
  /** Finish, breed type or age class: an id of the species' types. */
  readonly type?: string;
  /** The species' measure of fatness, in its unit. */
  readonly fatness?: number;
  /** Measured loin eye, square inches. */
  readonly eyeSqIn?: number;
  /** Skinned instead of scalded, where the atlas has skin on. */
  readonly skinned?: boolean;
  /** The rite it was slaughtered by, where the owner asks for it to be kept apart. */
  readonly rite?: Rite;
  /** Ids of the species' flags that hold. */
  readonly flags?: readonly string[];
  /** Share of an atom that was already gone when the side was weighed, 0 to 1. */
  readonly missing?: Readonly<Record<string, number>>;
  /** Share of an atom that is condemned or bruised and leaves after weighing, 0 to 1. */
  readonly condemned?: Readonly<Record<string, number>>;
  /** Share of the spine's bones that the split gave this side, percent; 50 when it ran true. */
  readonly spinePct?: number;
  /** Whether this side carries the pieces an animal has one of; booked half to each side when absent. */
  readonly carries?: Readonly<Record<string, boolean>>;
  /** Days on the rail, for the dried face; none is cut off when absent. */
  readonly daysHung?: number;
  /** Cover too thin to keep the face from drying. */
  readonly thinCover?: boolean;
};

/** How a carcass is broken and what is known of it; everything the block needs beyond its species and weight. */
export type CarcassFacts = {
  /** Whose break places and cut names are used; the species' reference when absent. */
  readonly school?: string;
  /** Break places that differ from the school's, by break. */
  readonly breaks?: Readonly<Record<string, string>>;
  readonly condition?: Condition;
};

/** What of an animal a share is, as far as the block is concerned. */
export type Part = 'side' | Quarter;
