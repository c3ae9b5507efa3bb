import type { Residue, TissueShares } from './atlasTypes';

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
  /** How much further apart animals of this type lie than the species' usual: times its uncertainty; 1 when absent. */
  readonly spread?: number;
  /** Pounds of a side between which there are animals of this type; the species' own band when absent. */
  readonly sideLb?: readonly [from: number, to: number];
  /** House answers that suit the type, by decision. */
  readonly house?: Readonly<Record<string, string>>;
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
  /** Atoms that were taken off before the side was weighed. */
  readonly missing?: readonly string[];
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
