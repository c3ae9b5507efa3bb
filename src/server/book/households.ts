import Joi from 'joi';
import type { OtherContact, Person, PersonId } from '@/core/order/animal';
import { farmBill, type FarmBill } from '@/core/order/farmBill';
import { animalWords } from '@/core/order/naming';
import type { StageRow } from '@/core/order/stageRow';
import { success } from '@/core/quantity/result';
import { instant } from '@/core/time/shopTime';
import {
  contactsOf,
  endContact,
  mergePeople,
  personById,
  shareIdsOfPerson,
  writeContact,
  writeNotes,
} from '@/data/book';
import { liveSharesOfFarm, readShareFiles, stageRowsOf } from '@/data/rail';
import { readShop } from '@/data/setUp';
import { clientId, id } from '../house/fields';
import { refuse } from '../house/reasons';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { eyesOf, ticketOf, type Ticket } from '../rail/ticket';

/** Somebody with everything they ever had to do with, the newest first. */
export type Household = Person & {
  readonly notes: string;
  /** Others who can be reached for them. */
  readonly contacts: readonly OtherContact[];
  readonly tickets: readonly Ticket[];
  /** What they pay as a farm, animal by animal, the newest first; nothing where the household pays everything. */
  readonly owes: readonly (FarmBill & { readonly animal: string })[];
  readonly sign: string;
  /** Whether animals of theirs are booked or in the shop. */
  readonly isFarm: boolean;
};

/** So many stand on the page; nobody reads further back in a call. */
const MOST_TICKETS = 60;

const NOBODY = 'There is nobody of that name any more. They may stand under another now.';

export const householdView = defineUseCase<{ personId: PersonId }, Household>({
  name: 'householdView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({ personId: id }),
  run: async (house, { personId }) => {
    const person = await personById(house.db, personId);
    if (!person) return refuse('not-found', NOBODY);
    const rows = await stageRowsOf(house.db, await shareIdsOfPerson(house.db, personId));
    const eyes = await eyesOf(house);
    const latest = rows.sort((a, b) => b.number - a.number).slice(0, MOST_TICKETS);
    const tickets = latest.map((row) => ticketOf(row, eyes));
    const owes = await owedBy(house, personId, latest);
    const { currency: sign } = await readShop(house.db);
    const contacts = await contactsOf(house.db, personId);
    const isFarm = (await liveSharesOfFarm(house.db, personId)).length > 0;
    return success({ ...person, contacts, tickets, owes, sign, isFarm });
  },
});

/** The farm's bills of the animals that these shares are of. */
async function owedBy(
  { db, setUps }: House,
  farmId: PersonId,
  rows: readonly StageRow[],
): Promise<Household['owes']> {
  const files = await readShareFiles(
    db,
    setUps,
    rows.map(({ shareId }) => shareId),
  );
  const raised = files.filter(({ animal }) => animal.farm.id === farmId);
  const animals = [...new Set(raised.map(({ animal }) => animal.id))].reverse();
  return animals
    .map((id) => raised.filter(({ animal }) => animal.id === id))
    .map((shares) => ({ animal: animalWords(shares[0]!), ...farmBill(shares) }))
    .filter(({ lines }) => lines.length > 0);
}

/** Notes something of a household or a farm: how they like to be spoken to, words of their own, what to mind. */
export const noteHousehold = defineUseCase<
  { clientId: string; personId: PersonId; notes: string },
  { personId: PersonId }
>({
  name: 'noteHousehold',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, personId: id, notes: Joi.string().trim().max(1000).allow('').required() }),
  subject: ({ personId }) => personId,
  run: async ({ db }, { personId, notes }) => {
    if (!(await personById(db, personId))) return refuse('not-found', NOBODY);
    await writeNotes(db, personId, notes);
    return success({ personId });
  },
});

/** Somebody else who can be reached for a household or a farm: by telephone, by mail, or by both. */
export const addHouseholdContact = defineUseCase<
  { clientId: string; personId: PersonId; name: string; phone: string; email: string },
  { contactId: string }
>({
  name: 'addHouseholdContact',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    personId: id,
    name: Joi.string().trim().min(1).max(80).required(),
    phone: Joi.string().trim().max(40).allow('').required(),
    email: Joi.string().trim().email({ tlds: false }).max(120).allow('').required(),
  }),
  subject: ({ personId }) => personId,
  run: async ({ db, now }, { clientId: contactId, personId, name, phone, email }) => {
    if (!(await personById(db, personId))) return refuse('not-found', NOBODY);
    if (phone === '' && email === '') {
      return refuse('invalid', `How can ${name} be reached? A telephone or a mail address.`, 'phone');
    }
    const contact = { id: contactId, personId, name, phone: phone || null, email: email || null };
    await writeContact(db, { ...contact, at: instant(now) });
    return success({ contactId });
  },
});

/** Somebody is not reached for them any more. */
export const endHouseholdContact = defineUseCase<
  { clientId: string; contactId: string },
  { contactId: string }
>({
  name: 'endHouseholdContact',
  roles: OFFICE,
  writes: true,
  input: Joi.object({ clientId, contactId: id }),
  subject: ({ contactId }) => contactId,
  run: async ({ db, now }, { contactId }) =>
    (await endContact(db, contactId, instant(now)))
      ? success({ contactId })
      : refuse('not-found', 'They are not there any more.', 'contactId'),
});

/** Two that were the same become one: all orders of both are the kept one's. It cannot be undone, so the owner does it. */
export const mergeHouseholds = defineUseCase<
  { clientId: string; keepId: PersonId; doubleId: PersonId },
  { personId: PersonId }
>({
  name: 'mergeHouseholds',
  roles: ['owner'],
  writes: true,
  input: Joi.object({ clientId, keepId: id, doubleId: id }),
  subject: ({ keepId, doubleId }) => `${doubleId} into ${keepId}`,
  run: async (house, { keepId, doubleId }) => {
    if (keepId === doubleId) return refuse('invalid', 'That is the same one. Choose its double.', 'doubleId');
    const [keep, double] = [await personById(house.db, keepId), await personById(house.db, doubleId)];
    if (!keep || !double) return refuse('not-found', NOBODY, 'doubleId');
    const touched = await shareIdsOfPerson(house.db, doubleId);
    await mergePeople(house.db, { keep, double });
    for (const shareId of touched) house.touch(shareId);
    return success({ personId: keepId });
  },
});
