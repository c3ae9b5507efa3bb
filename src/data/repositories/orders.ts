import type { CarcassFacts } from '@/core/carcass/condition';
import type { InspectionClass } from '@/core/label/label';
import type { Cents } from '@/core/quantity/money';
import type { Database } from '../database';

export type Person = {
  readonly id: string;
  readonly name: string;
  readonly phone: string | null;
  readonly email: string | null;
};

export type Animal = {
  readonly id: string;
  readonly clientId: string;
  readonly tag: string;
  readonly species: string;
  readonly sex: string | null;
  /** `YYYY-MM-DD` in the shop's zone. */
  readonly killDate: string;
  readonly inspection: InspectionClass;
  readonly addOns: readonly string[];
  readonly carcass: CarcassFacts;
  /** Owns the animal until it is sold. */
  readonly farm: Person;
  /** The price list in force on the day of booking; it stays with the animal. */
  readonly priceListId: string;
  readonly bookedAt: string;
};

export type SidePosition = 'left' | 'right';
export type Side = { readonly id: string; readonly animalId: string; readonly position: SidePosition };

export type Share = {
  readonly id: string;
  readonly animalId: string;
  /** 0, 1: the order in which an animal's shares are listed and charges are split. */
  readonly position: number;
  readonly part: SidePosition | 'whole';
  /** Eats it. */
  readonly owner: Person;
  readonly payer: Person;
  /** Is called about it. */
  readonly contact: Person;
  readonly deposit: Cents;
};

async function peopleById(db: Database): Promise<Map<string, Person>> {
  const people: Person[] = await db('people').select();
  return new Map(people.map((person) => [person.id, person]));
}

export async function writePerson(db: Database, person: Person): Promise<void> {
  await db('people').insert(person);
}

/** Every animal, in the order they were booked. */
export async function allAnimals(db: Database): Promise<Animal[]> {
  const people = await peopleById(db);
  const rows = await db('animals').select().orderBy('bookedAt').orderBy('tag');
  return rows.map(({ farmId, addOns, carcass, ...animal }) => ({
    ...animal,
    addOns: JSON.parse(addOns),
    carcass: JSON.parse(carcass),
    farm: people.get(farmId)!,
  }));
}

export async function writeAnimal(db: Database, animal: Animal): Promise<void> {
  const { farm, addOns, carcass, ...row } = animal;
  const json = { addOns: JSON.stringify(addOns), carcass: JSON.stringify(carcass) };
  await db('animals').insert({ ...row, ...json, farmId: farm.id });
}

export async function animalIdByTag(db: Database, tag: string): Promise<string | undefined> {
  return (await db('animals').where({ tag }).first('id'))?.id;
}

export async function animalIdByClientId(db: Database, clientId: string): Promise<string | undefined> {
  return (await db('animals').where({ clientId }).first('id'))?.id;
}

export async function allSides(db: Database): Promise<Side[]> {
  return db('sides').select().orderBy(['animalId', 'position']);
}

export async function writeSide(db: Database, side: Side): Promise<void> {
  await db('sides').insert(side);
}

/** Every share, those of one animal in their order. */
export async function allShares(db: Database): Promise<Share[]> {
  const people = await peopleById(db);
  const rows = await db('shares')
    .join('animals', 'animals.id', 'shares.animalId')
    .orderBy(['animals.bookedAt', 'animals.tag', 'shares.position'])
    .select('shares.*');
  return rows.map(({ ownerId, payerId, contactId, ...share }) => ({
    ...share,
    owner: people.get(ownerId)!,
    payer: people.get(payerId)!,
    contact: people.get(contactId)!,
  }));
}

export async function writeShare(db: Database, share: Share): Promise<void> {
  const { owner, payer, contact, ...row } = share;
  await db('shares').insert({ ...row, ownerId: owner.id, payerId: payer.id, contactId: contact.id });
}
