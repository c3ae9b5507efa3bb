import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { listInForce } from '@/core/charges/priceList';
import type { Animal, AnimalId, Share, ShareId, Side, SideId } from '@/core/order/animal';
import { documentWeight, readSheet, type OrderDocument, type ShareDocument } from '@/core/order/document';
import { readOrder, sheetOfPart, situationOf, type ReadingShop } from '@/core/order/readOrder';
import { cents } from '@/core/quantity/money';
import { success, type Failure } from '@/core/quantity/result';
import type { Shop } from '@/core/shop/shop';
import { dayIn, instant, type Day } from '@/core/time/shopTime';
import { nextOrderNumber, writeAnimal, writeShare, writeSide } from '@/data/book';
import { isTagInShop } from '@/data/rail';
import { readPriceLists, readShop } from '@/data/setUp';
import { writeSheetVersion } from '@/data/sheet';
import { writeTicket } from '../hang/writeTicket';
import { clientId } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { personOf } from './people';

/** Where an order is read and written: the shop, and what can be cut there. */
type Place = { readonly shop: Shop; readonly reading: ReadingShop };

/** Books an animal with its shares, from an open order file: all of it or nothing. */
export const bookOrder = defineUseCase<{ clientId: string; document: unknown }, { animalId: AnimalId }>({
  name: 'bookOrder',
  roles: OFFICE,
  writes: true,
  // The order itself is read below, so that a refusal names fields as the file has them.
  input: Joi.object({ clientId, document: Joi.any().required() }),
  subject: (input) => (input.document as OrderDocument).animal.tag,
  run: async (house, { document }) => {
    const place = await placeOf(house);
    const read = readOrder(document, place.reading);
    if (!read.ok) return read;
    const refused = await whyRefused(house, place.shop, read.value);
    return refused ?? success({ animalId: await writeOrder(house, place, read.value) });
  },
});

/** More animals than anybody books in one call. */
const MOST_ANIMALS = 60;

/** Books the animals of one call, or of one file: all of them or none. What is wrong says in which it is. */
export const bookAnimals = defineUseCase<
  { clientId: string; documents: readonly unknown[] },
  { animalIds: readonly AnimalId[] }
>({
  name: 'bookAnimals',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    documents: Joi.array().items(Joi.any().required()).min(1).max(MOST_ANIMALS).required(),
  }),
  subject: ({ documents }) => `${documents.length} animals`,
  run: async (house, { documents }) => {
    const place = await placeOf(house);
    const read = documents.map((document) => readOrder(document, place.reading));
    const problems = read.flatMap((each, at) => (each.ok ? [] : problemsOf(each, at)));
    if (problems.length > 0) {
      return { ...refuse('invalid', problems[0]!.message, problems[0]!.field), problems };
    }
    const orders = read.flatMap((each) => (each.ok ? [each.value] : []));
    const animalIds: AnimalId[] = [];
    for (const [at, order] of orders.entries()) {
      const refused = saidBefore(orders, at) ?? (await whyRefused(house, place.shop, order));
      if (refused) return { ...refused, field: `documents.${at}.${refused.field ?? 'animal'}` };
      animalIds.push(await writeOrder(house, place, order));
    }
    return success({ animalIds });
  },
});

function saidBefore(orders: readonly OrderDocument[], at: number): Refusal | undefined {
  const { tag } = orders[at]!.animal;
  const first = orders.findIndex(({ animal }) => animal.tag === tag);
  if (first === at) return undefined;
  return refuse('tag-taken', `Tag ${tag} is said twice. Two animals never have one tag.`, 'animal.tag');
}

async function placeOf(house: House): Promise<Place> {
  const shop = await readShop(house.db);
  const { rules, catalogue } = house.setUp;
  return { shop, reading: { unit: shop.unit, tools: rules.tools, catalogue } };
}

function problemsOf(
  { message, field, problems }: Failure<string>,
  at: number,
): { field: string; message: string }[] {
  const said = problems ?? [{ field: field ?? '', message }];
  return said.map((problem) => ({ ...problem, field: `documents.${at}.${problem.field}` }));
}

async function whyRefused(house: House, shop: Shop, { animal }: OrderDocument): Promise<Refusal | undefined> {
  if (await isTagInShop(house.db, animal.tag)) {
    const message = `Tag ${animal.tag} is on the rail already. Check the tag, or add a letter.`;
    return refuse('tag-taken', message, 'animal.tag');
  }
  if (animal.inspection === 'inspected' && !shop.establishment) {
    const message = 'This shop has no establishment number, so it cannot take an inspected animal.';
    return refuse('no-establishment', message, 'animal.inspection');
  }
  if (!listInForce(await readPriceLists(house.db), dayIn(shop.zone, house.now))) {
    return refuse('no-prices', 'No price list is in force. Load one first: npm run prices -- FILE.');
  }
  return undefined;
}

async function writeOrder(house: House, place: Place, document: OrderDocument): Promise<AnimalId> {
  const list = listInForce(await readPriceLists(house.db), dayIn(place.shop.zone, house.now))!;
  const animal: Animal = {
    id: randomUUID() as AnimalId,
    tag: document.animal.tag,
    species: document.animal.species,
    sex: document.animal.sex ?? null,
    killDate: document.animal.killDate as Day,
    inspection: document.animal.inspection,
    addOns: document.animal.addOns ?? [],
    carcass: document.animal.carcass ?? {},
    farm: await personOf(house, document.farm),
    priceListId: list.id,
    bookedAt: instant(house.now),
    unsplit: document.animal.unsplit ?? false,
    sample: false,
  };
  await writeAnimal(house.db, animal);
  for (const position of ['left', 'right'] as const) {
    const side: Side = { id: randomUUID() as SideId, animalId: animal.id, position };
    await writeSide(house.db, side);
    await writeTickets(house, place, { document, side });
  }
  for (const [at, share] of document.shares.entries()) {
    await writeShareOf(house, place, { document, animal, at, share });
  }
  return animal.id;
}

type Booking = {
  readonly document: OrderDocument;
  readonly animal: Animal;
  readonly at: number;
  readonly share: ShareDocument;
};

async function writeShareOf(
  house: House,
  { reading }: Place,
  { document, animal, at, share }: Booking,
): Promise<void> {
  const owner = await personOf(house, share.owner);
  const written: Share = {
    id: randomUUID() as ShareId,
    number: await nextOrderNumber(house.db),
    animalId: animal.id,
    position: at,
    part: share.part,
    sharePct: share.sharePct ?? 100,
    owner,
    payer: share.payer ? await personOf(house, share.payer) : owner,
    contact: share.contact ? await personOf(house, share.contact) : owner,
    deposit: cents(Math.round((share.deposit ?? 0) * 100)),
    setUpNumber: house.setUp.number,
    cancelled: false,
  };
  await writeShare(house.db, written);
  house.touch(written.id);
  // Who is cut as one has one sheet, and it is the first one's.
  const isFirst = document.shares.findIndex((each) => each.part === share.part) === at;
  const said = isFirst ? sheetOfPart(document, share) : undefined;
  if (!said) return;
  const { sheet } = readSheet(said, situationOf(reading, document, share.part), document.unit);
  await writeSheetVersion(house.db, {
    shareId: written.id,
    version: 1,
    sheet,
    approved: false,
    overrideReason: null,
    at: instant(house.now),
    actorId: house.actor.id,
  });
}

async function writeTickets(
  house: House,
  { shop }: Place,
  { document, side }: { document: OrderDocument; side: Side },
): Promise<void> {
  const weights = document.weights?.[side.position];
  for (const kind of ['hot', 'cold'] as const) {
    const said = weights?.[kind];
    if (said === undefined) continue;
    const gross = documentWeight(said, document.unit, shop.unit);
    await writeTicket(house, { clientId: randomUUID(), sideId: side.id, kind, gross, tare: 0, remark: '' });
  }
}
