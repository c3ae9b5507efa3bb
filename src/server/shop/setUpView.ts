import Joi from 'joi';
import { historyWords, type StepWords } from '@/core/setUp/changeWords';
import { NOTHING_CHANGED, type SpeciesSetUp } from '@/core/setUp/types';
import type { Place } from '@/core/setUp/places';
import { success } from '@/core/quantity/result';
import type { HouseRules } from '@/core/shop/houseRules';
import type { Shop } from '@/core/shop/shop';
import type { Ingredient } from '@/core/species/types';
import { workKeys } from '@/core/charges/keys';
import { momentWords } from '@/core/time/shopTime';
import { readShop } from '@/data/setUp';
import { defineUseCase } from '../house/useCase';

/** How the shop is set up now, and every step that led there. What the species are is fetched by version. */
export type SetUpView = {
  readonly number: number;
  readonly version: string;
  readonly shop: Pick<Shop, 'name' | 'unit' | 'zone' | 'currency' | 'establishment' | 'codePrefix'>;
  readonly rules: HouseRules;
  readonly places: readonly Place[];
  readonly species: readonly { readonly id: string; readonly name: string; readonly own: SpeciesSetUp }[];
  readonly ingredients: readonly Ingredient[];
  readonly charges: readonly string[];
  /** The newest first. */
  readonly history: readonly (Omit<StepWords, 'at'> & { readonly at: string })[];
};

export const setUpView = defineUseCase<object, SetUpView>({
  name: 'setUpView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({}),
  run: async ({ db, setUps, setUp, catalogue }) => {
    const { demo: _demo, ...shop } = await readShop(db);
    const { base, steps } = await setUps.history(db);
    return success({
      number: setUp.number,
      version: catalogue.version,
      shop,
      rules: setUp.rules,
      places: setUp.places,
      species: setUps.shipped.species.map(({ id, name }) => ({
        id,
        name,
        own: setUp.species[id] ?? NOTHING_CHANGED,
      })),
      ingredients: catalogue.ingredients,
      charges: [...workKeys(catalogue)].sort(),
      history: historyWords(setUps.shipped, base, steps).map((step) => ({
        ...step,
        at: momentWords(shop.zone, step.at),
      })),
    });
  },
});
