import { typeOf } from '../carcass/shiftAtlas';
import type { Circumstance } from '../species/types';
import type { Situation } from './situation';

/** Whether everything that a circumstance says is known to hold of an animal. */
export function holds(said: Circumstance, { species, condition = {}, known = {} }: Situation): boolean {
  const type = typeOf(species, condition);
  const fatness = condition.fatness ?? type?.fatness;
  const { sideLb, month } = known;
  const over = (value: number | undefined, bound: number | undefined) =>
    bound === undefined || (value !== undefined && value > bound);
  const under = (value: number | undefined, bound: number | undefined) =>
    bound === undefined || (value !== undefined && value < bound);
  return (
    (said.types === undefined || (type !== undefined && said.types.includes(type.id))) &&
    (said.flags === undefined || said.flags.some((flag) => condition.flags?.includes(flag))) &&
    (said.months === undefined || (month !== undefined && said.months.includes(month))) &&
    over(fatness, said.fatnessOver) &&
    under(fatness, said.fatnessUnder) &&
    over(sideLb, said.sideLbOver) &&
    under(sideLb, said.sideLbUnder)
  );
}
