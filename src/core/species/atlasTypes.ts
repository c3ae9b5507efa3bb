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
