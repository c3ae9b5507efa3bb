import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { readAtlas, writeAtlas } from '@/core/formats/atlasCsv';
import { readSpeciesFile, writeSpeciesFile } from '@/core/setUp/speciesFile';
import { planOf } from '@/core/order/standing';
import { sumWeights } from '@/core/quantity/weight';
import { itemsOf } from '@/core/species/items';
import type { Atom, Species } from '@/core/species/types';
import { hogDocument, TestShop } from '../tests/testShop';
import type { SaidChange } from './setUp';

let shop: TestShop;
beforeEach(async () => {
  shop = await TestShop.open();
});
afterEach(() => shop.close());

const ask = (change: SaidChange) => shop.ask('changeSetUp', { clientId: randomUUID(), change });
const make = (change: SaidChange) => shop.get('changeSetUp', { clientId: randomUUID(), change });
const shipped = (id: string) => shop.catalogue.species.find((each) => each.id === id)!;

/** A species that may be said otherwise anywhere. */
type Loose<T> = T extends object ? { -readonly [Key in keyof T]: Loose<T[Key]> } : T;

/** The file of a species with some of it said otherwise. */
function fileOf(species: Species, change: (said: Loose<Species>) => void): string {
  const file = JSON.parse(writeSpeciesFile(species)) as { species: Loose<Species> };
  change(file.species);
  return JSON.stringify(file);
}

const deer = () =>
  fileOf(shipped('lamb'), (said) => Object.assign(said, { id: 'deer', name: 'Deer', sideWord: 'half deer' }));

describe('a species as a file', () => {
  it.each(['hog', 'beef', 'lamb', 'goat'])('of a %s reads as it was written', (id) => {
    const { items: _items, listed: _listed, ...rest } = shipped(id);
    const read = readSpeciesFile(writeSpeciesFile(shipped(id)), shop.catalogue);
    expect(read).toMatchObject({ ok: true, value: rest });
  });

  it('is shown, taken, booked, cut and priced like those that ship', async () => {
    const text = deer();
    const tried = await shop.get('triedFileView', { kind: 'species', text });
    expect(tried).toMatchObject({ id: 'deer', name: 'Deer', problem: null });
    expect(tried.lines.every(({ now, then }) => now === null && then! > 0)).toBe(true);
    expect((await shop.get('setUpView', {})).history).toEqual([]);

    const { number } = await make({ kind: 'species', text });
    const { catalogue } = await shop.setUps.now(shop.db);
    const own = catalogue.species.find(({ id }) => id === 'deer')!;
    const numbers = itemsOf(own).map((item) => own.items[item]);
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(Math.min(...(numbers as number[]))).toBeGreaterThanOrEqual(50_000);
    expect(own.listed).toBeGreaterThan(Math.max(...shop.catalogue.species.map(({ listed }) => listed)));

    const animal = { ...hogDocument().animal, tag: 'D1', species: 'deer' };
    const side = { hot: 40, cold: 39 };
    const [file] = await shop.book(hogDocument({ animal, weights: { left: side, right: side } }));
    const { lines, losses } = planOf(file!).expected;
    expect(sumWeights([...lines.map(({ packaged }) => packaged), ...Object.values(losses)])).toBe(39_000);

    expect((await shop.get('setUpView', {})).history[0]!.words).toBe('a new species: deer');
    expect(await ask({ kind: 'back', step: number })).toMatchObject({ reason: 'still-booked' });
    // Described anew it may be taken back to what it was.
    const anew = await make({ kind: 'species', text });
    expect(await ask({ kind: 'back', step: anew.number })).toMatchObject({ ok: true });
  });

  it('that nobody has booked is taken back, and keeps its numbers when it comes again', async () => {
    const { number } = await make({ kind: 'species', text: deer() });
    const numbers = (await shop.setUps.now(shop.db)).items.deer;
    await make({ kind: 'back', step: number });
    expect((await shop.setUps.now(shop.db)).catalogue.species.map(({ id }) => id)).not.toContain('deer');
    await make({ kind: 'species', text: deer() });
    expect((await shop.setUps.now(shop.db)).items.deer).toEqual(numbers);
  });

  it.each<[string, (said: Loose<Species>) => void, string]>([
    ['has the id of one that ships', (said) => (said.id = 'hog'), 'Fractum brings'],
    ['has the name of another', (said) => (said.name = 'goat'), 'a species already'],
    ['is not whole', (said) => Reflect.deleteProperty(said, 'breaks'), 'Breaks is missing'],
    [
      'has pieces of more than a side',
      (said) => (said.atlas.atoms[0]!.sharePct += 1),
      'shares add up to 101',
    ],
    ['has an unknown ingredient', (said) => (said.recipes[1]!.parts[0]!.ingredient = 'stardust'), 'stardust'],
    ['has a recipe without meat', (said) => (said.recipes[1]!.parts[0]!.lb = 50), 'Meat must come to 100 lb'],
    ['would be cut to dust', (said) => (said.atlas.reference.sideLb = 0.5), 'on a side of'],
  ])('that %s is refused in words', async (_, change, words) => {
    const text = fileOf(shipped('lamb'), (said) => {
      Object.assign(said, { id: 'deer', name: 'Deer' });
      change(said);
    });
    const refused = await ask({ kind: 'species', text });
    expect(refused).toMatchObject({ ok: false, reason: 'invalid' });
    expect((refused as { message: string }).message).toContain(words);
  });

  it('that is not JSON, or another thing, is refused', async () => {
    expect(await ask({ kind: 'species', text: '{"format":' })).toMatchObject({ reason: 'invalid' });
    expect(await ask({ kind: 'species', text: '{"format":"fractum.order"}' })).toMatchObject({
      reason: 'invalid',
      field: 'format',
    });
  });

  it('with anything changed in it is taken or refused, and never breaks', async () => {
    const whole = JSON.parse(deer()) as object;
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.nat(), { minLength: 12, maxLength: 12 }),
        fc.constantFrom(null, -1, '', 'x', 7, [], {}),
        async (ways, put) => {
          const file = structuredClone(whole) as Record<string, unknown>;
          let at = file.species as Record<string, unknown>;
          for (const way of ways) {
            const keys = Object.keys(at);
            const key = keys[way % keys.length]!;
            const next = at[key];
            if (next !== null && typeof next === 'object' && Object.keys(next).length > 0 && way % 7 !== 0) {
              at = next as Record<string, unknown>;
            } else {
              at[key] = put;
              break;
            }
          }
          const answer = await shop.ask('triedFileView', { kind: 'species', text: JSON.stringify(file) });
          if (!answer.ok) expect(answer.reason).toBe('invalid');
        },
      ),
      { numRuns: 60 },
    );
  }, 60_000);
});

describe('a table of pieces', () => {
  const table = (change: (atoms: Loose<Atom>[]) => void): string => {
    const atoms = structuredClone(shipped('hog').atlas.atoms) as Loose<Atom>[];
    change(atoms);
    return writeAtlas(atoms as Atom[]);
  };

  /** A point of the side moves from the belly to the ham. */
  const heavierHams = () =>
    table((atoms) => {
      const heavy = atoms.find(({ id }) => id === 'ham-inside')!;
      const light = [...atoms]
        .filter(({ primal }) => /belly/i.test(primal))
        .sort((a, b) => b.sharePct - a.sharePct)[0]!;
      heavy.sharePct += 1;
      light.sharePct -= 1;
    });

  it('is shown beside what is now, taken, and moves what is forecast from then on', async () => {
    const [before] = await shop.book();
    const text = heavierHams();
    const tried = await shop.get('triedFileView', { kind: 'atlas', species: 'hog', text });
    const ham = tried.lines.find(({ cut }) => /ham/i.test(cut))!;
    expect(ham.then!).toBeGreaterThan(ham.now!);
    const total = (key: 'now' | 'then') => sumWeights(tried.lines.map((line) => line[key]!));
    expect(total('then')).toBe(total('now'));

    await make({ kind: 'atlas', species: 'hog', text });
    const { catalogue } = await shop.setUps.now(shop.db);
    const read = readAtlas(text);
    expect(read).toMatchObject({ value: catalogue.species.find(({ id }) => id === 'hog')!.atlas.atoms });
    // What was begun stands on what held then.
    expect(planOf(await shop.file(before!.share.id))).toEqual(planOf(before!));
  });

  it.each<[string, (atoms: Loose<Atom>[]) => void, string]>([
    ['without a piece', (atoms) => void atoms.splice(3, 1), 'shares add up to'],
    ['with a piece of another name', (atoms) => (atoms[3]!.id = 'wing'), 'without 1 piece'],
    ['whose tissues are no whole', (atoms) => (atoms[0]!.composition.lean += 5), 'tissues add up to'],
    ['with a piece of another primal', (atoms) => (atoms[0]!.primal = 'Wing'), 'another primal'],
  ])('%s is refused in words', async (_, change, words) => {
    const refused = await ask({ kind: 'atlas', species: 'hog', text: table(change) });
    expect(refused).toMatchObject({ ok: false, reason: 'invalid' });
    expect((refused as { message: string }).message).toContain(words);
  });
});
