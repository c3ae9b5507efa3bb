import Joi from 'joi';
import { cureRecipeSchema, smokePlanSchema } from './curingSchema';
import { houseRuleFields } from '../shop/houseRules';
import { shopFields } from '../shop/shop';
import { writtenRecipeSchema } from '../species/recipeSchema';
import { id, percent, pounds, words } from '../species/schemaParts';
import { placeSchema } from './places';
import { OWN_SHAPES, TRIM_LEVELS, type OwnCut, type SetUpChange } from './types';

const months = Joi.object({
  cut: Joi.number().integer().min(1).max(36).required(),
  grind: Joi.number().integer().min(1).max(36).required(),
  cured: Joi.number().integer().min(1).max(36).required(),
}).required();

const speciesRules = Joi.object({
  targetDays: Joi.number().integer().min(0).max(120),
  longestDays: Joi.number().integer().min(0).max(180),
  lightLb: Joi.number().min(0).max(2000),
  heavyLb: pounds,
  minBatchLb: Joi.number().min(1).max(200),
  kindsPerHalf: Joi.number().integer().min(0).max(10),
  anotherKindFromLb: Joi.number().min(0).max(2000),
  grindFatPct: percent,
  grindPackLb: Joi.number().min(0.25).max(10),
  tolerancePct: Joi.number().min(1).max(60),
  school: id,
  months: Joi.object({ vacuum: months, paper: months }),
}).min(1);

const ownCut = Joi.object<OwnCut>({
  id: id.required(),
  decision: id.required(),
  name: words.max(60).required().label('name'),
  pieces: Joi.array().items(id).unique().min(1).max(40).required().label('pieces'),
  bone: Joi.valid('in', 'out').required(),
  trim: Joi.valid(...TRIM_LEVELS).required(),
  shape: Joi.valid(...OWN_SHAPES).required(),
  size: Joi.number().min(0).max(100).required(),
  perPack: Joi.number().integer().min(1).max(12).required(),
  netted: Joi.boolean().required(),
  destination: Joi.valid('steaks', 'roasts', 'grind', 'bones', 'offal').required(),
  charges: Joi.array().items(id).unique().max(10).required(),
});

const reason = words.max(200).required();
const species = id.required();
const param = Joi.string().max(200);
const value = Joi.alternatives().try(Joi.number(), Joi.boolean(), Joi.string().max(40));
/** The largest species that ships is a third of this. */
export const LONGEST_FILE = 900_000;
const fileText = Joi.string().max(LONGEST_FILE).required();

/** What an owner may ask to change; item numbers are given by the house. */
const SHAPES: Readonly<Record<SetUpChange['kind'], Joi.SchemaMap>> = {
  rules: { rules: Joi.object(houseRuleFields).min(1).required() },
  'species-rules': { species, rules: speciesRules.required() },
  atlas: { species, text: fileText },
  species: { text: fileText },
  break: { species, break: id.required(), place: id.required() },
  house: {
    species,
    decision: id.required(),
    says: Joi.object({ option: id.required(), then: id, reason }).required(),
    usual: Joi.object().pattern(param, value.required()).min(1).max(20),
  },
  usual: {
    species,
    param: param.required(),
    value: value.required(),
  },
  keep: { species, id: id.required(), keep: Joi.boolean().required(), reason },
  word: { species, cut: words.required(), word: Joi.string().trim().max(60).allow('').required() },
  alias: {
    species,
    cut: words.required(),
    say: Joi.array().items(words.max(60)).unique().max(20).required(),
  },
  offer: { species, option: Joi.string().max(130).required(), offered: Joi.boolean().required() },
  'own-cut': { species, cut: ownCut.required() },
  'without-own-cut': { species, id: id.required() },
  recipe: { species, recipe: writtenRecipeSchema.required() },
  'offer-recipe': { species, id: id.required(), offered: Joi.boolean().required() },
  shop: { shop: Joi.object(shopFields).min(1).required() },
  'cure-recipe': { recipe: cureRecipeSchema.required() },
  'smoke-plan': { plan: smokePlanSchema.required() },
  place: { place: placeSchema.required() },
  'without-place': { id: id.required() },
  back: { step: Joi.number().integer().min(1).required() },
};

export const setUpChangeSchema = Joi.alternatives()
  .conditional('.kind', {
    switch: Object.entries(SHAPES).map(([kind, fields]) => ({
      is: kind,
      then: Joi.object({ kind, ...fields }),
    })),
    otherwise: Joi.forbidden(),
  })
  .required();
