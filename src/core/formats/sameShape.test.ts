import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import type Joi from 'joi';
import beefQuarters from '#examples/beef-quarters.json';
import season from '#examples/season.json';
import twoHalves from '#examples/two-halves.json';
import wholeWithQuestions from '#examples/whole-with-questions.json';
import publishedExperience from '#schemas/experience.schema.json';
import publishedOrder from '#schemas/order.schema.json';
import publishedPriceList from '#schemas/price-list.schema.json';
import publishedSeason from '#schemas/season.schema.json';
import { priceListSchema } from '../charges/priceListSchema';
import { orderSchema } from '../order/orderSchema';
import { experienceSchema, learnSeason, seasonSchema } from '../order/season';
import { checkShape } from '../shape/checkShape';
import { catalogue } from '../tests/catalogue';
import { demoPrices } from '../tests/prices';

const ajv = addFormats(new Ajv2020({ strict: false, multipleOfPrecision: 6 }));
ajv.addSchema(publishedOrder);

type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

/** What somebody's program or typing error may put in the place of any value. */
const STRANGERS: readonly Json[] = [
  null,
  true,
  -1,
  0,
  0.125,
  3.5,
  5000,
  1e9,
  '',
  'x',
  '12',
  'x'.repeat(600),
  [],
  {},
];

type Changed = { readonly at: string; readonly value: Json };

/** A document changed in one place: a value replaced, left out, or an unknown key beside it. */
function* changesOf(value: Json, at = ''): Generator<Changed> {
  for (const stranger of STRANGERS)
    yield { at: `${at} = ${JSON.stringify(stranger).slice(0, 20)}`, value: stranger };
  if (Array.isArray(value)) {
    const items = value as readonly Json[];
    yield { at: `${at} twice`, value: [...items, ...items] };
    for (const [index, item] of items.entries()) {
      for (const changed of changesOf(item, `${at}.${index}`)) {
        yield { at: changed.at, value: items.map((each, i) => (i === index ? changed.value : each)) };
      }
    }
  } else if (value !== null && typeof value === 'object') {
    const fields = value as { readonly [key: string]: Json };
    yield { at: `${at}.unheardOf`, value: { ...fields, unheardOf: 1 } };
    for (const [key, own] of Object.entries(fields)) {
      yield {
        at: `${at}.${key} left out`,
        value: Object.fromEntries(Object.entries(fields).filter(([k]) => k !== key)),
      };
      for (const changed of changesOf(own, `${at}.${key}`))
        yield { at: changed.at, value: { ...fields, [key]: changed.value } };
    }
  }
}

function learnt(): Json {
  const found = learnSeason(season, { unit: 'lb', tools: ['band-saw'], catalogue });
  if (!found.ok) throw new Error(found.message);
  return json(found.value);
}

/** As it is read from a file. */
function json(value: unknown): Json {
  return JSON.parse(JSON.stringify(value));
}

/** What no published schema can say: that two rules have one id, and which days a calendar has. */
const HOUSE_ALONE = ['.rules twice'];

/** The first of each list is enough: the others have the same shape. */
const oneOrder = { ...season, orders: season.orders.slice(0, 1) };

const FILES: readonly (readonly [string, object, Joi.Schema, Json])[] = [
  ['an order in quarters', publishedOrder, orderSchema(catalogue), json(beefQuarters)],
  ['an order in halves', publishedOrder, orderSchema(catalogue), json(twoHalves)],
  ['a whole animal', publishedOrder, orderSchema(catalogue), json(wholeWithQuestions)],
  ['a season', publishedSeason, seasonSchema(catalogue), json(oneOrder)],
  ['an experience', publishedExperience, experienceSchema, learnt()],
  ['a price list', publishedPriceList, priceListSchema, json(demoPrices[0])],
];

describe.each(FILES)('%s', (_, published, house, document) => {
  it('is taken or refused alike by the published schema and by the house, whatever is changed in it', () => {
    const check = ajv.compile(published);
    const judgedApart: string[] = [];
    let changes = 0;
    for (const { at, value } of changesOf(document)) {
      changes += 1;
      const byHouse = checkShape(house, value).ok;
      if (check(value) !== byHouse && !HOUSE_ALONE.some((each) => at.endsWith(each)))
        judgedApart.push(`${at}: ${byHouse ? 'the house' : 'the schema'} takes it`);
    }
    expect(changes).toBeGreaterThan(100);
    expect(judgedApart).toEqual([]);
  });
});
