import { answerSummary } from '../sheet/summary';
import { formOf, houseAnswer } from '../sheet/houseSheet';
import type { Situation } from '../sheet/situation';
import { allSpecies, speciesById } from '../tests/catalogue';
import { USUAL_RULES } from '../shop/houseRules';
import { houseFromAnswer, isHouses } from './houseFromAnswer';
import { setUpAfter, withChange } from './setUp';
import { shopSpecies } from './shopSpecies';

const usual = (id: string, unit: 'lb' | 'kg' = 'lb'): Situation => ({
  species: speciesById(id),
  unit,
  sides: 1,
  addOns: [],
  tools: ['band-saw'],
});

/** The situation once the house says what was answered. */
function after(situation: Situation, decision: string, answer: ReturnType<typeof houseAnswer>): Situation {
  const asked = situation.species.decisions.find(({ id }) => id === decision)!;
  const step = houseFromAnswer(asked, answer, { situation, reason: 'They ask for it here.' });
  if (!step.ok) throw new Error(step.message);
  const setUp = withChange(setUpAfter(USUAL_RULES, []), step.value);
  const own = setUp.species[situation.species.id]!;
  return { ...situation, species: shopSpecies(situation.species, own, { ingredients: [], items: {} }) };
}

describe('an answer that becomes the house’s', () => {
  it.each(['lb', 'kg'] as const)('is what the house says from then on, whatever it was, in %s', (unit) => {
    for (const { id } of allSpecies()) {
      const situation = usual(id, unit);
      for (const decision of situation.species.decisions.filter((each) => !each.needsAddOn)) {
        for (const option of decision.options.filter((each) => !each.needsBothSides)) {
          const answer = { forms: [formOf(decision, option.id, situation)] };
          const later = after(situation, decision.id, answer);
          const asked = later.species.decisions.find((each) => each.id === decision.id)!;
          expect(houseAnswer(asked, later)).toEqual(answer);
          expect(isHouses(asked, answer, later)).toBe(true);
        }
      }
    }
  });

  it('brings its sizes, in a shop of kilograms too', () => {
    for (const unit of ['lb', 'kg'] as const) {
      const situation = usual('hog', unit);
      const butt = situation.species.decisions.find(({ id }) => id === 'butt')!;
      const option = butt.options.find(({ params }) => params?.some(({ kind }) => kind === 'weight'))!;
      const spec = option.params!.find(({ kind }) => kind === 'weight')!;
      const form = formOf(butt, option.id, situation);
      const answer = {
        forms: [{ ...form, params: { ...form.params, [spec.id]: unit === 'lb' ? 2500 : 1200 } }],
      };
      expect(isHouses(butt, answer, situation)).toBe(false);
      const later = after(situation, 'butt', answer);
      const asked = later.species.decisions.find(({ id }) => id === 'butt')!;
      expect(answerSummary(asked, houseAnswer(asked, later), unit)).toBe(answerSummary(butt, answer, unit));
    }
  });

  it('stands above what schools and types say', () => {
    const situation = usual('beef');
    const school = situation.species.schools.find(({ house }) => Object.keys(house ?? {}).length > 0)!;
    const [id, said] = Object.entries(school.house!)[0]!;
    const decision = situation.species.decisions.find((each) => each.id === id)!;
    const other = decision.options.find((each) => each.id !== said && !each.needsBothSides)!;
    const here = { ...situation, school: school.id };
    const later = after(here, id, { forms: [formOf(decision, other.id, here)] });
    const asked = later.species.decisions.find((each) => each.id === id)!;
    expect(houseAnswer(asked, later).forms[0]!.option).toBe(other.id);
  });

  it('cannot say how much of a place goes each way', () => {
    const situation = usual('hog');
    const ham = situation.species.decisions.find(({ divisible }) => divisible)!;
    const [one, two] = ham.options.map(({ id }) => formOf(ham, id, situation));
    const half = { ...one!, amount: { kind: 'share' as const, percent: 50 } };
    const answer = { forms: [half, two!] } as unknown as ReturnType<typeof houseAnswer>;
    expect(houseFromAnswer(ham, answer, { situation, reason: 'x' })).toMatchObject({ ok: false });
  });
});
