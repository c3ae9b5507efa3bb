import fc from 'fast-check';
import { blankSheetOf } from '../order/blankSheet';
import { anySituationOf } from '../tests/anySheet';
import { allSpecies } from '../tests/catalogue';
import { numberedOptions } from './digits';
import { decisionsAsked, whyNotOffered } from './situation';

it.each(allSpecies().map((species) => [species.id, species] as const))(
  'a way of %s has the same digit on every share as on the paper sheet, and no two ways have the same',
  (_, species) => {
    const tools = ['band-saw'];
    const plain = { species, unit: 'lb' as const, sides: 1 as const, addOns: [], tools };
    const paper = blankSheetOf(plain, { shopName: 'Skerry Sound', list: undefined });
    fc.assert(
      fc.property(anySituationOf(species), (any) => {
        const situation = { ...any, tools };
        for (const decision of decisionsAsked(situation)) {
          const numbered = numberedOptions(decision, situation);
          const offered = decision.options.filter((option) => !whyNotOffered(option, situation));
          expect(new Set(numbered.map(({ option }) => option))).toEqual(new Set(offered));
          const digits = numbered.map(({ digit }) => digit).filter((digit) => digit !== '');
          expect(new Set(digits).size).toBe(digits.length);
          const printed = paper.decisions.find(({ title }) => title === decision.title);
          for (const { option, digit } of numbered) {
            const answer = printed?.answers.find(({ label }) => label === option.label);
            if (answer) expect(answer.digit).toBe(digit);
          }
        }
      }),
      { numRuns: 30, seed: 5 },
    );
  },
);
