import { forecast } from '../forecast/forecast';
import { weight } from '../quantity/weight';
import { houseSheet } from '../sheet/houseSheet';
import type { Situation } from '../sheet/situation';
import { allSpecies } from '../tests/catalogue';
import { drawForecast } from './drawForecast';

const DRAWS = { draws: 4000, seed: 11 };

describe.each(allSpecies().map((species) => [species.id, species] as const))(
  'drawn animals: %s',
  (_, species) => {
    const situation: Situation = { species, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
    const sheet = houseSheet(situation);
    const cold = [weight(species.atlas.reference.sideLb)];
    const expected = forecast(situation, sheet, cold);
    const drawn = drawForecast({ situation, sheet, coldSides: cold }, DRAWS);

    it('have their cuts between the low and the high of the forecast, four in five', () => {
      for (const line of expected.lines.filter((each) => each.kind === 'cut')) {
        const { p10, p50, p90 } = drawn.lines[line.key]!;
        const width = line.high - line.low;
        expect(Math.abs(p50 - line.packaged)).toBeLessThan(0.1 * width);
        expect(Math.abs(p90 - p10 - width)).toBeLessThan(0.12 * width);
      }
    });

    it('have the grind and the take-home where the forecast has them', () => {
      const [grind] = expected.lines.filter((line) => line.kind === 'grind');
      const width = grind!.high - grind!.low;
      expect(Math.abs(drawn.grind.p90 - drawn.grind.p10 - width)).toBeLessThan(0.25 * width);
      const whole = expected.takeHomeHigh - expected.takeHomeLow;
      expect(Math.abs(drawn.takeHome.p90 - drawn.takeHome.p10 - whole)).toBeLessThan(0.25 * whole);
      // A hand that leaves on leaves fat, one that takes off takes lean: the middle lies a little above.
      expect(Math.abs(drawn.takeHome.p50 - expected.takeHome)).toBeLessThan(0.15 * whole);
    });
  },
);

describe('drawing', () => {
  const [species] = allSpecies();
  const situation: Situation = { species: species!, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
  const sheet = houseSheet(situation);

  it('by the same seed draws the same animals', () => {
    const draw = (seed: number) =>
      drawForecast({ situation, sheet, coldSides: [weight(91)] }, { draws: 600, seed });
    expect(draw(5)).toEqual(draw(5));
    expect(draw(5).takeHome).not.toEqual(draw(6).takeHome);
  });

  it('says how far it is, and stops when told', () => {
    const seen: number[] = [];
    const onProgress = (done: number) => {
      seen.push(done);
      return done < 1000;
    };
    const { drawn } = drawForecast(
      { situation, sheet, coldSides: [weight(91)] },
      { draws: 5000, seed: 1, onProgress },
    );
    expect(seen).toEqual([500, 1000]);
    expect(drawn).toBe(1000);
  });
});
