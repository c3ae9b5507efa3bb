import type { ForecastLine } from '../forecast/types';
import type { Species } from '../species/types';

/**
 * The shop's number for what is packed; it goes into the bars of the label and stays for ever.
 *
 * @throws RangeError when the catalogue has no number for it
 */
export function itemNumber(species: Species, line: Pick<ForecastLine, 'item'>): number {
  const number = Object.hasOwn(species.items, line.item) ? species.items[line.item] : undefined;
  if (number === undefined)
    throw new RangeError(`"item" expected an item of ${species.id}, got ${line.item}`);
  return number;
}
