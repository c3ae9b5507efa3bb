import { carcassHere } from '../carcass/carcassHere';
import type { CarcassFacts } from '../carcass/condition';
import { convertUnits, inUnits } from '../quantity/weight';
import type { Shop } from '../shop/shop';
import type { Species } from '../species/types';
import { dayIn, daysBetween } from '../time/shopTime';
import type { Animal } from './animal';
import { conditionWith } from './found';
import type { HungSide } from './shareFile';
import { netOf } from './standing';

type Hung = { readonly shop: Shop; readonly animal: Animal; readonly sides: readonly HungSide[] };

/**
 * The carcass with what was found on it: as long as it really hung once the cold weight says so; until then as long as
 * its species usually does.
 */
export function carcassOfSides(species: Species, { shop, animal, sides }: Hung): CarcassFacts {
  const hung = daysToCold(shop, animal, sides);
  const condition = { daysHung: hung ?? species.hang.targetDays, ...animal.carcass.condition };
  const on = sides.map(({ hot, cold, found }) => {
    const ticket = cold ?? hot;
    const sideLb = ticket
      ? convertUnits(inUnits(netOf(ticket)), shop.unit, 'lb')
      : species.atlas.reference.sideLb;
    return { sideLb, found };
  });
  return {
    ...carcassHere(species, animal.carcass),
    condition: conditionWith(species, condition, { unit: shop.unit, sides: on }),
  };
}

function daysToCold({ zone }: Shop, { killDate }: Animal, sides: readonly HungSide[]): number | undefined {
  const weighed = sides.flatMap(({ cold }) => (cold ? [cold.at] : []));
  if (weighed.length < sides.length || weighed.length === 0) return undefined;
  const last = weighed.sort().at(-1)!;
  return Math.max(0, daysBetween(killDate, dayIn(zone, new Date(last))));
}
