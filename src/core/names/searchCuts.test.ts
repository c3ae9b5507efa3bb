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

  it.each([
    ['beef', 'hamburger', 'Ground beef'],
    ['beef', 'Mince', 'Ground beef'],
    ['beef', 'stew meat', 'Chuck, diced'],
    ['beef', 'also bucko', 'Fore shank, cross-cut'],
    ['beef', 'teres majur', 'Petite tender'],
    ['beef', 'boston', 'Arm roast, bone-in'],
    ['beef', 'kansas city strip', 'Strip steaks, boneless'],
    ['beef', 'tournedos', 'Tenderloin steaks'],
    ['beef', 'soup bones', 'Soup bones'],
    ['beef', 'tallow', 'Fat for rendering'],
    ['hog', 'bratwurst', 'White sausage with mace'],
    ['hog', 'italian sausage', 'Fennel and garlic sausage'],
    ['hog', 'canadian bacon', 'Canadian-style bacon'],
    ['hog', 'pancetta', 'Bacon, smoked slab'],
    ['hog', 'pork wings', 'Fore hock'],
    ['lamb', 'scrag end', 'Neck slices'],
    ['lamb', 'ground lamb', 'Ground lamb, plain'],
    ['lamb', 'merguez', 'Red pepper and cumin sausage'],
    ['lamb', 'roghan josh', 'Shoulder, diced'],
  ])('of %s by what people say, %s: %s', (species, text, cut) => {
    expect(searchCuts(speciesById(species), text).hits.map((hit) => hit.cut)).toContain(cut);
  });

  it.each([
    ['beef', 'tongue', 'The tongue is not on this carcass'],
    ['beef', 'Liver', 'The liver is not on this carcass'],

    ['hog', 'chitlins', 'The intestines are not on this carcass'],
    ['lamb', 'sweetbreads', 'Ask there for them'],
  ])('of %s by %s is not, and it says why', (species, text, words) => {
    const { hits, absent } = searchCuts(speciesById(species), text);
    expect(hits).toEqual([]);
    expect(absent).toContain(words);
  });

  it.each([
    ['beef', 500],
    ['hog', 300],
    ['lamb', 300],
  ])(
    'of %s by more than %d words, each to the cut it means and to none besides those it can mean',
    (id, least) => {
      const species = speciesById(id);
      const meant = new Map<string, Set<string>>();
      for (const { say, cut } of species.names) {
        for (const said of say) meant.set(said, (meant.get(said) ?? new Set()).add(cut));
      }
      expect(meant.size).toBeGreaterThan(least);
      const wrong = [...meant].filter(([said, cuts]) => {
        const found = searchCuts(species, said).hits.map((hit) => hit.cut);
        return ![...cuts].every((cut) => found.includes(cut));
      });
      expect(wrong.map(([said]) => said)).toEqual([]);
      const lost = species.absent.flatMap(({ say }) =>
        say.filter((said) => !searchCuts(species, said).absent),
      );
      expect(lost).toEqual([]);
    },
  );

  it.each(['x', 'shwarma', 'xylophone', 'brake pads'])('by %s, which is no cut, finds none', (text) => {
    expect(searchCuts(beef, text)).toEqual({ hits: [] });
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
