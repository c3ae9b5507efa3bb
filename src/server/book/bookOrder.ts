import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { listInForce } from '@/core/charges/priceList';
import type { Animal, AnimalId, Share, ShareId, Side, SideId } from '@/core/order/animal';
import { documentWeight, readSheet, type OrderDocument, type ShareDocument } from '@/core/order/document';
import { readOrder, sheetOfPart, situationOf, type ReadingShop } from '@/core/order/readOrder';
import { cents } from '@/core/quantity/money';
import { sheetAgain } from '@/core/sheet/again';
import type { Sheet } from '@/core/sheet/types';
import { success, type Failure, type Result } from '@/core/quantity/result';
import type { Shop } from '@/core/shop/shop';
import { dayIn, instant, type Day } from '@/core/time/shopTime';
import { nextOrderNumber, writeAnimal, writeShare, writeSide } from '@/data/book';
import { isTagInShop } from '@/data/rail';
import { readPriceLists, readShop } from '@/data/setUp';
import { writeSheetVersion } from '@/data/sheet';
import { writeTicket } from '../hang/writeTicket';
import { clientId, id } from '../house/fields';
import { refuse, type Reason, type Refusal } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { triedSheetOf } from '../links/triedSheets';
import { confirmBookings } from './messages';
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
    if (refused) return refused;
    const written = await writeOrder(house, place, { order: read.value, before: [] });
    return success({ animalId: written.animalId });
  },
});

/** More animals than anybody books in one call. */
const MOST_ANIMALS = 60;

/** Books the animals of one call, or of one file: all of them or none. What is wrong says in which it is. */
export const bookAnimals = defineUseCase<
  {
    clientId: string;
    documents: readonly unknown[];
    /** Shares whose sheet is the same as that of an earlier one, by animal and share: `0.1`. */
    lastTimes?: Readonly<Record<string, ShareId>>;
    /** Shares whose sheet was tried before booking, by its code. */
    tried?: Readonly<Record<string, string>>;
    /** Whether everybody is told. */
    confirm?: boolean;
  },
  {
    animalIds: readonly AnimalId[];
    shareIds: readonly ShareId[];
    /** Who was to be told and can be reached by nothing the shop knows. */
    untold: readonly string[];
  }
>({
  name: 'bookAnimals',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    documents: Joi.array().items(Joi.any().required()).min(1).max(MOST_ANIMALS).required(),
    lastTimes: Joi.object().pattern(/^\d+\.\d+$/, id),
    tried: Joi.object().pattern(/^\d+\.\d+$/, Joi.string().max(40).allow('')),
    confirm: Joi.boolean(),
  }),
  subject: ({ documents }) => `${documents.length} animals`,
  run: async (house, { documents, lastTimes = {}, tried = {}, confirm = false }) => {
    const place = await placeOf(house);
    const read = documents.map((document) => readOrder(document, place.reading));
    const problems = read.flatMap((each, at) => (each.ok ? [] : problemsOf(each, at)));
    if (problems.length > 0) {
      return { ...refuse('invalid', problems[0]!.message, problems[0]!.field), problems };
    }
    const orders = read.flatMap((each) => (each.ok ? [each.value] : []));
    const animalIds: AnimalId[] = [];
    const shareIds: ShareId[] = [];
    for (const [at, order] of orders.entries()) {
      const refused = saidBefore(orders, at) ?? (await whyRefused(house, place.shop, order));
      if (refused) return { ...refused, field: `documents.${at}.${refused.field ?? 'animal'}` };
      const before: (Sheet | undefined)[] = [];
      for (const share of order.shares.keys()) {
        const place = `${at}.${share}`;
        const found = await sheetBefore(house, order, { lastTime: lastTimes[place], tried: tried[place] });
        if (!found.ok) return { ...found, field: `documents.${at}.shares.${share}.tried` };
        before.push(found.value);
      }
      const written = await writeOrder(house, place, { order, before });
      animalIds.push(written.animalId);
      shareIds.push(...written.shareIds);
    }
    const untold = confirm ? await confirmBookings(house, shareIds) : [];
    return success({ animalIds, shareIds, untold });
  },
});

/** What would be wrong with the animals of a file, cell by cell, before anything is booked. */
export const triedBookingsView = defineUseCase<
  { documents: readonly unknown[] },
  readonly { field: string; message: string }[]
>({
  name: 'triedBookingsView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({
    documents: Joi.array().items(Joi.any().required()).min(1).max(MOST_ANIMALS).required(),
  }),
  run: async (house, { documents }) => {
    const place = await placeOf(house);
    const read = documents.map((document) => readOrder(document, place.reading));
    const problems = read.flatMap((each, at) => (each.ok ? [] : problemsOf(each, at)));
    if (problems.length > 0) return success(problems);
    const orders = read.flatMap((each) => (each.ok ? [each.value] : []));
    const refused: { field: string; message: string }[] = [];
    for (const [at, order] of orders.entries()) {
      const no = saidBefore(orders, at) ?? (await whyRefused(house, place.shop, order));
      if (no) refused.push({ field: `documents.${at}.${no.field ?? 'animal.tag'}`, message: no.message });
    }
    return success(refused);
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

/** The sheet that a share is to begin with: what they had last time, or what they tried before booking. */
async function sheetBefore(
  house: House,
  { animal }: OrderDocument,
  { lastTime, tried }: { readonly lastTime?: ShareId | undefined; readonly tried?: string | undefined },
): Promise<Result<Sheet | undefined, Reason>> {
  if (tried !== undefined) {
    const found = await triedSheetOf(house, tried);
    if (!found.ok) return found;
    return found.value.species === animal.species
      ? success(found.value.sheet)
      : refuse('not-that-animal', `The sheet that was tried is of ${found.value.species}.`);
  }
  const file = lastTime && (await house.files.read(house.db, lastTime));
  return success(file && file.animal.species === animal.species ? file.sheet?.sheet : undefined);
}

type ToBook = {
  readonly order: OrderDocument;
  /** Share by share, the sheet that it begins with. */
  readonly before: readonly (Sheet | undefined)[];
};

async function writeOrder(
  house: House,
  place: Place,
  { order: document, before }: ToBook,
): Promise<{ animalId: AnimalId; shareIds: ShareId[] }> {
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
    facts: document.animal.facts ?? {},
    unsplit: document.animal.unsplit ?? false,
    sample: false,
  };
  await writeAnimal(house.db, animal);
  for (const position of ['left', 'right'] as const) {
    const side: Side = { id: randomUUID() as SideId, animalId: animal.id, position };
    await writeSide(house.db, side);
    await writeTickets(house, place, { document, side });
  }
  const shareIds: ShareId[] = [];
  for (const [at, share] of document.shares.entries()) {
    const booking = { document, animal, at, share, before: before[at] };
    shareIds.push(await writeShareOf(house, place, booking));
  }
  return { animalId: animal.id, shareIds };
}

type Booking = {
  readonly document: OrderDocument;
  readonly animal: Animal;
  readonly at: number;
  readonly share: ShareDocument;
  readonly before: Sheet | undefined;
};

async function writeShareOf(house: House, place: Place, booking: Booking): Promise<ShareId> {
  const { animal, at, share } = booking;
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
  const sheet = sheetOf(place, booking);
  if (sheet) {
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
  return written.id;
}

/** The sheet a share begins with. Who is cut as one has one, and it is the first one's. */
function sheetOf({ reading }: Place, { document, at, share, before }: Booking): Sheet | undefined {
  const isFirst = document.shares.findIndex((each) => each.part === share.part) === at;
  if (!isFirst) return undefined;
  const situation = situationOf(reading, document, share.part);
  if (before) return sheetAgain(before, situation).sheet;
  const said = sheetOfPart(document, share);
  return said && readSheet(said, situation, document.unit).sheet;
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
    const ticket = { clientId: randomUUID(), sideId: side.id, kind, gross, tare: 0, remark: '' };
    await writeTicket(house, { ...ticket, origin: 'typed', at: instant(house.now) });
  }
}
