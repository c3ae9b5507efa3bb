import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { PriceList } from '@/core/charges/priceList';
import { priceListProblem } from '@/core/charges/priceListProblem';
import { priceListSchema } from '@/core/charges/priceListSchema';
import { failure, success, type Result } from '@/core/quantity/result';
import { checkShape } from '@/core/shape/checkShape';
import { USUAL_RULES } from '@/core/shop/houseRules';
import { shopFields, type Shop } from '@/core/shop/shop';
import { dayIn, monthsAfter } from '@/core/time/shopTime';
import type { Database } from '@/data/database';
import { writeUser } from '@/data/people';
import { hasShop, writeHouseRules, writePriceList, writeShop } from '@/data/setUp';
import { hashSecret, SHORTEST_SECRET } from '../people';

/** What a new shop says of itself. */
export type NewShop = Omit<Shop, 'demo'> & {
  readonly owner: string;
  /** The owner's own; only its hash is kept. */
  readonly secret: string;
};

/** A new shop's first prices hold for what hangs there already, and for a sample week. */
const PRICES_REACH_BACK_MONTHS = 2;

const newShopSchema = Joi.object<NewShop>({
  name: shopFields.name.required(),
  phone: shopFields.phone.required(),
  unit: Joi.valid('lb', 'kg').required(),
  zone: Joi.string()
    .custom((zone: string, helpers) => (isZone(zone) ? zone : helpers.error('zone')))
    .required(),
  currency: Joi.string().trim().min(1).max(3).required(),
  establishment: shopFields.establishment.required(),
  codePrefix: shopFields.codePrefix.required(),
  owner: Joi.string().trim().min(1).max(60).required(),
  secret: Joi.string().min(SHORTEST_SECRET).max(200).required(),
}).messages({ zone: '{#label} is not a time zone such as Europe/London or America/Denver.' });

function isZone(zone: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** Sets up a shop in a database that has been brought to the newest shape and holds none yet. */
export async function setUpShop(
  db: Database,
  raw: unknown,
  { prices, now }: { prices: readonly PriceList[]; now: Date },
): Promise<Result<{ ownerId: string }, 'invalid' | 'set-up-already'>> {
  const checked = checkShape(newShopSchema, raw);
  if (!checked.ok) return checked;
  if (await hasShop(db))
    return failure('set-up-already', 'A shop is set up here already; nothing was changed.');
  const { owner, secret, ...shop } = checked.value;
  const ownerId = randomUUID();
  const hashed = await hashSecret(secret);
  await db.transaction(async (trx) => {
    await writeShop(trx, { ...shop, demo: false });
    await writeHouseRules(trx, USUAL_RULES, { at: now.toISOString(), actorId: ownerId });
    await writeUser(trx, { id: ownerId, name: owner, role: 'owner', secret: hashed });
    const effectiveFrom = monthsAfter(dayIn(shop.zone, now), -PRICES_REACH_BACK_MONTHS);
    for (const list of prices) {
      await writePriceList(trx, { ...list, effectiveFrom, unit: shop.unit, sign: shop.currency });
    }
  });
  return success({ ownerId });
}

/** Reads a price list from a file's content: the shape of one, in the shop's unit, for what the shop makes. */
export function readPriceList(
  raw: unknown,
  shop: Parameters<typeof priceListProblem>[1],
): Result<PriceList, 'invalid'> {
  const checked = checkShape<PriceList>(priceListSchema, raw);
  return (checked.ok ? priceListProblem(checked.value, shop) : undefined) ?? checked;
}
