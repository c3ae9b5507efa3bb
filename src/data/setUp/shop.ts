import type { PriceList } from '@/core/charges/priceList';
import { USUAL_RULES, type HouseRules } from '@/core/shop/houseRules';
import type { Shop } from '@/core/shop/shop';
import type { Database } from '../database';

/** @throws Error when the database holds no shop yet */
export async function readShop(db: Database): Promise<Shop> {
  const row = await db('shop').first();
  if (!row) throw new Error('No shop is set up in this database.');
  const { id: _one, ...shop } = row;
  return { ...shop, demo: shop.demo === 1 };
}

export async function hasShop(db: Database): Promise<boolean> {
  return (await db('shop').first('id')) !== undefined;
}

export async function writeShop(db: Database, shop: Shop): Promise<void> {
  await db('shop').insert({ ...shop, id: 1 });
}

/** Puts right what of the shop itself may change. */
export async function changeShop(
  db: Database,
  facts: Partial<Pick<Shop, 'name' | 'phone' | 'establishment' | 'codePrefix'>>,
): Promise<void> {
  if (Object.keys(facts).length > 0) await db('shop').where({ id: 1 }).update(facts);
}

/**
 * How the shop worked when it began; what was changed since is in its set-up.
 *
 * @throws Error when no shop is set up
 */
export async function readHouseRules(db: Database): Promise<HouseRules> {
  const row = await db('houseRules').orderBy('version', 'desc').first();
  if (!row) throw new Error('No house rules are set up in this database.');
  // What an older version of the app did not know is as usual.
  return { ...USUAL_RULES, ...JSON.parse(row.rules), version: row.version };
}

export async function writeHouseRules(
  db: Database,
  rules: HouseRules,
  by: { readonly at: string; readonly actorId: string },
): Promise<void> {
  await db('houseRules').insert({ version: rules.version, rules: JSON.stringify(rules), ...by });
}

/** Every price list the shop ever had, the earliest first. */
export async function readPriceLists(db: Database): Promise<PriceList[]> {
  const rows: { list: string }[] = await db('priceLists').select('list').orderBy('effectiveFrom');
  return rows.map((row) => JSON.parse(row.list));
}

export async function priceListsById(
  db: Database,
  ids: readonly string[],
): Promise<ReadonlyMap<string, PriceList>> {
  const rows: { id: string; list: string }[] = await db('priceLists').whereIn('id', [...ids]);
  return new Map(rows.map((row) => [row.id, JSON.parse(row.list)]));
}

export async function writePriceList(db: Database, list: PriceList): Promise<void> {
  const { id, effectiveFrom } = list;
  await db('priceLists').insert({ id, effectiveFrom, list: JSON.stringify(list) });
}
