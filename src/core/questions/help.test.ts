import { weight } from '../quantity/weight';
import { decisionById, optionById } from '../sheet/situation';
import { allSpecies, speciesById } from '../tests/catalogue';
import { helpLines } from './help';

const packed = { packed: weight(10), unit: 'lb' as const, wrap: 'vacuum' as const };

describe('help', () => {
  it.each(allSpecies().map((species) => [species.id, species] as const))(
    'of every way of %s has place, bones, taste, cooking, what not, plates and months; none is empty',
    (_, species) => {
      let ways = 0;
      for (const decision of species.decisions) {
        for (const option of decision.options) {
          const said = helpLines(species, { decision, option }, packed);
          const about = said.map((line) => line.about);
          const whole = ['where it sits', 'bones', 'it is', 'cook it so', 'better not', 'feeds', 'keeps'];
          expect([decision.id, option.id, about]).toEqual([
            decision.id,
            option.id,
            option.products.length > 0 ? whole : ['where it sits', 'then'],
          ]);
          expect(said.filter(({ words }) => words.trim().length < 3 || words.includes('{'))).toEqual([]);
          ways += 1;
        }
      }
      expect(ways).toBeGreaterThan(50);
    },
  );

  it('counts plates by the bones, and months by the wrap', () => {
    const hog = speciesById('hog');
    const decision = decisionById(hog, 'center-loin');
    const words = (option: string, wrap: 'vacuum' | 'paper') =>
      helpLines(hog, { decision, option: optionById(decision, option) }, { ...packed, wrap }).map(
        (line) => line.words,
      );
    expect(words('chops', 'vacuum')).toEqual(
      expect.arrayContaining(['about 20 plates', '9 months in the freezer']),
    );
    expect(words('boneless', 'paper')).toEqual(
      expect.arrayContaining(['about 25 plates', '4 months in the freezer']),
    );
  });
});
