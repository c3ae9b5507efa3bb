import Joi from 'joi';
import type { Curing } from '@/core/catalogue/catalogue';
import { breakPlan } from '@/core/carcass/breaks';
import { historyWords, type StepWords } from '@/core/setUp/changeWords';
import { rulesOf } from '@/core/setUp/speciesRules';
import { NOTHING_CHANGED, type SpeciesRules, type SpeciesSetUp } from '@/core/setUp/types';
import type { Place } from '@/core/setUp/places';
import { success } from '@/core/quantity/result';
import type { HouseRules } from '@/core/shop/houseRules';
import type { Shop } from '@/core/shop/shop';
import type { Ingredient, Species } from '@/core/species/types';
import { workKeys } from '@/core/charges/keys';
import { momentWords } from '@/core/time/shopTime';
import { readShop } from '@/data/setUp';
import { defineUseCase } from '../house/useCase';

/** One species as the shop has it: its figures, what of them is the shop's own, and where it can be broken. */
export type SpeciesAtHome = {
  readonly id: string;
  readonly name: string;
  readonly own: SpeciesSetUp;
  readonly rules: SpeciesRules;
  readonly schools: readonly { readonly id: string; readonly name: string }[];
  readonly breaks: readonly {
    readonly id: string;
    readonly title: string;
    readonly place: string;
    readonly places: readonly { readonly id: string; readonly label: string }[];
  }[];
};

/** How the shop is set up now, and every step that led there. What the species are is fetched by version. */
export type SetUpView = {
  readonly number: number;
  readonly version: string;
  readonly shop: Pick<Shop, 'name' | 'phone' | 'unit' | 'zone' | 'currency' | 'establishment' | 'codePrefix'>;
  readonly rules: HouseRules;
  readonly places: readonly Place[];
  readonly species: readonly SpeciesAtHome[];
  readonly ingredients: readonly Ingredient[];
  /** Cures and plans of the smokehouse, the shop's own in place of what ships. */
  readonly curing: Curing;
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
      species: catalogue.species.map((species) =>
        atHome(species, setUp.species[species.id] ?? NOTHING_CHANGED),
      ),
      ingredients: catalogue.ingredients,
      curing: setUp.curing,
      charges: [...workKeys(catalogue)].sort(),
      history: historyWords(setUps.shipped, base, steps).map((step) => ({
        ...step,
        at: momentWords(shop.zone, step.at),
      })),
    });
  },
});

function atHome(species: Species, own: SpeciesSetUp): SpeciesAtHome {
  const plan = breakPlan(species, own.rules.school, own.breaks);
  return {
    id: species.id,
    name: species.name,
    own,
    rules: rulesOf(species),
    schools: species.schools.map(({ id, name }) => ({ id, name })),
    breaks: species.breaks.map(({ id, title, places }) => ({
      id,
      title,
      place: plan[id]!,
      places: places.map((place) => ({ id: place.id, label: place.label })),
    })),
  };
}
