import Joi from 'joi';
import type { Catalogue } from '@/core/catalogue/catalogue';
import { houseForecast } from '@/core/setUp/speciesTrial';
import { recipeWords } from '@/core/forecast/finishedLines';
import { tradeItem } from '@/core/label/gs1';
import {
  byRules,
  keepUntil,
  labelFor,
  lotOf,
  type Label,
  type LabelFacts,
  type LabelRules,
} from '@/core/label/label';
import { success, type Result } from '@/core/quantity/result';
import { weight } from '@/core/quantity/weight';
import type { Shop } from '@/core/shop/shop';
import { dayIn } from '@/core/time/shopTime';
import { readShop } from '@/data/setUp';
import { drawLabel, labelMeasures } from '@/papers';
import { defineUseCase } from '../house/useCase';

/** A label as the shop prints them now, and what it makes whose words are too many for one. */
export type LabelSample = { readonly svg: string; readonly tooLong: readonly string[] };

export const labelSampleView = defineUseCase<object, LabelSample>({
  name: 'labelSampleView',
  roles: ['owner'],
  writes: false,
  input: Joi.object({}),
  run: async ({ db, setUp, catalogue, now }) => {
    const shop = await readShop(db);
    const today = dayIn(shop.zone, now);
    const labelOf = (cut: string, words: readonly string[]) =>
      sampleOf({ shop, rules: setUp.rules, species: catalogue.species[0]!.name, today, cut, words });
    const made = madeThings(catalogue);
    const [shown] = houseForecast(catalogue.species[0]!).lines.filter(({ cure }) => cure !== null);
    const label = labelOf(shown?.cut ?? 'Chops', shown?.labelWords ?? []);
    return success({
      svg: label.ok ? drawLabel(label.value) : '',
      tooLong: made.filter(({ name, words }) => !labelOf(name, words).ok).map(({ name }) => name),
    });
  },
});

/** Everything that a shop makes of ground meat, with the words its labels must carry. */
function madeThings({ species }: Catalogue): { name: string; words: readonly string[] }[] {
  return species.flatMap(({ recipes }) =>
    recipes.map((recipe) => ({ name: recipe.name, words: recipeWords(recipe) })),
  );
}

type Sample = {
  readonly shop: Shop;
  readonly rules: LabelRules;
  readonly species: string;
  readonly today: string;
  readonly cut: string;
  readonly words: readonly string[];
};

/** Names as long as most, and a pound of it; a shop with an establishment prints its number as well. */
function sampleOf({ shop, rules, species, today, cut, words }: Sample): Result<Label> {
  const facts: LabelFacts = {
    shopName: shop.name,
    establishment: shop.establishment,
    inspection: shop.establishment === null ? 'custom-exempt' : 'inspected',
    owner: 'the name of the household',
    tag: 'H100',
    shareLabel: 'left half',
    speciesName: species,
    cut,
    detail: '',
    agedDays: null,
    net: weight(1.29),
    unit: shop.unit,
    packedOn: today,
    keepUntil: keepUntil(today, 'vacuum', 'cured'),
    ...byRules(rules, { farm: 'the name of the farm', words }),
    code: {
      tradeItem: tradeItem(shop.codePrefix, 1),
      net: weight(1.29),
      unit: shop.unit,
      lot: lotOf(today, 'H100'),
      serial: '000000',
    },
  };
  return labelFor(facts, labelMeasures);
}
