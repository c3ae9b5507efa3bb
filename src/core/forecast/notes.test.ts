import { formOf, houseSheet, withAnswer } from '../sheet/houseSheet';
import { decisionById, optionById, type Situation } from '../sheet/situation';
import type { Sheet } from '../sheet/types';
import { inUnits, sumWeights, weight } from '../quantity/weight';
import { speciesById } from '../tests/catalogue';
import { forecast } from './forecast';

function situationOf(species: string): Situation {
  return { species: speciesById(species), unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
}

/** The house sheet with these answers instead, each as `decision.option`. */
function sheetWith(situation: Situation, ...answers: readonly string[]): Sheet {
  return answers.reduce((sheet, answer) => {
    const [decision, option] = answer.split('.') as [string, string];
    const form = formOf(decisionById(situation.species, decision), option, situation);
    return withAnswer(sheet, decision, { forms: [form] });
  }, houseSheet(situation));
}

function worked(species: string, ...answers: readonly string[]) {
  const situation = situationOf(species);
  const cold = [weight(situation.species.atlas.reference.sideLb)];
  const { lines, pool } = forecast(situation, sheetWith(situation, ...answers), cold);
  const decision = answers[0]!.split('.')[0];
  const own = lines.filter((line) => line.decision === decision);
  const dried = own.reduce((sum, line) => sum + line.cureLoss, 0);
  return {
    /** Part of the green weight that cure and drier take away. */
    driedAway: dried / own.reduce((sum, line) => sum + line.packaged + line.cureLoss, 0),
    lb: inUnits(sumWeights(own.map((line) => line.packaged))),
    grind: inUnits(pool.grind),
    fatPct: pool.fatPct,
  };
}

/** Pounds of grind that giving a cut up brings, against keeping it in another way. */
const gained = (species: string, given: string, kept: string) =>
  worked(species, given).grind - worked(species, kept).grind;

/** How much lighter the first is than the second, a share. */
const lighter = (species: string, one: string, other: string) =>
  1 - worked(species, one).lb / worked(species, other).lb;

/** Words of an option's note, what they speak of, and between what it lies at the reference side. */
const SAID: readonly (readonly [string, string, string, () => number, number, number])[] = [
  [
    'hog',
    'sirloin.grind',
    'Nearly three pounds',
    () => gained('hog', 'sirloin.grind', 'sirloin.roast'),
    2.6,
    3,
  ],
  [
    'hog',
    'blade-end.grind',
    'Over two pounds',
    () => gained('hog', 'blade-end.grind', 'blade-end.country'),
    2,
    3,
  ],
  [
    'hog',
    'fore-hock.grind',
    'Not three quarters',
    () => gained('hog', 'fore-hock.grind', 'fore-hock.kept'),
    0.55,
    0.75,
  ],
  [
    'hog',
    'spare-ribs.grind',
    'A pound and a half',
    () => gained('hog', 'spare-ribs.grind', 'spare-ribs.squared'),
    1.4,
    1.8,
  ],
  ['hog', 'belly.grind', 'Seven pounds', () => gained('hog', 'belly.grind', 'belly.bacon'), 6.5, 7.5],
  ['hog', 'belly.grind', 'nearly ten pounds', () => worked('hog', 'belly.bacon').lb, 9.3, 10],
  ['hog', 'belly.bacon', 'Eight to eleven', () => worked('hog', 'belly.bacon').lb, 8, 11],
  ['hog', 'ham.whole', 'Fifteen to nineteen', () => worked('hog', 'ham.whole').lb, 15, 19],
  ['hog', 'ham.dry', 'a quarter of the weight', () => worked('hog', 'ham.dry').driedAway, 0.2, 0.3],
  [
    'hog',
    'butt.roast-boneless',
    'good half pound',
    () => worked('hog', 'butt.roast').lb - worked('hog', 'butt.roast-boneless').lb,
    0.5,
    0.8,
  ],
  ['hog', 'skirt.kept', 'Under half a pound', () => worked('hog', 'skirt.kept').lb, 0.3, 0.5],
  [
    'lamb',
    'shoulder.rolled',
    'A third lighter',
    () => lighter('lamb', 'shoulder.rolled', 'shoulder.square'),
    0.28,
    0.38,
  ],
  ['lamb', 'loin.rolled', 'An eighth lighter', () => lighter('lamb', 'loin.rolled', 'loin.chops'), 0.1, 0.17],
  [
    'lamb',
    'leg.boneless',
    'Nearly a pound',
    () => worked('lamb', 'leg.short').lb - worked('lamb', 'leg.boneless').lb,
    0.7,
    1,
  ],
  ['lamb', 'fore-shank.whole', 'About a pound', () => worked('lamb', 'fore-shank.whole').lb, 0.9, 1.1],
  ['lamb', 'tenderloin.whole', 'Under half a pound', () => worked('lamb', 'tenderloin.whole').lb, 0.3, 0.5],
  ['beef', 'rump.one', 'Five pounds or more', () => worked('beef', 'rump.one').lb, 5, 7],
  [
    'beef',
    'top-round.jerky',
    'about half the weight',
    () => worked('beef', 'top-round.jerky').driedAway,
    0.45,
    0.55,
  ],
];

describe('the note of an option says what the forecast says', () => {
  it.each(SAID)('%s %s: %s', (species, answer, words, measure, least, most) => {
    const [decision, option] = answer.split('.') as [string, string];
    expect(optionById(decisionById(speciesById(species), decision), option).note).toContain(words);
    const measured = measure();
    expect([measured >= least, measured <= most, measured]).toEqual([true, true, measured]);
  });

  it('calls the brisket neither rich nor lean for the grind: it is a point or so either way', () => {
    const [kept, ground] = [worked('beef', 'brisket.packer'), worked('beef', 'brisket.grind')];
    expect(Math.abs(kept.fatPct - ground.fatPct)).toBeLessThan(2);
    expect(optionById(decisionById(speciesById('beef'), 'brisket'), 'grind').note ?? '').not.toMatch(
      /rich|fatter/i,
    );
  });
});
