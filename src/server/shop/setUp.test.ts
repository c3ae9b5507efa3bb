import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import type { OwnCut } from '@/core/setUp/types';
import { forecast } from '@/core/forecast/forecast';
import { planOf } from '@/core/order/standing';
import { sumWeights } from '@/core/quantity/weight';
import type { WrittenRecipe } from '@/core/species/recipeTypes';
import { anyOrderOf } from '@/core/tests/anySheet';
import { hogDocument, TestShop } from '../tests/testShop';
import type { SaidChange } from './setUp';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const ask = (change: SaidChange) => shop.ask('changeSetUp', { clientId: randomUUID(), change });
const make = (change: SaidChange) => shop.get('changeSetUp', { clientId: randomUUID(), change });
const speciesNow = async (id = 'hog') =>
  (await shop.setUps.now(shop.db)).catalogue.species.find((each) => each.id === id)!;

const ROLL: OwnCut = {
  id: 'own-leg-roll',
  decision: 'ham',
  name: 'Leg roll',
  pieces: ['ham-inside', 'ham-outside'],
  bone: 'out',
  trim: 'usual',
  shape: 'roasts',
  size: 3,
  perPack: 1,
  netted: true,
  destination: 'roasts',
  charges: ['boning'],
};

/** Smoked links of a shop's own, of so much of each. */
function smoked(name: string, parts: WrittenRecipe['parts']): WrittenRecipe {
  return { id: name.toLowerCase(), name, askedAs: '', fatPct: 20, forms: ['links'], state: 'smoked', parts };
}

const brine = (recipeId: string) => ({
  ...{ clientId: randomUUID(), recipeId, piece: null, skinOn: false, makes: 20_000 },
});

describe('the set-up of a shop', () => {
  it('is changed step by step, each told in words and taken back by itself', async () => {
    await make({ kind: 'rules', rules: { storageDays: 10 } });
    const { number } = await make({ kind: 'species-rules', species: 'hog', rules: { targetDays: 3 } });
    await make({ kind: 'rules', rules: { storageDays: 12 } });
    expect((await shop.get('setUpView', {})).history.map((step) => step.words)).toEqual([
      'days boxes may wait 10 to 12',
      'hog: days to hang 3',
      'days boxes may wait 7 to 10',
    ]);
    expect((await speciesNow()).hang.targetDays).toBe(3);
    await make({ kind: 'back', step: number });
    const shipped = shop.catalogue.species.find(({ id }) => id === 'hog')!;
    expect((await speciesNow()).hang).toEqual(shipped.hang);
    expect((await shop.get('setUpView', {})).rules.storageDays).toBe(12);
    expect(await ask({ kind: 'back', step: number })).toMatchObject({ reason: 'not-found' });
  });

  it('sets its own limits of nitrite, cures and plans, and takes none that is over or that warms', async () => {
    const ham = shop.catalogue.curing.recipes.find(({ id }) => id === 'ham-pumped')!;
    const strong = { ...ham, id: 'own-strong', name: 'Strong', takesPct: 20 };
    expect(await ask({ kind: 'cure-recipe', recipe: strong })).toMatchObject({
      message: expect.stringContaining('295 ppm nitrite, where ham'),
    });
    const thin = { ...ham, parts: ham.parts.filter(({ ingredient }) => ingredient !== 'water') };
    expect(await ask({ kind: 'cure-recipe', recipe: thin })).toMatchObject({
      message: expect.stringContaining('must come to 100 lb'),
    });
    const [plan] = shop.catalogue.curing.plans;
    const warms = { ...plan!, cooling: [{ from: 80, to: 130, minutes: 60 }] };
    expect(await ask({ kind: 'smoke-plan', plan: warms })).toMatchObject({
      message: 'From 80 F nothing cools to 130 F.',
    });
    await make({ kind: 'cure-recipe', recipe: { ...ham, name: 'Our ham', takesPct: 10 } });
    await make({ kind: 'smoke-plan', plan: { ...plan!, id: 'own-plan', name: 'Ours' } });
    const { curing, rules, history } = await shop.get('setUpView', {});
    expect(curing.recipes.find(({ id }) => id === 'ham-pumped')).toMatchObject({ name: 'Our ham' });
    expect(curing.plans.map(({ name }) => name)).toContain('Ours');
    expect(history.map(({ words }) => words)).toEqual(['plan of the smokehouse Ours', 'cure Our ham']);
    // A lower limit holds at once: what is over it is offered to nobody any more.
    const nitrite = { ...rules.nitrite, ppm: { ...rules.nitrite.ppm, ham: 100 } };
    await make({ kind: 'rules', rules: { nitrite } });
    expect(await shop.ask('beginMix', brine('ham-pumped'))).toMatchObject({
      message: expect.stringContaining('where ham and other pumped or immersed cuts may have 100'),
    });
    const links = smoked('Links', [
      { ingredient: 'pork', lb: 100 },
      { ingredient: 'curing salt', lb: 0.24 },
    ]);
    await make({ kind: 'rules', rules: { nitrite: { ...nitrite, ppm: { ...nitrite.ppm, ground: 120 } } } });
    expect(await ask({ kind: 'recipe', species: 'hog', recipe: links })).toMatchObject({
      message: 'That is 150 ppm of nitrite; 120 is the most.',
    });
  });

  it('new sheets obey at once; begun ones keep what held then', async () => {
    const [begun, empty] = await shop.book();
    await make({ kind: 'word', species: 'hog', cut: 'Spare ribs, trimmed square', word: 'Square ribs' });
    const cuts = async (id: string) =>
      planOf(await shop.file(id as never)).expected.lines.map((line) => line.cut);
    expect(await cuts(begun!.share.id)).toContain('Spare ribs, trimmed square');
    expect((await shop.file(begun!.share.id)).setUpNumber).toBe(0);
    const house = (await shop.file(begun!.share.id)).sheet!.sheet;
    await shop.get('saveSheet', { shareId: empty!.share.id, baseVersion: 0, sheet: house });
    expect(await cuts(empty!.share.id)).toContain('Square ribs');
    expect((await shop.file(empty!.share.id)).setUpNumber).toBe(1);
    expect((await shop.get('ticketView', { shareId: begun!.share.id })).sheet.setUp).toBe(0);
    await shop.get('renewSetUp', { clientId: randomUUID(), shareId: begun!.share.id });
    expect(await cuts(begun!.share.id)).toContain('Square ribs');
  });

  it.each<[string, SaidChange, string]>([
    ['an unknown species', { kind: 'offer', species: 'unicorn', option: 'a.b', offered: false }, 'species'],
    [
      'longest under target',
      { kind: 'species-rules', species: 'hog', rules: { targetDays: 9, longestDays: 5 } },
      'longestDays',
    ],
    [
      'a word that is another cut',
      { kind: 'word', species: 'hog', cut: 'Tenderloin, whole', word: 'Skirt' },
      'word',
    ],
    [
      'what the house sheet says hidden',
      { kind: 'offer', species: 'hog', option: 'butt.roast', offered: false },
      'option',
    ],
    [
      'a piece of elsewhere',
      { kind: 'own-cut', species: 'hog', cut: { ...ROLL, pieces: ['jowl'] } },
      'pieces',
    ],
    [
      'a net around one muscle',
      { kind: 'own-cut', species: 'hog', cut: { ...ROLL, pieces: ['ham-inside'] } },
      'netted',
    ],
    ['a roast of a quarter pound', { kind: 'own-cut', species: 'hog', cut: { ...ROLL, size: 0.25 } }, 'size'],
    ['a name that is taken', { kind: 'own-cut', species: 'hog', cut: { ...ROLL, name: 'Skirt' } }, 'name'],
    [
      'more nitrite than may be',
      {
        kind: 'recipe',
        species: 'hog',
        recipe: smoked('Strong', [
          { ingredient: 'pork', lb: 100 },
          { ingredient: 'curing salt', lb: 0.4 },
        ]),
      },
      'parts',
    ],
    [
      'smoke without a cure',
      {
        kind: 'recipe',
        species: 'hog',
        recipe: smoked('Bare', [
          { ingredient: 'pork', lb: 100 },
          { ingredient: 'salt', lb: 2 },
        ]),
      },
      'parts',
    ],
    ['the plain grind not made', { kind: 'offer-recipe', species: 'hog', id: 'plain', offered: false }, 'id'],
  ])('refuses %s in words, and nothing is changed', async (_, change, field) => {
    expect(await ask(change)).toMatchObject({
      ok: false,
      reason: 'invalid',
      field: expect.stringContaining(field),
    });
    expect(await shop.db('setUpSteps')).toEqual([]);
  });

  it('makes a cut of the shop’s own that can be asked for, weighed and numbered', async () => {
    await make({ kind: 'own-cut', species: 'hog', cut: ROLL });
    const sheet = { houseForTheRest: true, answers: { ham: [{ option: 'own-leg-roll' }] } };
    const shareId = await shop.onTheBlock(sheet);
    const line = planOf(await shop.file(shareId)).expected.lines.find(({ ownCut }) => ownCut === 'Leg roll')!;
    expect(line.packaged).toBeGreaterThan(5000);
    expect(line.charges).toEqual(['boning', 'netting']);
    const net = Math.round(line.packaged / line.packs);
    const purpose = { kind: 'package', from: 'share', lineKey: line.key } as const;
    expect(await shop.ask('weigh', shop.weighing(shareId, purpose, net))).toMatchObject({ ok: true });
    expect(planOf(await shop.file(shareId)).items[line.key]).toBe(50_000);
  });

  it('whatever is accepted keeps every pound, once, over a thousand random sheets', async () => {
    const changes: SaidChange[] = [
      { kind: 'own-cut', species: 'hog', cut: ROLL },
      {
        kind: 'own-cut',
        species: 'hog',
        cut: { ...ROLL, id: 'own-shaved', name: 'Shaved leg', shape: 'dice', size: 1, netted: false },
      },
      { kind: 'offer', species: 'hog', option: 'butt.steaks', offered: false },
      { kind: 'offer', species: 'hog', option: 'ham.grind', offered: false },
      { kind: 'word', species: 'hog', cut: 'Tenderloin, whole', word: 'Filet' },
      { kind: 'species-rules', species: 'hog', rules: { grindFatPct: 30, minBatchLb: 5 } },
    ];
    for (const change of changes) await make(change);
    const hog = await speciesNow();
    fc.assert(
      fc.property(anyOrderOf(hog), ({ situation, sheet, coldSides }) => {
        const { lines, losses, coldWeight } = forecast(situation, sheet, coldSides);
        const all = sumWeights([...lines.map((line) => line.packaged), ...Object.values(losses)]);
        expect(all).toBe(coldWeight);
        expect(lines.every((line) => line.packaged >= 0)).toBe(true);
      }),
      { numRuns: 1000 },
    );
  }, 120_000);

  it('the facts of the shop may be said anew, and taken back', async () => {
    const { number } = await make({ kind: 'shop', shop: { establishment: '4711' } });
    const document = hogDocument({ animal: { ...hogDocument().animal, inspection: 'inspected' } });
    expect(await shop.ask('bookOrder', { clientId: randomUUID(), document })).toMatchObject({ ok: true });
    await make({ kind: 'back', step: number });
    expect((await shop.get('setUpView', {})).shop.establishment).toBeNull();
    expect(await ask({ kind: 'shop', shop: { codePrefix: '12a' } })).toMatchObject({ ok: false });
  });

  it('is the owner’s alone', async () => {
    expect(await shop.ask('setUpView', {}, 'counter')).toMatchObject({ reason: 'not-allowed' });
  });
});

describe('labels', () => {
  it('are shown as they are printed, with what is too long for them', async () => {
    const usual = await shop.get('labelSampleView', {});
    expect(usual.svg).toContain('best by');
    expect(usual.tooLong).toEqual([]);
    await make({ kind: 'rules', rules: { labelSize: '4x2', labelDate: 'Best before', labelFarm: false } });
    const small = await shop.get('labelSampleView', {});
    expect(small.svg).toContain('viewBox="0 0 400 200"');
    expect(small.svg).toContain('Best before');
    expect(small.svg).not.toContain('the farm');
    expect((await shop.get('setUpView', {})).history[0]!.words).toBe(
      'labels 4x3 to 4x2; words before the best-by date Keep frozen, best by to Best before; the farm on labels: no',
    );
  });
});
