import type { Weight } from '../quantity/weight';
import type { Destination } from '../species/types';
import type { NamedPieces } from './pieces';

/** Weights of the trim that comes off a cut, by the pool it goes to. */
export type TrimWeights = {
  readonly lean: Weight;
  readonly fat: Weight;
  readonly bone: Weight;
  readonly skin: Weight;
};

/** Where a line comes from: cut on the block, made in the grind room, or kept from a pool. */
export type LineKind = 'cut' | 'grind' | 'kept';

/**
 * One kind of package in the boxes. All weights in thousandths of the shop's unit;
 * `gross = packaged + airLoss + cureLoss + kerf + trim` exactly.
 */
export type ForecastLine = {
  /** Stable within a sheet: decision, form and product. */
  readonly key: string;
  readonly kind: LineKind;
  readonly decision: string;
  /** The word that is printed: the school's, or the cut's own. */
  readonly cut: string;
  /** The cut's own name in the species' data, whatever it is called here. */
  readonly ownCut: string;
  /** What is packed, whatever it is called and however it was asked for; the shop's item number hangs on it. */
  readonly item: string;
  readonly destination: Destination;
  readonly gross: Weight;
  readonly trim: TrimWeights;
  readonly kerf: Weight;
  /** What the packed pounds lose to drip and air. */
  readonly airLoss: Weight;
  /** What cure and smoke take away; negative when brine stays in. */
  readonly cureLoss: Weight;
  readonly packaged: Weight;
  /** One in ten such lines is expected below the low, one above the high: P10 and P90. */
  readonly low: Weight;
  readonly high: Weight;
  /** Standard deviation of the packed weight, as a share of it. */
  readonly relativeSd: number;
  /** Weight of the shop's own orders in this line against the reference, 0 to 1. */
  readonly evidence: number;
  /** Null where pieces are not counted. */
  readonly pieces: number | null;
  /** Names that change along the cut, with the pieces that carry each; empty where it has one name. */
  readonly names: readonly NamedPieces[];
  readonly packs: number;
  /** On how many sides of the animal it is cut. */
  readonly sides: number;
  readonly piecesPerPack: number | null;
  readonly packWeight: Weight | null;
  readonly thicknessIn: number | null;
  /** How it is cured; null for fresh. */
  readonly cure: string | null;
  readonly charges: readonly string[];
  readonly labelWords: readonly string[];
};

/** Everything on the rail that does not reach a box. */
export type Losses = {
  readonly fat: Weight;
  readonly bone: Weight;
  readonly skin: Weight;
  readonly inedible: Weight;
  readonly cure: Weight;
  readonly kerf: Weight;
  readonly grinder: Weight;
  readonly cuttingShrink: Weight;
};

/** What the trim tubs hold and what the grind draws from them. */
export type GrindPool = {
  readonly lean: Weight;
  readonly fat: Weight;
  readonly fatUsed: Weight;
  /** Lean and fat together, after the grinder's loss. */
  readonly grind: Weight;
  /** Fat really reached, percent, counted as the species counts it. */
  readonly fatPct: number;
  /** The leanest this trim can come out without cutting fat off it piece by piece. */
  readonly floorPct: number;
  /** Separable fat of the grind, percent. */
  readonly separablePct: number;
  /** Lean lost with the fat that is picked from the trim by hand. */
  readonly leanPicked: Weight;
  /** Fat that hangs on the trim and cannot be culled but by hand. */
  readonly attachedFat: Weight;
};

/** What a share is expected to become. `sum(lines.packaged) + sum(losses) = coldWeight`, to the thousandth. */
export type Forecast = {
  readonly coldWeight: Weight;
  readonly lines: readonly ForecastLine[];
  readonly losses: Losses;
  readonly pool: GrindPool;
  readonly takeHome: Weight;
  readonly takeHomeLow: Weight;
  readonly takeHomeHigh: Weight;
  /**
   * How single orders scatter by the reference, how sure their usual is left out: standard deviations, as shares. What all
   * lines of an animal have more or less together is `together`.
   */
  readonly scatter: { readonly grind: number; readonly takeHome: number; readonly together: number };
  /** Packaged on cold weight, hundredths of a percent. */
  readonly yieldBp: number;
  readonly freezerCuFt: number;
};
