import type { Species } from '../species/types';
import type { CarcassFacts } from './condition';

/** How a carcass is broken in this shop: as the order says, else as the shop usually does. */
export function carcassHere({ usual }: Pick<Species, 'usual'>, said: CarcassFacts = {}): CarcassFacts {
  if (!usual) return said;
  const breaks = { ...usual.breaks, ...said.breaks };
  return {
    ...said,
    ...(said.school === undefined && usual.school !== undefined ? { school: usual.school } : {}),
    ...(Object.keys(breaks).length > 0 ? { breaks } : {}),
  };
}
