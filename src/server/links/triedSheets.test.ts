import { randomUUID } from 'node:crypto';
import { CODE_SIGNS } from '@/core/order/triedCode';
import { withAnswer } from '@/core/sheet/houseSheet';
import type { Sheet } from '@/core/sheet/types';
import { ANYBODY } from '../house/actor';
import { passDoorway } from '../house/doorway';
import { hogDocument, TestShop } from '../tests/testShop';
import { USE_CASES, type InputOf, type UseCaseName } from '../useCases';
import { admitAnybody } from '.';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const ask = <Name extends UseCaseName>(name: Name, input: InputOf<Name>) =>
  passDoorway(USE_CASES[name] as never, input, ANYBODY, shop.around());
const trySheet = async (species = 'hog') => {
  const view = await ask('trySheetView', { species, sides: 1 });
  if (!view.ok) throw new Error(view.message);
  return (view.value as { sheet: { sheet: Sheet } }).sheet.sheet;
};
const jowlToGrind = async () =>
  withAnswer(await trySheet(), 'jowl', {
    forms: [{ option: 'grind', amount: { kind: 'rest' }, params: {} }],
  });
const kept = async (sheet: Sheet, species = 'hog'): Promise<string> => {
  const answer = await ask('keepTriedSheet', { clientId: randomUUID(), species, sides: 1, sheet });
  if (!answer.ok) throw new Error(answer.message);
  return (answer.value as { code: string }).code;
};

describe('a sheet that is tried before booking', () => {
  it('is worked out on a usual animal of each species, whole or half', async () => {
    for (const { id } of shop.catalogue.species) {
      for (const sides of [1, 2] as const) {
        const view = await ask('trySheetView', { species: id, sides });
        expect(view).toMatchObject({
          ok: true,
          value: { sheet: { weightBasis: 'usual', version: 0, locked: false, sides } },
        });
      }
    }
    expect(await ask('trySheetView', { species: 'unicorn', sides: 1 })).toMatchObject({
      reason: 'not-found',
    });
  });

  it('is taken along under a code, and the booking begins with it', async () => {
    const code = await kept(await jowlToGrind());
    const said = code.toLowerCase().replace('-', ' ');
    expect(await shop.get('triedSheetView', { code: said })).toMatchObject({
      code,
      species: 'hog',
      words: 'hog, 1 choices, tried 24 Nov 12:00',
    });
    const { shareIds } = await shop.get('bookAnimals', {
      clientId: randomUUID(),
      documents: [hogDocument()],
      tried: { '0.1': said },
    });
    const view = await shop.get('sheetView', { shareId: shareIds[1]! });
    expect(view.version).toBe(1);
    expect(Object.keys(view.sheet.answers)).toEqual(['jowl']);
  });

  it('is refused where the code is wrong or of another animal, and nothing is booked', async () => {
    const wrong = [
      ['K7QM-4XTB', 'not-found'],
      ['', 'not-found'],
      [await kept(await trySheet('beef'), 'beef'), 'not-that-animal'],
    ] as const;
    for (const [code, reason] of wrong) {
      const booking = { clientId: randomUUID(), documents: [hogDocument()], tried: { '0.1': code } };
      expect(await shop.ask('bookAnimals', booking)).toMatchObject({
        reason,
        field: 'documents.0.shares.1.tried',
      });
    }
    expect(await shop.db('animals')).toEqual([]);
  });

  it('is kept for ninety days, and forgotten when another one is kept after that', async () => {
    const code = await kept(await jowlToGrind());
    shop.now = new Date(shop.now.getTime() + 89 * 24 * 3_600_000);
    expect(await shop.get('triedSheetView', { code })).toMatchObject({ code });
    shop.now = new Date(shop.now.getTime() + 3 * 24 * 3_600_000);
    expect(await shop.ask('triedSheetView', { code })).toMatchObject({ reason: 'not-found' });
    await kept(await jowlToGrind());
    expect(await shop.db('triedSheets')).toHaveLength(1);
  });

  it('that makes no sense is refused, and anybody reads nothing that is kept', async () => {
    const nonsense = withAnswer(await trySheet(), 'jowl', {
      forms: [{ option: 'moon', amount: { kind: 'rest' }, params: {} }],
    });
    const asked = { clientId: randomUUID(), species: 'hog', sides: 1 as const, sheet: nonsense };
    expect(await ask('keepTriedSheet', asked)).toMatchObject({ reason: 'invalid' });
    const code = await kept(await jowlToGrind());
    expect(await ask('triedSheetView', { code })).toMatchObject({ reason: 'not-allowed' });
    expect([...code.replace('-', '')].every((sign) => CODE_SIGNS.includes(sign))).toBe(true);
  });
});

it('whoever keeps many within the hour waits, and nobody else does', async () => {
  const place = randomUUID();
  for (let times = 0; times < 20; times += 1) expect(await admitAnybody(place)).toMatchObject({ ok: true });
  expect(await admitAnybody(place)).toMatchObject({ reason: 'locked' });
  expect(await admitAnybody(randomUUID())).toMatchObject({ ok: true });
});
