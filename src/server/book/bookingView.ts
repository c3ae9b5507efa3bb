import Joi from 'joi';
import { success } from '@/core/quantity/result';
import type { WeighingUnit } from '@/core/quantity/weight';
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
};

export type BookingView = { readonly unit: WeighingUnit; readonly species: readonly BookableSpecies[] };

/** What can be booked here: the shop's species and what each can be said to be. */
export const bookingView = defineUseCase<Record<string, never>, BookingView>({
  name: 'bookingView',
  roles: OFFICE,
  writes: false,
  input: Joi.object({}),
  run: async ({ db, catalogue }) => {
    const { unit } = await readShop(db);
    const species = catalogue.species.map(({ id, name, atlas, schools, types, flags }) => ({
      id,
      name,
      addOns: atlas.addOns.map((addOn) => ({ id: addOn.atom.id, label: addOn.label })),
      schools: schools.map((school) => ({ id: school.id, label: school.name })),
      types: types.map(({ id: type, label }) => ({ id: type, label })),
      flags: flags.map(({ id: flag, label }) => ({ id: flag, label })),
    }));
    return success({ unit, species });
  },
});
