import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import type { Person, ShareId } from '@/core/order/animal';
import { FACT_WORDS, type FactName, type Facts } from '@/core/order/changes';
import { changesOf, factsOf, type Change } from '@/core/order/facts';
import type { ShareFile } from '@/core/order/shareFile';
import { success } from '@/core/quantity/result';
import { instant, isDay, type Day } from '@/core/time/shopTime';
import {
  correctAnimal,
  correctPerson,
  correctShare,
  shareIdsOfAnimal,
  shareIdsOfPerson,
  writeCorrection,
} from '@/data/book';
import { isTagInShop } from '@/data/rail';
import { clientId, id, words } from '../house/fields';
import { refuse, type Refusal } from '../house/reasons';
import { fileOf } from '../house/shareView';
import { defineUseCase, OFFICE, type House } from '../house/useCase';
import { personOf } from './people';

type Input = { clientId: string; shareId: ShareId; facts: Partial<Facts>; reason: string };

/** Longest a fact may be; names and telephones are as the booking takes them. */
const LONGEST_FACT = 80;

const factsSchema = Joi.object(
  Object.fromEntries(
    Object.keys(FACT_WORDS).map((field) => [
      field,
      Joi.string()
        .trim()
        .allow('')
        .max(LONGEST_FACT)
        .pattern(/^[^\p{Cc}]*$/u, { name: 'text without control characters' }),
    ]),
  ),
);

/** Puts right what was booked wrongly: who, how they are reached, tag and dates. What stood there stays known. */
export const correctFacts = defineUseCase<Input, { shareId: ShareId }>({
  name: 'correctFacts',
  roles: OFFICE,
  writes: true,
  input: Joi.object({
    clientId,
    shareId: id,
    facts: factsSchema.required(),
    reason: words(200).required(),
  }),
  subject: (input) => input.shareId,
  run: async (house, { shareId, facts, reason }) => {
    const found = await fileOf(house, shareId);
    if (!found.ok) return found;
    const file = found.value;
    const changes = changesOf(factsOf(file), facts);
    const refused = await whyRefused(house, file, changes);
    if (refused) return refused;
    await correct(house, file, { ...factsOf(file), ...named(changes) });
    const by = { reason, at: instant(house.now), actorId: house.actor.id };
    for (const change of changes)
      await writeCorrection(house.db, { id: randomUUID(), shareId, ...change, ...by });
    return success({ shareId });
  },
});

function named(changes: readonly Change[]): Partial<Facts> {
  return Object.fromEntries(changes.map(({ field, now }) => [field, now]));
}

const NEVER_EMPTY: readonly FactName[] = ['tag', 'killDate', 'farmName', 'ownerName'];
/** Of the animal, which is as it was once its bill is final. */
const OF_THE_ANIMAL: readonly FactName[] = ['tag', 'sex', 'killDate'];

async function whyRefused(
  { db }: House,
  file: ShareFile,
  changes: readonly Change[],
): Promise<Refusal | undefined> {
  if (changes.length === 0) return refuse('nothing-to-correct', 'Nothing is said otherwise than it stands.');
  const empty = changes.find(({ field, now }) => now === '' && NEVER_EMPTY.includes(field));
  if (empty) return refuse('invalid', `Say the ${FACT_WORDS[empty.field]}.`, `facts.${empty.field}`);
  const settled = changes.find(({ field }) => OF_THE_ANIMAL.includes(field));
  if (file.closing && settled) {
    const message =
      'The bill is final. Names and telephones can still be put right; the animal stays as it was.';
    return refuse('closed', message, `facts.${settled.field}`);
  }
  const day = changes.find(({ field }) => field === 'killDate')?.now;
  if (day !== undefined && !isDay(day)) {
    return refuse('invalid', `${day} is not a day of the calendar.`, 'facts.killDate');
  }
  const tag = changes.find(({ field }) => field === 'tag')?.now;
  if (tag !== undefined && (await isTagInShop(db, tag))) {
    return refuse('tag-taken', `Tag ${tag} is on the rail already. Check the tag.`, 'facts.tag');
  }
  return undefined;
}

async function correct(house: House, { animal, share }: ShareFile, facts: Facts): Promise<void> {
  const farm = await personAs(house, animal.farm, { name: facts.farmName, phone: facts.farmPhone });
  await correctAnimal(house.db, {
    id: animal.id,
    tag: facts.tag,
    sex: facts.sex === '' ? null : facts.sex,
    killDate: facts.killDate as Day,
    farm,
  });
  const owner = await personAs(house, share.owner, { name: facts.ownerName, phone: facts.ownerPhone });
  const other = (known: Person, name: string, phone: string) =>
    name === '' ? owner : personAs(house, known, { name, phone });
  await correctShare(house.db, {
    id: share.id,
    owner,
    payer: await other(share.payer, facts.payerName, facts.payerPhone),
    contact: await other(share.contact, facts.contactName, facts.contactPhone),
  });
  for (const shareId of await shareIdsOfAnimal(house.db, animal.id)) house.touch(shareId);
}

/**
 * The person that is meant: somebody of another name is somebody else, and what others have to do with the old name stays
 * theirs; another telephone is a new number of the same person, in everything they have to do with.
 */
async function personAs(house: House, known: Person, said: { name: string; phone: string }): Promise<Person> {
  const phone = said.phone === '' ? null : said.phone;
  if (said.name !== known.name) return personOf(house, { name: said.name, ...(phone ? { phone } : {}) });
  if (phone === known.phone) return known;
  await correctPerson(house.db, { ...known, phone });
  for (const shareId of await shareIdsOfPerson(house.db, known.id)) house.touch(shareId);
  return { ...known, phone };
}
