import type { Catalogue } from '../catalogue/catalogue';
import { failure, type Failure } from '../quantity/result';
import type { WeighingUnit } from '../quantity/weight';
import { chargeKeys, workKeys } from './keys';
import type { PriceList } from './priceList';

/** Why a price list cannot hold in a shop, or for an order; undefined when it can. */
export function priceListProblem(
  list: PriceList,
  { unit, catalogue }: { readonly unit: WeighingUnit; readonly catalogue: Catalogue },
): Failure<'invalid'> | undefined {
  if (list.unit !== unit) {
    return failure('invalid', `Its prices are by the ${list.unit}; here it is ${unit}.`, 'unit');
  }
  const ids = catalogue.species.map((each) => each.id);
  for (const rule of list.rules) {
    const stranger = rule.species?.find((id) => !ids.includes(id));
    if (stranger === undefined) continue;
    const message = `There is no species "${stranger}". Known: ${ids.join(', ')}.`;
    return failure('invalid', message, `rules, ${rule.id}, species`);
  }
  const known = chargeKeys(catalogue);
  const strange = list.rules.find((rule) => rule.key !== undefined && !known.has(rule.key));
  if (!strange) return undefined;
  const message = `Nothing is ever charged for "${strange.key}". Work that is charged: ${[...workKeys(catalogue)].sort().join(', ')}; or an item of the shop.`;
  return failure('invalid', message, `rules, ${strange.id}, key`);
}
