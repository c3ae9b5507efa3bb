import type { Forecast } from '../forecast/types';
import type { HouseRules } from '../shop/houseRules';
import type { Wrap } from '../sheet/types';

/**
 * What is to be made of a share: frozen when it goes to the block, so that neither new data nor new rules nor new code
 * change what was agreed. Weighing, wrapping, reconciling and settling stand on it.
 */
export type Plan = {
  /** The catalogue it was made by. */
  readonly catalogueVersion: string;
  readonly rules: HouseRules;
  /** Lists are append-only: the id names the prices that hold. */
  readonly priceListId: string;
  readonly expected: Forecast;
  /** The shop's item number of each line, by its key. */
  readonly items: Readonly<Record<string, number>>;
  readonly wrap: Wrap;
  /** Words that stop the cutter once. */
  readonly instructions: string;
  /** Share by which a line may miss and still be usual. */
  readonly lineTolerance: number;
};
