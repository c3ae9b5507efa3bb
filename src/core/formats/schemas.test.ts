import { catalogue } from '../tests/catalogue';
import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import beefQuarters from '#examples/beef-quarters.json';
import beefTwoWays from '#examples/beef-two-ways.json';
import lambWhole from '#examples/lamb-whole.json';
import metricHalf from '#examples/metric-half.json';
import season from '#examples/season.json';
import twoHalves from '#examples/two-halves.json';
import wholeWithQuestions from '#examples/whole-with-questions.json';
import experienceSchema from '#schemas/experience.schema.json';
import forecastSchema from '#schemas/forecast.schema.json';
import orderSchema from '#schemas/order.schema.json';
import priceListSchema from '#schemas/price-list.schema.json';
import seasonSchema from '#schemas/season.schema.json';
import { forecastDocument } from '../order/forecastDocument';
import { readOrder } from '../order/readOrder';
import { learnSeason, readExperience } from '../order/season';
import { demoPrices } from '../tests/prices';

const ajv = addFormats(new Ajv2020({ allErrors: true, strict: false }));
ajv.addSchema(orderSchema);
const problemsOf = (schema: object, value: unknown) => {
  const check = ajv.compile(schema);
  return check(value) ? [] : check.errors!.map((error) => `${error.instancePath} ${error.message}`);
};
const shop = { unit: 'lb' as const, tools: ['band-saw'], catalogue };
const EXAMPLES: readonly (readonly [string, unknown])[] = [
  ['beef-quarters', beefQuarters],
  ['beef-two-ways', beefTwoWays],
  ['lamb-whole', lambWhole],
  ['metric-half', metricHalf],
  ['two-halves', twoHalves],
  ['whole-with-questions', wholeWithQuestions],
];

describe.each(EXAMPLES)('examples/%s', (_, example) => {
  it('is an order by its published schema and by the house', () => {
    expect(ajv.validate('fractum.order.v1', example) ? [] : ajv.errors).toEqual([]);
    expect(readOrder(example, shop)).toMatchObject({ ok: true });
  });

  it('has a forecast that its published schema knows', () => {
    const order = readOrder(example, shop);
    if (!order.ok) throw new Error(order.message);
    const forecast = forecastDocument(shop, order.value);
    expect(problemsOf(forecastSchema, forecast)).toEqual([]);
    expect(problemsOf(forecastSchema, { ...forecast, version: 2 })).not.toEqual([]);
  });
});

describe('the published schemas', () => {
  it('know the season, and what is learnt from it', () => {
    expect(problemsOf(seasonSchema, season)).toEqual([]);
    const learnt = learnSeason(season, shop);
    if (!learnt.ok) throw new Error(learnt.message);
    expect(problemsOf(experienceSchema, learnt.value)).toEqual([]);
    expect(readExperience(JSON.parse(JSON.stringify(learnt.value)))).toEqual({
      ok: true,
      value: learnt.value,
    });
    expect(readExperience({ ...learnt.value, version: 2 })).toMatchObject({ ok: false });
  });

  it('and a season in kilograms says the same as one in pounds', () => {
    const kg = (pounds: number) => pounds * 0.45359237;
    const metric = {
      ...season,
      orders: season.orders.map(({ order, packed }) => ({
        order: {
          ...order,
          unit: 'kg',
          weights: { left: { hot: kg(order.weights.left.hot), cold: kg(order.weights.left.cold) } },
        },
        packed: packed.map((each) => ({ ...each, weight: kg(each.weight) })),
      })),
    };
    const [pounds, kilograms] = [season, metric].map((each) => learnSeason(each, shop));
    if (!pounds!.ok || !kilograms!.ok) throw new Error('not learnt');
    const bacon = 'Bacon, smoked, sliced';
    const [a, b] = [pounds!.value.groups[0]!.cuts[bacon]!, kilograms!.value.groups[0]!.cuts[bacon]!];
    expect(b.logRatio).toBeCloseTo(a.logRatio, 3);
  });

  it('know the price lists of the demo', () => {
    for (const list of demoPrices) expect(problemsOf(priceListSchema, list)).toEqual([]);
    expect(problemsOf(priceListSchema, { ...demoPrices[0], taxBp: -1 })).not.toEqual([]);
  });
});
