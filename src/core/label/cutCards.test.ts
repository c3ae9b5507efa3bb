import { allSpecies } from '../tests/catalogue';
import { cutCards } from './cutCards';
import { checkDigit } from './gs1';

describe('cards of cuts', () => {
  it.each(allSpecies().map((species) => [species.name, species] as const))(
    '%s: every item has one, no two the same code or the same words in a row',
    (_, species) => {
      const { groups } = cutCards(species, '20000');
      const cards = groups.flatMap((group) => group.cards);
      const codes = cards.map(({ tradeItem }) => tradeItem);
      expect(codes.length).toBe(new Set(codes).size);
      expect(codes.length).toBeGreaterThan(20);
      for (const code of codes) expect(checkDigit(code.slice(0, 13))).toBe(Number(code[13]));
      for (const group of groups) {
        const words = group.cards.map((card) => card.words);
        expect(words).toEqual([...new Set(words)]);
      }
    },
  );
});
