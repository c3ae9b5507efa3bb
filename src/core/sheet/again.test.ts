import fc from 'fast-check';
import { anyOrder } from '../tests/anySheet';
import { half, house } from '../tests/halfHog';
import { sheetAgain } from './again';
import { sheetProblems } from './sheetProblems';

describe('the same as last time', () => {
  it('is the same where everything is still offered', () => {
    const { sheet, gone } = sheetAgain(house, half);
    expect(gone).toEqual([]);
    expect(sheet).toEqual(house);
  });

  it('names what is no longer offered and leaves it open', () => {
    const species = {
      ...half.species,
      decisions: half.species.decisions.map((decision) =>
        decision.id === 'butt'
          ? { ...decision, options: decision.options.filter(({ id }) => id !== 'roast') }
          : decision,
      ),
    };
    const { sheet, gone } = sheetAgain(house, { ...half, species });
    expect(gone).toEqual([{ decision: 'butt', title: 'Butt', was: 'roast' }]);
    expect(sheet.answers).not.toHaveProperty('butt');
  });

  it('of any sheet, for any animal of the species, is one that the shop takes', () => {
    fc.assert(
      fc.property(anyOrder, anyOrder, ({ sheet: before, situation }, { situation: other }) => {
        if (sheetProblems(situation, before).length > 0) return;
        const today = { ...situation, sides: other.sides, tools: other.tools, addOns: [] };
        const { sheet } = sheetAgain(before, today);
        expect(sheetProblems(today, sheet)).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });
});
