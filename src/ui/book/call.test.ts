import { catalogue } from '@/core/tests/catalogue';
import { readOrder } from '@/core/order/readOrder';
import type { BookableSpecies } from '@/server/book';
import {
  divided,
  emptyCall,
  ofSpecies,
  speciesOfTag,
  spread,
  tagsOf,
  type AnimalDraft,
  type Call,
} from './call';
import { documentOf, lastTimesOf } from './callDocument';
import { animalsInWords, sumOf } from './callSum';
import { DIVISIONS } from './divisions';

const shop = { unit: 'lb' as const, tools: ['band-saw'], catalogue };
const species = catalogue.species.map(
  ({ id, name, atlas }) => ({ id, name, quartered: atlas.quarters !== undefined }) as BookableSpecies,
);

function call(change: Partial<AnimalDraft> = {}): Call {
  const empty = emptyCall('hog', '2026-11-23');
  const [animal] = empty.animals as [AnimalDraft];
  const shares = animal.shares.map((share, at) => ({ ...share, name: ['Isolde Marsh', 'Rurik Vell'][at]! }));
  return {
    ...empty,
    farm: { name: 'Oxter Hill', phone: '' },
    animals: [{ ...animal, tag: ' H200 ', shares, ...change }],
  };
}

const orderOf = (said: Call) => documentOf(said, said.animals[0]!, 'lb');

describe('what is typed while somebody is on the line', () => {
  it('is an order that the house reads', () => {
    const order = orderOf(call());
    expect(readOrder(order, shop)).toMatchObject({ ok: true });
    expect(order.animal).toMatchObject({ tag: 'H200', killDate: '2026-11-23' });
    expect(order.shares.map(({ part, owner }) => [part, owner.name])).toEqual([
      ['left', 'Isolde Marsh'],
      ['right', 'Rurik Vell'],
    ]);
  });

  it.each(DIVISIONS.map((division) => [division.label, division] as const))(
    'divided into %s adds up, and the house reads it',
    (_, division) => {
      const beef = ofSpecies(
        call().animals[0]!,
        species.find(({ id }) => id === 'beef')!,
      );
      const animal = divided(beef, division);
      const named = {
        ...animal,
        shares: animal.shares.map((share, at) => ({ ...share, name: `Household ${at}` })),
      };
      const order = documentOf({ ...call(), animals: [named] }, named, 'lb');
      expect(readOrder(order, shop)).toMatchObject({ ok: true });
    },
  );

  it('says whose it is that nobody has', () => {
    const [animal] = call().animals as [AnimalDraft];
    const shares = [animal.shares[0]!, { ...animal.shares[1]!, unsold: true }];
    const order = orderOf(call({ shares }));
    expect(order).toMatchObject({ shares: [{ part: 'left' }], unsold: [{ part: 'right' }] });
    expect(readOrder(order, shop)).toMatchObject({ ok: true });
    expect(sumOf(call({ shares }))).toEqual({ shares: 2, sold: 1, unsold: 1, deposits: 0 });
  });

  it('what is no number goes as it was typed, so that the house says so', () => {
    const [animal] = call().animals as [AnimalDraft];
    const shares = animal.shares.map((share) => ({ ...share, deposit: 'fifty' }));
    expect(readOrder(orderOf(call({ shares })), shop)).toMatchObject({
      ok: false,
      field: 'shares.0.deposit',
    });
  });

  it('left empty is refused field by field', () => {
    const empty = emptyCall('hog', '');
    const read = readOrder(documentOf(empty, empty.animals[0]!, 'lb'), shop);
    const fields = !read.ok && read.problems!.map(({ field }) => field);
    expect(fields).toEqual(
      expect.arrayContaining(['farm.name', 'animal.tag', 'animal.killDate', 'shares.0.owner.name']),
    );
  });
});

describe('tags', () => {
  it('come one by one or in a run', () => {
    expect(tagsOf('H121-H123')).toEqual(['H121', 'H122', 'H123']);
    expect(tagsOf('H099-101')).toEqual(['H099', 'H100', 'H101']);
    expect(tagsOf('H121-3')).toEqual(['H121', 'H122', 'H123']);
    expect(tagsOf('B048')).toEqual(['B048']);
    expect(tagsOf('H123-H121')).toEqual(['H123-H121']);
    expect(tagsOf('')).toEqual([]);
  });

  it('of a run become animals alike, and the first keeps its households', () => {
    const { animals } = spread(call({ tag: 'H1-H3' }), 0);
    expect(animals.map(({ tag }) => tag)).toEqual(['H1', 'H2', 'H3']);
    expect(animals.map(({ shares }) => shares[0]!.name)).toEqual(['Isolde Marsh', '', '']);
    expect(new Set(animals.map(({ key }) => key)).size).toBe(3);
    expect(animalsInWords({ ...call(), animals }, species)).toBe('three hogs');
  });

  it('say the animal by their letter', () => {
    expect(speciesOfTag('h12', species)?.id).toBe('hog');
    expect(speciesOfTag('L12', species)?.id).toBe('lamb');
    expect(speciesOfTag('12', species)).toBeUndefined();
  });
});

it('an animal of another species forgets what was said of the one before', () => {
  const beef = {
    ...call().animals[0]!,
    species: 'beef',
    type: 'grass',
    flags: ['over-30-months'],
    division: 'quarters',
  };
  expect(
    ofSpecies(
      beef,
      species.find(({ id }) => id === 'hog')!,
    ),
  ).toMatchObject({
    species: 'hog',
    type: '',
    flags: [],
    division: 'halves',
  });
});

it('as last time is said by animal and share, without what is not sold', () => {
  const [animal] = call().animals as [AnimalDraft];
  const known = {
    id: 'p',
    name: 'A',
    phone: null,
    email: null,
    last: { shareId: 's1', species: 'Hog', words: '' },
  };
  const shares = [
    { ...animal.shares[0]!, unsold: true },
    { ...animal.shares[1]!, sheet: 'last' as const, known: known as never },
  ];
  expect(lastTimesOf(call({ shares }))).toEqual({ '0.0': 's1' });
});
