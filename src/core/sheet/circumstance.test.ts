import { forecast } from '../forecast/forecast';
import { findingsOf } from '../questions/findings';
import { weight } from '../quantity/weight';
import { allSpecies, speciesById } from '../tests/catalogue';
import { holds } from './circumstance';
import { houseGrind, houseSheet, houseWay } from './houseSheet';
import { decisionById, type Situation } from './situation';

function situationOf(species: string, more: Partial<Situation> = {}): Situation {
  return { species: speciesById(species), unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'], ...more };
}

const wayOf = (decision: string, situation: Situation) =>
  houseWay(decisionById(situation.species, decision), situation);

describe('a circumstance', () => {
  const heavy = { sideLbOver: 350 };

  it('holds when everything it says is known to', () => {
    expect(holds(heavy, situationOf('beef', { known: { sideLb: 351 } }))).toBe(true);
    expect(holds(heavy, situationOf('beef', { known: { sideLb: 350 } }))).toBe(false);
    expect(
      holds({ ...heavy, months: [11] }, situationOf('beef', { known: { sideLb: 400, month: 12 } })),
    ).toBe(false);
  });

  it('does not hold while what it speaks of is unknown', () => {
    expect(holds(heavy, situationOf('beef'))).toBe(false);
    expect(holds({ sideLbUnder: 300 }, situationOf('beef'))).toBe(false);
    expect(holds({ fatnessOver: 0.1 }, situationOf('beef'))).toBe(false);
  });

  it('knows how fat a type is, and better what was measured', () => {
    const known = allSpecies().flatMap(({ id, types }) =>
      types.flatMap((type) =>
        type.fatness === undefined ? [] : [{ id, type: type.id, fatness: type.fatness }],
      ),
    );
    expect(known.length).toBeGreaterThan(0);
    for (const { id, type, fatness } of known) {
      const over = (condition: Situation['condition'] & object) =>
        holds({ fatnessOver: fatness - 0.01 }, situationOf(id, { condition }));
      expect(over({ type })).toBe(true);
      expect(over({ type, fatness: fatness - 0.05 })).toBe(false);
    }
  });
});

describe('the house', () => {
  it('halves the arm roasts of a heavy side, and leaves those of a light one', () => {
    expect(wayOf('arm', situationOf('beef', { known: { sideLb: 375 } }))).toMatchObject({
      options: ['halves'],
      reason: 'One slice would be five pounds or more.',
    });
    expect(wayOf('arm', situationOf('beef', { known: { sideLb: 280 } })).options).toEqual(['roast']);
  });

  it('seams the chuck of a marbled animal and keeps the flat iron', () => {
    const marbled = situationOf('beef', { condition: { type: 'marbled' } });
    expect([wayOf('chuck', marbled).options, wayOf('flat-iron', marbled).options]).toEqual([
      ['seam'],
      ['kept'],
    ]);
  });

  it('has words for a season and leaves its answer as it is', () => {
    const [autumn, spring] = [11, 4].map((month) => wayOf('rib', situationOf('beef', { known: { month } })));
    expect(autumn!.advice).toEqual([expect.stringContaining('once sliced it cannot be a roast')]);
    expect(spring).toEqual({ ...autumn, advice: [] });
  });

  it('asks for a fatter burger of a fat animal and a leaner one of grass', () => {
    const fatPct = (type: string) => houseGrind(situationOf('beef', { condition: { type } })).fatPct;
    expect([fatPct('very-fat'), fatPct('select'), fatPct('grass')]).toEqual([25, 20, 15]);
  });

  it.each(allSpecies().map((species) => [species.id, species] as const))(
    'never contradicts itself, whatever %s it is',
    (_, species) => {
      const [light, heavy] = species.shifts.sideLb;
      for (const sideLb of [light, species.atlas.reference.sideLb, heavy]) {
        for (const type of [undefined, ...species.types.map(({ id }) => id)]) {
          for (const month of [1, 6, 11]) {
            const condition = type === undefined ? {} : { type };
            const situation = situationOf(species.id, { condition, known: { sideLb, month } });
            const sheet = houseSheet(situation);
            const coldSides = [weight(sideLb)];
            const expected = forecast(situation, sheet, coldSides);
            const open = findingsOf({ situation, sheet, coldSides }, expected).filter(({ blocks }) => blocks);
            expect([type, sideLb, month, open.map(({ sentence }) => sentence)]).toEqual([
              type,
              sideLb,
              month,
              [],
            ]);
          }
        }
      }
    },
  );
});
