import { allSpecies, speciesById } from '../tests/catalogue';
import { searchCuts } from './searchCuts';

const beef = speciesById('beef');
const lamb = speciesById('lamb');

describe('a cut is found', () => {
  it.each([
    ['beef', 'picanha', 'Sirloin cap'],
    ['beef', 'New York strip', 'Strip steaks, boneless'],
    ['beef', 'new york stirp', 'Strip steaks, boneless'],
    ['beef', 'tomahauk', 'Rib steaks, one bone'],
    ['beef', 'osso buco', 'Fore shank, cross-cut'],
    ['beef', 'oso bucco', 'Fore shank, cross-cut'],
    ['beef', 'Feather blade', 'Flat iron'],
    ['hog', 'boston but', 'Butt roast, bone-in'],
    ['hog', 'gammon', 'Ham, whole, cured and smoked'],
    ['hog', 'tontoro', 'Jowl slab'],
    ['lamb', 'gigot', 'Leg, bone-in, sirloin off'],
    ['lamb', 'BACKSTRAP', 'Eye of loin, boneless'],
    ['lamb', 'barnsly chop', 'Double loin chops'],
  ])('of %s by %s: %s', (species, text, cut) => {
    expect(searchCuts(speciesById(species), text).hits[0]!.cut).toBe(cut);
  });

  it('only within its species', () => {
    expect(searchCuts(lamb, 'picanha').hits.map((hit) => hit.cut)).not.toContain('Sirloin cap');
    expect(searchCuts(speciesById('bison'), 'picanha').hits[0]!.cut).toBe('Sirloin cap');
  });

  it('with the place on the sheet where it is chosen', () => {
    expect(searchCuts(beef, 'flat iron').hits[0]).toMatchObject({ decision: 'flat-iron', option: 'kept' });
  });

  it('and one word for several cuts asks which', () => {
    const { hits, question } = searchCuts(beef, 'rump');
    expect(hits.map((hit) => hit.cut).sort()).toEqual(['Rump roast, boneless', 'Top sirloin steaks']);
    expect(question).toBe(
      '"rump" can be Top sirloin steaks (British and Irish) or Rump roast, boneless (American). Which?',
    );
    expect(searchCuts(beef, 'sirloin').hits).toHaveLength(2);
  });

  it('by nothing finds nothing', () => {
    expect(searchCuts(beef, '  ')).toEqual({ hits: [] });
    expect(searchCuts(beef, 'xylophone').hits).toEqual([]);
  });

  it('by its own name, every one of every species', () => {
    for (const species of allSpecies()) {
      const cuts = species.decisions.flatMap((decision) =>
        decision.options.flatMap((option) => option.products.map((product) => product.cut)),
      );
      const lost = cuts.filter((cut) => searchCuts(species, cut).hits[0]?.cut !== cut);
      expect(lost).toEqual([]);
    }
  });
});
