import type { PriceList } from '@/core/charges/priceList';
import type { WeighingUnit } from '@/core/quantity/weight';
import type { Database } from '../database';

export type Shop = {
  readonly name: string;
  /** Set once: every stored weight is in thousandths of it. */
  readonly unit: WeighingUnit;
  /** IANA name of the zone whose calendar the shop keeps. */
  readonly zone: string;
  /** Number of the inspected establishment; null for a shop without one. */
  readonly establishment: string | null;
  /** Digits that the shop's item numbers begin with in the bars of a label. */
  readonly codePrefix: string;
  readonly tools: readonly string[];
  readonly demo: boolean;
};

/** @throws Error when the database holds no shop yet */
export async function readShop(db: Database): Promise<Shop> {
  const row = await db('shop').first();
  if (!row) throw new Error('No shop is set up in this database.');
  const { id: _one, ...shop } = row;
  return { ...shop, tools: JSON.parse(shop.tools), demo: shop.demo === 1 };
}

export async function writeShop(db: Database, shop: Shop): Promise<void> {
  await db('shop').insert({ ...shop, id: 1, tools: JSON.stringify(shop.tools) });
}

/** Every price list the shop ever had, the earliest first. */
export async function readPriceLists(db: Database): Promise<PriceList[]> {
  const rows: { list: string }[] = await db('priceLists').select('list').orderBy('effectiveFrom');
  return rows.map((row) => JSON.parse(row.list));
}

export async function writePriceList(db: Database, list: PriceList): Promise<void> {
  const { id, effectiveFrom } = list;
  await db('priceLists').insert({ id, effectiveFrom, list: JSON.stringify(list) });
}
