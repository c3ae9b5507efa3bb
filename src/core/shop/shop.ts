import type { WeighingUnit } from '../quantity/weight';

/** The shop itself. What it is called and weighs in is set once; how it works is in its `HouseRules`. */
export type Shop = {
  readonly name: string;
  /** Every stored weight is in thousandths of it. */
  readonly unit: WeighingUnit;
  /** IANA name of the zone whose calendar the shop keeps. */
  readonly zone: string;
  /** What stands before an amount of money. */
  readonly currency: string;
  /** Number of the inspected establishment; null for a shop without one. */
  readonly establishment: string | null;
  /** Digits that the shop's item numbers begin with in the bars of a label. */
  readonly codePrefix: string;
  readonly demo: boolean;
};
