import priceLists from '#demo/price-lists.json';
import Joi from 'joi';
import type { PriceList, PriceRule } from '@/core/charges/priceList';
import { priceListSchema } from '@/core/charges/priceListSchema';
import { cents, type Cents } from '@/core/quantity/money';
import { convertUnits, KG_PER_LB, type WeighingUnit } from '@/core/quantity/weight';
import { USUAL_RULES } from '@/core/shop/houseRules';
import type { Database } from '@/data/database';
import { writeUser } from '@/data/people';
import { writeHouseRules, writePriceList, writeShop } from '@/data/setUp';
import { hashSecret } from '../people';
import { DEMO_USERS, type DemoUser } from './people';
import { steadyId } from './steady';

/** A price list said per pound, for a shop that weighs in `unit`; weight rates to the nearest cent. */
function inUnit(list: PriceList, unit: WeighingUnit): PriceList {
  if (unit === 'lb') return list;
  const weighed = ['hot', 'cold', 'packaged', 'green', 'finished'];
  const rules = list.rules.map((rule): PriceRule => {
    const rateOf = (rate: Cents) =>
      weighed.includes(rule.basis) ? cents(Math.round(rate / KG_PER_LB)) : rate;
    const tiers = rule.tiers?.map(({ above, rateCents }) => ({
      above: Math.round(convertUnits(above, 'lb', unit)),
      rateCents: rateOf(rateCents),
    }));
    return { ...rule, rateCents: rateOf(rule.rateCents), ...(tiers ? { tiers } : {}) };
  });
  return { ...list, unit, rules };
}

/** The demo's dated prices, in the unit of a shop. */
export function demoPriceLists(unit: WeighingUnit): PriceList[] {
  return priceLists.map((list) => inUnit(Joi.attempt(list, priceListSchema) as PriceList, unit));
}

/** Sets up the shop, its people and its prices. Works on a database that has just been migrated. */
export async function setUpDemoShop(
  db: Database,
  unit: WeighingUnit,
  people: readonly DemoUser[] = DEMO_USERS,
): Promise<void> {
  await writeShop(db, {
    name: 'Skerry Sound Cut & Wrap',
    unit,
    zone: 'Europe/London',
    currency: '$',
    phone: '555 0120',
    establishment: null,
    codePrefix: '200',
    demo: true,
  });
  await writeHouseRules(db, USUAL_RULES, { at: new Date(0).toISOString(), actorId: 'system' });
  for (const list of demoPriceLists(unit)) await writePriceList(db, list);
  for (const user of people) {
    const secret = await hashSecret(user.secret);
    await writeUser(db, { id: steadyId(user.name), name: user.name, role: user.role, secret });
  }
}
