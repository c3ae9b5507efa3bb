import { keptShare } from '../hang/shrink';
import { weight } from '../quantity/weight';
import { houseSheet } from '../sheet/houseSheet';
import type { Situation } from '../sheet/situation';
import { allSpecies, speciesById } from '../tests/catalogue';
import { forecast } from './forecast';

/** Packaged on hot weight, bone-in, percent: the usual ranges (docs/figures.md). */
const USUAL: Record<string, [number, number]> = {
  beef: [62, 70],
  bison: [62, 70],
  hog: [72, 80],
  lamb: [68, 77],
  goat: [65, 72],
};

/** Packaged on hot weight, percent, when the shop's usual sheet is cut after the usual days on the rail. */
function onHot(speciesId: string, school?: string): number {
  const species = speciesById(speciesId);
  const { targetDays } = species.hang;
  const situation: Situation = {
    species,
    unit: 'lb',
    sides: 1,
    addOns: [],
    tools: ['band-saw'],
    condition: { daysHung: targetDays },
    ...(school ? { school } : {}),
  };
  const cold = [weight(species.atlas.reference.sideLb)];
  const { yieldBp } = forecast(situation, houseSheet(situation), cold);
  return (yieldBp / 100) * keptShare(species.shrink[0]!, targetDays);
}

describe('the house sheet', () => {
  it.each(allSpecies().map((species) => species.id))(
    'of a %s lands in the middle half of what is usual',
    (id) => {
      const [least, most] = USUAL[id]!;
      const quarter = (most - least) / 4;
      expect(onHot(id)).toBeGreaterThan(least + quarter);
      expect(onHot(id)).toBeLessThan(most - quarter);
    },
  );

  it('boned through, as fine breaking does, gives less', () => {
    expect(onHot('beef', 'jp')).toBeLessThan(onHot('beef') - 3);
    expect(onHot('beef', 'jp')).toBeGreaterThan(54);
    expect(onHot('beef', 'seam')).toBeLessThan(onHot('beef') - 2);
  });
});
