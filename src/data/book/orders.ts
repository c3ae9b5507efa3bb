import type { Animal, AnimalId, PersonId, Share, ShareId, Side } from '@/core/order/animal';
import type { SharePart } from '@/core/shares/parts';
import type { Quarter } from '@/core/species/types';
import { inUnits, type Weight } from '@/core/quantity/weight';
import type { Database } from '../database';
import { peopleById } from './people';

type AnimalRow = Omit<Animal, 'addOns' | 'carcass' | 'facts' | 'farm' | 'sample' | 'unsplit'> & {
  readonly addOns: string;
  readonly carcass: string;
  readonly facts: string;
  readonly farmId: PersonId;
  readonly sample: number;
  readonly unsplit: number;
};
type ShareRow = Omit<Share, 'owner' | 'payer' | 'contact' | 'cancelled' | 'part'> & {
  readonly part: 'left' | 'right' | 'whole';
  readonly quarter: '' | Quarter;
  readonly cancelled: number;
  readonly ownerId: PersonId;
  readonly payerId: PersonId;
  readonly contactId: PersonId;
};

/** Animals with all their shares and sides, and everybody around them. */
export type Booked = {
  readonly animals: ReadonlyMap<AnimalId, Animal>;
  /** In the order of their animals' shares. */
  readonly shares: readonly Share[];
  readonly sides: readonly Side[];
};

/** What these animals weighed alive where that was weighed here, in the shop's unit; it goes before what the farm said. */
async function liveWeightsOf(
  db: Database,
  ids: readonly AnimalId[],
): Promise<ReadonlyMap<AnimalId, { readonly liveWeight: number }>> {
  const rows: { animalId: AnimalId; gross: number; tare: number }[] = await db('liveWeights')
    .whereIn('animalId', [...ids])
    .orderBy('rowid')
    .select('animalId', 'gross', 'tare');
  return new Map(
    rows.map(({ animalId, gross, tare }) => [animalId, { liveWeight: inUnits((gross - tare) as Weight) }]),
  );
}

/** What was booked with these animals: five queries, however many they are. */
export async function bookedWith(db: Database, animalIds: readonly AnimalId[]): Promise<Booked> {
  const ids = [...new Set(animalIds)];
  const animals: AnimalRow[] = await db('animals').whereIn('id', ids);
  const shares: ShareRow[] = await db('shares').whereIn('animalId', ids).orderBy(['animalId', 'position']);
  const sides: Side[] = await db('sides').whereIn('animalId', ids).orderBy(['animalId', 'position']);
  const live = await liveWeightsOf(db, ids);
  const people = await peopleById(db, [
    ...animals.map((animal) => animal.farmId),
    ...shares.flatMap((share) => [share.ownerId, share.payerId, share.contactId]),
  ]);
  return {
    animals: new Map(
      animals.map(({ farmId, addOns, carcass, facts, sample, unsplit, ...animal }) => [
        animal.id,
        {
          ...animal,
          addOns: JSON.parse(addOns),
          carcass: JSON.parse(carcass),
          facts: { ...JSON.parse(facts), ...live.get(animal.id) },
          farm: people.get(farmId)!,
          sample: sample === 1,
          unsplit: unsplit === 1,
        },
      ]),
    ),
    shares: shares.map(({ ownerId, payerId, contactId, cancelled, part, quarter, ...share }) => ({
      ...share,
      part: (quarter === '' ? part : `${part}-${quarter}`) as SharePart,
      cancelled: cancelled === 1,
      owner: people.get(ownerId)!,
      payer: people.get(payerId)!,
      contact: people.get(contactId)!,
    })),
    sides,
  };
}

/** The animals of these shares, in their order; a share that is not there has none. */
export async function animalIdsOf(db: Database, shareIds: readonly ShareId[]): Promise<AnimalId[]> {
  const rows: { animalId: AnimalId }[] = await db('shares')
    .whereIn('id', [...shareIds])
    .select('animalId');
  return [...new Set(rows.map((row) => row.animalId))];
}

export async function shareIdsOfAnimal(db: Database, animalId: AnimalId): Promise<ShareId[]> {
  const rows: { id: ShareId }[] = await db('shares').where({ animalId }).orderBy('position').select('id');
  return rows.map((row) => row.id);
}

/** Animals of this tag, whatever its case, the last booked first; a tag comes again in other years. */
export async function animalIdsOfTag(db: Database, tag: string): Promise<AnimalId[]> {
  const rows: { id: AnimalId }[] = await db('animals')
    .whereRaw('lower(tag) = lower(?)', [tag])
    .orderBy('bookedAt', 'desc')
    .select('id');
  return rows.map(({ id }) => id);
}

/** Every share that somebody has to do with: eats, pays, is called about, or raised. */
export async function shareIdsOfPerson(db: Database, personId: PersonId): Promise<ShareId[]> {
  const rows: { id: ShareId }[] = await db('shares')
    .where({ ownerId: personId })
    .orWhere({ payerId: personId })
    .orWhere({ contactId: personId })
    .orWhereIn('animalId', db('animals').where({ farmId: personId }).select('id'))
    .select('id');
  return rows.map((row) => row.id);
}

/** The latest share that each of these people had, whatever became of it but for what was called off. */
export async function lastSharesOf(
  db: Database,
  people: readonly PersonId[],
): Promise<ReadonlyMap<PersonId, ShareId>> {
  const rows: { ownerId: PersonId; id: ShareId }[] = await db('shares')
    .whereIn(
      'number',
      db('shares')
        .whereIn('ownerId', [...people])
        .where({ cancelled: 0 })
        .groupBy('ownerId')
        .max('number'),
    )
    .select('ownerId', 'id');
  return new Map(rows.map((row) => [row.ownerId, row.id]));
}

/** The shares that somebody had of a species before this one, the latest first; what was called off is none. */
export async function sharesBefore(
  db: Database,
  { ownerId, species, number, most }: { ownerId: PersonId; species: string; number: number; most: number },
): Promise<ShareId[]> {
  return db('shares')
    .join('animals', 'animals.id', 'shares.animalId')
    .where({ 'shares.ownerId': ownerId, 'animals.species': species, 'shares.cancelled': 0 })
    .where('shares.number', '<', number)
    .orderBy('shares.number', 'desc')
    .limit(most)
    .pluck('shares.id');
}

/** Every share the shop ever had, in the order they were booked; for what is made anew as a whole. */
export async function allShareIds(db: Database): Promise<ShareId[]> {
  const rows: { id: ShareId }[] = await db('shares').orderBy('number').select('id');
  return rows.map((row) => row.id);
}

export async function writeAnimal(db: Database, animal: Animal): Promise<void> {
  await db('animals').insert(animalRow(animal));
}

export async function writeSide(db: Database, side: Side): Promise<void> {
  await db('sides').insert(side);
}

export async function writeShare(db: Database, share: Share): Promise<void> {
  await db('shares').insert(shareRow(share));
}

/** An animal as its table has it. */
export function animalRow({ farm, addOns, carcass, facts, ...row }: Animal) {
  const json = [addOns, carcass, facts].map((each) => JSON.stringify(each));
  return { ...row, farmId: farm.id, addOns: json[0], carcass: json[1], facts: json[2] };
}

/** A share as its table has it. */
export function shareRow({ owner, payer, contact, part, ...row }: Share) {
  const [side, quarter = ''] = part.split('-');
  return { ...row, part: side, quarter, ownerId: owner.id, payerId: payer.id, contactId: contact.id };
}

/** The number of the next order. Read and used inside one transaction. */
export async function nextOrderNumber(db: Database): Promise<number> {
  const row = await db('shares').max('number as last').first();
  return Number(row?.last ?? 0) + 1;
}

/** The side with this id, and its animal's id. */
export async function sideById(db: Database, id: string): Promise<Side | undefined> {
  return db('sides').where({ id }).first();
}

/** Says which step of the set-up a share's sheet was begun under. */
export async function beginUnder(db: Database, id: ShareId, setUpNumber: number): Promise<void> {
  await db('shares').where({ id }).update({ setUpNumber });
}

/** Whether any animal of a species was ever booked. */
export async function isBooked(db: Database, species: string): Promise<boolean> {
  return (await db('animals').where({ species }).first('id')) !== undefined;
}
