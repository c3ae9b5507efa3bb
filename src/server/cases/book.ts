import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { listInForce } from '@/core/charges/priceList';
import { documentWeight, readSheet, type OrderDocument, type PersonDocument } from '@/core/order/document';
import { readOrder, situationOf } from '@/core/order/readOrder';
import type { SharePart } from '@/core/shares/parts';
import { cents } from '@/core/quantity/money';
import { failure, success, type Failure } from '@/core/quantity/result';
import {
  animalIdByTag,
  animalIdByClientId,
  writeAnimal,
  writePerson,
  writeShare,
  writeSide,
  type Person,
  type Share,
  type SidePosition,
} from '@/data/repositories/orders';
import { readPriceLists, readShop, type Shop } from '@/data/repositories/shop';
import { writeSheet } from '@/data/repositories/sheets';
import { OFFICE, defineUseCase, type House } from '../doorway';
import { shopDay } from '../orderBook';
import { clientId } from './fields';
import { writeTicket } from './hang';

type Input = { clientId: string; document: unknown };

/** Books an animal with its shares, from the booking form or an open order file: all of it or nothing. */
export const bookOrder = defineUseCase<Input, { animalId: string }>({
  name: 'bookOrder',
  roles: OFFICE,
  writes: true,
  // The order itself is read below, so that a refusal names fields as the file has them.
  input: Joi.object({ clientId, document: Joi.any().required() }),
  subject: (input) => (input.document as OrderDocument).animal.tag,
  run: async (house, { clientId: requestId, document }) => {
    const known = await animalIdByClientId(house.db, requestId);
    if (known) return success({ animalId: known });
    const shop = await readShop(house.db);
    const read = readOrder(document, shop);
    if (!read.ok) return read;
    const refused = await whyRefused(house, shop, read.value);
    return refused ?? success({ animalId: await writeOrder(house, shop, requestId, read.value) });
  },
});

async function whyRefused(
  house: House,
  shop: Shop,
  { animal, shares }: OrderDocument,
): Promise<Failure | undefined> {
  if (await animalIdByTag(house.db, animal.tag)) {
    const message = `Tag ${animal.tag} is on the rail already. Check the tag, or add a letter.`;
    return failure('tag-taken', message, 'animal.tag');
  }
  if (shares.some(({ part, sharePct = 100 }) => !isBooked(part) || sharePct < 100)) {
    const message =
      'The rail takes whole animals and sides so far. Quarters and shares by percent: fractum forecast, fractum split.';
    return failure('not-on-the-rail', message, 'shares');
  }
  if (animal.inspection === 'inspected' && !shop.establishment) {
    const message = 'This shop has no establishment number, so it cannot take an inspected animal.';
    return failure('no-establishment', message, 'animal.inspection');
  }
  return undefined;
}

/** The parts of an animal that the rail keeps as shares. */
function isBooked(part: SharePart): part is Share['part'] {
  return part === 'whole' || part === 'left' || part === 'right';
}

async function person(house: House, document: PersonDocument): Promise<Person> {
  const written: Person = {
    id: randomUUID(),
    name: document.name,
    phone: document.phone ?? null,
    email: document.email ?? null,
  };
  await writePerson(house.db, written);
  return written;
}

async function writeOrder(house: House, shop: Shop, requestId: string, document: OrderDocument) {
  const list = listInForce(await readPriceLists(house.db), shopDay(shop, house.now));
  if (!list) throw new Error('No price list is in force.');
  const animal = {
    id: randomUUID(),
    clientId: requestId,
    tag: document.animal.tag,
    species: document.animal.species,
    sex: document.animal.sex ?? null,
    killDate: document.animal.killDate,
    inspection: document.animal.inspection,
    addOns: document.animal.addOns ?? [],
    carcass: document.animal.carcass ?? {},
    farm: await person(house, document.farm),
    priceListId: list.id,
    bookedAt: house.now.toISOString(),
  };
  await writeAnimal(house.db, animal);
  for (const position of ['left', 'right'] as const)
    await writeSideOf(house, shop, document, animal.id, position);
  for (const [at, share] of document.shares.entries()) {
    if (!isBooked(share.part)) continue;
    const owner = await person(house, share.owner);
    const written = {
      id: randomUUID(),
      animalId: animal.id,
      position: at,
      part: share.part,
      owner,
      payer: share.payer ? await person(house, share.payer) : owner,
      contact: share.contact ? await person(house, share.contact) : owner,
      deposit: cents(Math.round((share.deposit ?? 0) * 100)),
    };
    await writeShare(house.db, written);
    if (!share.sheet) continue;
    const { sheet } = readSheet(share.sheet, situationOf(shop, document, share.part), document.unit);
    await writeSheet(house.db, {
      shareId: written.id,
      version: 1,
      sheet,
      approved: false,
      overrideReason: null,
      at: house.now.toISOString(),
      actorId: house.actor.id,
    });
  }
  return animal.id;
}

async function writeSideOf(
  house: House,
  shop: Shop,
  document: OrderDocument,
  animalId: string,
  position: SidePosition,
): Promise<void> {
  const side = { id: randomUUID(), animalId, position };
  await writeSide(house.db, side);
  const weights = document.weights?.[position];
  for (const kind of ['hot', 'cold'] as const) {
    const said = weights?.[kind];
    if (said === undefined) continue;
    const gross = documentWeight(said, document.unit, shop.unit);
    await writeTicket(house, { clientId: randomUUID(), sideId: side.id, kind, gross, tare: 0 });
  }
}
