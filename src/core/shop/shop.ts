import Joi from 'joi';
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
  /** What its customers ring; null while nobody has said. */
  readonly phone: string | null;
  /** Digits that the shop's item numbers begin with in the bars of a label. */
  readonly codePrefix: string;
  readonly demo: boolean;
};

/** What of a shop is said at its beginning and may be said anew. */
export const shopFields = {
  name: Joi.string().trim().min(1).max(80),
  establishment: Joi.string().trim().max(20).allow(null),
  phone: Joi.string().trim().max(30).allow(null),
  // Behind more digits there is no room for the item numbers in the bars of a label.
  codePrefix: Joi.string().pattern(/^\d{3,7}$/, { name: '3 to 7 digits' }),
};
