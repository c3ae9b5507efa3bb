import Joi from 'joi';
import { success } from '@/core/quantity/result';
import type { WeighingUnit } from '@/core/quantity/weight';
import { outlineOf, type SideOutline } from '@/core/species/sideMapPath';
import type { Species } from '@/core/species/types';
import { readShop } from '@/data/setUp';
import { defineUseCase, OFFICE } from '../house/useCase';

type Named = { readonly id: string; readonly label: string };

/** What the booking form offers of a species. */
export type BookableSpecies = {
  readonly id: string;
  readonly name: string;
  readonly addOns: readonly Named[];
  readonly schools: readonly Named[];
  readonly types: readonly Named[];
  readonly flags: readonly Named[];
  readonly rites: readonly string[];
  /** Whether it can be sold by fore and hind quarters. */
  readonly quartered: boolean;
  /** What an animal has one of: whoever has it is asked. */
  readonly oneOf: readonly string[];
  readonly room: Species['room'];
  readonly targetDays: number;
  /** The outline of a hanging side, zone by zone. */
  readonly outline: SideOutline;
};

export type BookingView = {
  readonly unit: WeighingUnit;
  readonly inspected: boolean;
  readonly sign: string;
  readonly actorId: string;
  readonly species: readonly BookableSpecies[];
};

/** What can be booked here: the shop's species and what each can be said to be. */
export const bookingView = defineUseCase<Record<string, never>, BookingView>({
  name: 'bookingView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({}),
  run: async ({ db, catalogue, actor }) => {
    const { unit, establishment, currency } = await readShop(db);
    const species = catalogue.species.map(({ id, name, atlas, schools, types, flags, ...own }) => ({
      id,
      name,
      addOns: atlas.addOns.map((addOn) => ({ id: addOn.atom.id, label: addOn.label })),
      schools: schools.map((school) => ({ id: school.id, label: school.name })),
      types: types.map(({ id: type, label }) => ({ id: type, label })),
      flags: flags.map(({ id: flag, label }) => ({ id: flag, label })),
      rites: own.rites,
      quartered: atlas.quarters !== undefined,
      oneOf: [
        ...own.onePerCarcass.map((atom) => atlas.atoms.find((each) => each.id === atom)?.name ?? atom),
        ...own.offal.filter(({ perAnimal }) => perAnimal === 1).map(({ label }) => label),
      ].map((name) => name.split(/[,(]/)[0]!.trim().toLowerCase()),
      room: own.room,
      targetDays: own.hang.targetDays,
      outline: outlineOf(own.sideMap),
    }));
    return success({
      unit,
      inspected: establishment !== null,
      sign: currency,
      actorId: actor.id,
      species,
    });
  },
});
