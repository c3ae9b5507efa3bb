import { forecast } from '../forecast/forecast';
import { findingsOf } from '../questions/findings';
import { sumWeights, weight, type Weight } from '../quantity/weight';
import { speciesById } from '../tests/catalogue';
import { formOf, houseSheet, withAnswer } from './houseSheet';
import { decisionById, type Situation } from './situation';
import { answerOn } from './wishes';
import { takenOver, takenWords } from './takenOver';
import type { Sheet } from './types';

function situationOf(species: string): Situation {
  return { species: speciesById(species), unit: 'lb', sides: 2, addOns: [], tools: ['band-saw'] };
}

const COLD: readonly Weight[] = [weight(91), weight(90)];

/** The house sheet with one decision answered otherwise. */
function sheetWith(situation: Situation, decisionId: string, option: string): Sheet {
  const decision = decisionById(situation.species, decisionId);
  return withAnswer(houseSheet(situation), decisionId, { forms: [formOf(decision, option, situation)] });
}

describe('an answer that has the pieces of another decision', () => {
  it.each([
    ['hog', 'butt', 'whole-shoulder', ['picnic']],
    ['hog', 'belly', 'loin-roll', ['center-loin']],
    ['hog', 'belly', 'middle', ['blade-end', 'center-loin', 'back-ribs', 'riblets', 'spare-ribs']],
    ['lamb', 'shoulder', 'forequarter', ['neck', 'fore-shank']],
    ['lamb', 'leg', 'pair', ['sirloin', 'hind-shank']],
  ])('of a %s, %s.%s, is the only one that is asked', (species, decision, option, others) => {
    const situation = situationOf(species);
    const sheet = sheetWith(situation, decision, option);
    const taken = takenOver(situation.species, (id) => answerOn(sheet, id, 1));
    expect([...taken.keys()].sort()).toEqual([...others].sort());
    const job = { situation, sheet, coldSides: COLD };
    const expected = forecast(situation, sheet, COLD);
    expect(expected.lines.filter((line) => others.includes(line.decision))).toEqual([]);
    const open = findingsOf(job, expected).filter((finding) => finding.blocks);
    expect(open.map((finding) => finding.sentence)).toEqual([]);
    expect(takenWords(taken.get(others[0]!)!)).toMatch(/^with the [a-z]/);
  });

  it.each([
    ['hog', 'ham', 'pit'],
    ['lamb', 'leg', 'spit'],
  ])('can be the whole %s: one piece, and all of the carcass in it', (species, decision, option) => {
    const situation = situationOf(species);
    const sheet = sheetWith(situation, decision, option);
    const { lines, takeHome, losses } = forecast(situation, sheet, COLD);
    const own = lines.filter((line) => line.decision === decision);
    expect(own.map((line) => line.pieces)).toEqual([1]);
    expect(takeHome).toBeGreaterThan(0.85 * sumWeights(COLD));
    expect(sumWeights([takeHome, ...Object.values(losses)])).toBe(sumWeights(COLD));
    expect(findingsOf({ situation, sheet, coldSides: COLD }, forecast(situation, sheet, COLD))).toEqual([]);
  });

  it('goes before one that takes a part', () => {
    const situation = situationOf('hog');
    const pit = sheetWith(situation, 'ham', 'pit');
    const shoulder = formOf(decisionById(situation.species, 'butt'), 'whole-shoulder', situation);
    const both = withAnswer(pit, 'butt', { forms: [shoulder] });
    const taken = takenOver(situation.species, (id) => answerOn(both, id, 1));
    expect(taken.get('picnic')!.option.id).toBe('pit');
    expect(taken.has('ham')).toBe(false);
  });

  it('leaves the answers of the others as they were, for when it is taken back', () => {
    const situation = situationOf('hog');
    const house = houseSheet(situation);
    const there = sheetWith(situation, 'butt', 'whole-shoulder');
    expect(there.answers.picnic).toEqual(house.answers.picnic);
  });
});
