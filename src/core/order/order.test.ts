import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import fc from 'fast-check';
import metricHalf from '#examples/metric-half.json';
import twoHalves from '#examples/two-halves.json';
import wholeWithQuestions from '#examples/whole-with-questions.json';
import published from '#schemas/order.schema.json';
import { inUnits, weight } from '../quantity/weight';
import { catalogue, allSpecies } from '../tests/catalogue';
import { almost } from '../tests/anyOrderFile';
import { half } from '../tests/halfHog';
import { readSheet, type OrderDocument } from './document';
import { forecastDocument, workOut } from './forecastDocument';
import { orderSchema } from './orderSchema';
import { readOrder, sidesOf, situationOf } from './readOrder';
import { STAGES, stageOf, type ShareFacts } from './stage';

const shop = { unit: 'lb' as const, tools: ['band-saw'], catalogue };
const EXAMPLES = { twoHalves, wholeWithQuestions, metricHalf };

const ajv = new Ajv2020({ allErrors: true, strict: false, unicodeRegExp: true });
addFormats(ajv);
const fitsPublished = ajv.compile(published);

function order(change: object = {}): unknown {
  return { ...structuredClone(twoHalves), ...change };
}

function problemsOf(raw: unknown): string[] {
  const read = readOrder(raw, shop);
  return read.ok ? [] : read.problems!.map(({ field, message }) => `${field}: ${message}`);
}

describe('the open order file', () => {
  it.each(Object.entries(EXAMPLES))('%s, shipped as an example, is read', (_, example) => {
    expect(problemsOf(example)).toEqual([]);
    expect(fitsPublished(example)).toBe(true);
  });

  it('has a published schema that knows the species of the shop', () => {
    const known = published.properties.animal.properties.species.enum;
    expect(known).toEqual(allSpecies().map((species) => species.id));
  });

  it('is accepted and refused alike by the published schema and by the house', () => {
    const anyFile = fc.oneof(...Object.values(EXAMPLES).map(almost));
    fc.assert(
      fc.property(anyFile, (file) => {
        const house = orderSchema(catalogue).validate(file, { convert: false }).error;
        const open = fitsPublished(file);
        if (open === (house === undefined)) return;
        throw new Error(
          `${open ? 'only the published schema' : 'only the house'} takes ${JSON.stringify(file)}: ${house?.message ?? ajv.errorsText(fitsPublished.errors)}`,
        );
      }),
      { numRuns: 3000, seed: 20261124 },
    );
  });

  it.each<[string, object, string]>([
    ['a farm without a name', { farm: {} }, 'farm.name: Name is missing.'],
    [
      'an unknown species',
      { animal: { ...twoHalves.animal, species: 'yak' } },
      'animal.species: Species must be one of hog, beef, lamb, bison, goat.',
    ],
    [
      'a day that is not in the calendar',
      { animal: { ...twoHalves.animal, killDate: '2026-02-30' } },
      'animal.killDate: Kill day is not a day of the calendar.',
    ],
    [
      'two left halves',
      { shares: [twoHalves.shares[0], twoHalves.shares[0]] },
      'shares: Left is given twice.',
    ],
    [
      'an add-on it has not',
      { animal: { ...twoHalves.animal, addOns: ['wing'] } },
      'animal.addOns: A hog has no "wing".',
    ],
    [
      'more cold than hot',
      { weights: { left: { hot: 90, cold: 91 } } },
      'weights.left.cold: Cold is more than hot.',
    ],
    [
      'cold without hot',
      { weights: { right: { cold: 91 } } },
      'weights.right.cold: A cold weight needs its hot weight.',
    ],
    ['a word too many', { tip: 5 }, 'tip: Tip is not known here.'],
  ])('with %s names the field and the reason', (_, change, problem) => {
    expect(problemsOf(order(change)).join('\n')).toContain(problem);
  });

  it('names the form of the sheet that is wrong', () => {
    const sheet = {
      houseForTheRest: true,
      answers: { butt: [{ option: 'steaks', params: { thickness: 'chunky' } }], wing: [{ option: 'x' }] },
    };
    const wrong = order({ shares: [{ ...twoHalves.shares[0], sheet }] });
    expect(problemsOf(wrong)).toEqual([
      'shares.0.sheet.answers.butt[0].params.thickness: "chunky" is not a thickness. Say it like 3/4, 1 1/4, 0.75 or 19 mm.',
      'shares.0.sheet.answers.wing: "wing" is not asked of this Hog.',
    ]);
  });

  it('names everything that is wrong at once', () => {
    expect(problemsOf(order({ farm: {}, unit: 'stone' })).length).toBe(2);
  });

  it.each([null, 5, 'order', []])('%j is no order', (raw) => {
    expect(problemsOf(raw).length).toBe(1);
  });
});

describe('a sheet in a file', () => {
  it('says lengths as people do, weights in the unit of the file', () => {
    const read = readSheet(
      {
        answers: {
          butt: [
            { option: 'roast', amount: { weight: 2 }, params: { roastWeight: 1.5 } },
            { option: 'steaks', amount: { inches: 2 }, params: { thickness: '19 mm' } },
            { option: 'country', amount: { pieces: 3 } },
            { option: 'grind' },
          ],
        },
        grind: {
          lines: [
            { recipe: 'fennel', form: 'links', amount: { weight: 3 } },
            { recipe: 'fennel', form: 'bulk', amount: 'rest', packWeight: 0.5 },
          ],
        },
      },
      half,
      'kg',
    );
    const [roast, steaks, country, grind] = read.sheet.answers.butt!.forms;
    expect(read.problems).toEqual([]);
    expect(roast).toMatchObject({ amount: { kind: 'weight', weight: 4409 }, params: { roastWeight: 3307 } });
    expect(steaks!.amount).toEqual({ kind: 'length', inches: 2 });
    expect(steaks!.params.thickness).toBeCloseTo(0.748, 3);
    expect(country!.amount).toEqual({ kind: 'pieces', count: 3 });
    expect(grind!.amount).toEqual({ kind: 'rest' });
    expect(read.sheet.grind.lines[0]!.amount).toEqual({ kind: 'weight', weight: 6614 });
    expect(read.sheet.grind.lines[1]!.packWeight).toBe(1102);
  });

  it('without a word leaves everything open, or to the house', () => {
    expect(readSheet({}, half, 'lb').sheet.answers).toEqual({});
    expect(
      Object.keys(readSheet({ houseForTheRest: true }, half, 'lb').sheet.answers).length,
    ).toBeGreaterThan(15);
  });
});

describe('an order worked out', () => {
  const read = (raw: unknown) => raw as OrderDocument;

  it('forecasts each share from its own side, and adds up', () => {
    const document = forecastDocument(shop, read(twoHalves));
    expect(document).toMatchObject({ format: 'fractum.forecast', version: 1, unit: 'lb', tag: 'H131' });
    expect(
      document.shares.map((share) => [share.owner, share.cold, share.basis, share.openQuestions]),
    ).toEqual([
      ['Ragna Thole', 91, 'cold', 0],
      ['Denzil Karr', 90.3, 'cold', 0],
    ]);
    for (const share of document.shares) {
      const packaged = share.lines.reduce((sum, line) => sum + line.packaged, 0);
      const lost = Object.values(share.losses).reduce((sum, each) => sum + each, 0);
      expect(packaged).toBeCloseTo(share.takeHome, 6);
      expect(packaged + lost).toBeCloseTo(share.cold, 6);
    }
  });

  it('stands on the hot weight where the cold is missing, and says what is open', () => {
    const [worked] = workOut(shop, read(wholeWithQuestions));
    expect(worked!.basis).toBe('hot');
    expect(worked!.findings.map((finding) => finding.kind)).toEqual(
      expect.arrayContaining(['clash', 'batch']),
    );
  });

  it('in kilograms is the same animal as in pounds', () => {
    const [metric] = forecastDocument({ ...shop, unit: 'kg' }, read(metricHalf)).shares;
    const [imperial] = forecastDocument(shop, read(metricHalf)).shares;
    expect(metric!.cold).toBeCloseTo(41.7, 3);
    expect(imperial!.takeHome * 0.45359237).toBeCloseTo(metric!.takeHome, 1);
    expect(imperial!.yieldPct).toBeCloseTo(metric!.yieldPct, 1);
  });

  it('a share without a sheet is all questions', () => {
    const bare = read(order({ shares: [{ part: 'left', owner: { name: 'A' } }] }));
    expect(forecastDocument(shop, bare).shares[0]!.openQuestions).toBeGreaterThan(15);
  });

  it('a whole has both sides, a half its own', () => {
    const whole = read(wholeWithQuestions);
    expect(sidesOf(shop, whole, 'whole')).toHaveLength(2);
    expect(situationOf(shop, whole, 'whole')).toMatchObject({ sides: 2, addOns: ['kidney'] });
    expect(sidesOf(shop, read(twoHalves), 'right')).toEqual([{ weight: weight(90.3), basis: 'cold' }]);
    expect(inUnits(sidesOf(shop, read(order({ weights: {} })), 'left')[0]!.weight)).toBe(91);
  });
});

describe('where a share hangs', () => {
  const facts: ShareFacts = {
    hotWeighed: true,
    coldWeighed: true,
    sheetApproved: true,
    onTheBlock: true,
    packed: true,
    closed: true,
    pickedUp: false,
  };

  it.each<[string | null, Partial<ShareFacts>]>([
    [null, { pickedUp: true }],
    ['settle', {}],
    ['reconcile', { closed: false }],
    ['wrap', { closed: false, packed: false }],
    ['wrap', { closed: false, packed: false, onTheBlock: false }],
    ['hang', { closed: false, onTheBlock: false, coldWeighed: false }],
    ['sheet', { closed: false, onTheBlock: false, sheetApproved: false, coldWeighed: false }],
    ['book', { closed: false, onTheBlock: false, hotWeighed: false }],
  ])('%s', (stage, change) => {
    expect(stageOf({ ...facts, ...change })).toBe(stage);
    expect(stage === null || STAGES.includes(stage as 'book')).toBe(true);
  });
});
