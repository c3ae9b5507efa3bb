import { evaluate, type Ground } from '@/core/questions/evaluate';
import { findingsOf } from '@/core/questions/findings';
import { answered, COLD, form, half, house, whole } from '@/core/tests/halfHog';
import { demoPrices } from '@/core/tests/prices';
import { cents } from '@/core/quantity/money';
import { weight } from '@/core/quantity/weight';
import type { Situation } from '@/core/sheet/situation';
import type { Sheet } from '@/core/sheet/types';
import { decisionRow, extrasRow, grindRow } from './rowOf';

function groundOf(situation: Situation): Ground {
  return {
    situation,
    coldSides: situation.sides === 2 ? [...COLD, ...COLD] : COLD,
    priceList: demoPrices.at(-1)!,
    bill: {
      animal: { species: 'hog', hot: weight(185) },
      hot: weight(92.5),
      headSplit: { parts: [1, 1], index: 0 },
      deposit: cents(0),
    },
  };
}

/** What rows are made of, as the screen has it. */
function stateOf(sheet: Sheet, situation: Situation = half) {
  const ground = groundOf(situation);
  const now = evaluate(ground, sheet);
  const { coldSides } = ground;
  const findings = findingsOf({ situation, sheet, coldSides }, now.forecast);
  return { sheet, situation, now, findings };
}

const rowsOf = (state: ReturnType<typeof stateOf>) =>
  state.situation.species.decisions
    .filter(({ needsAddOn }) => needsAddOn === undefined)
    .map((decision) => decisionRow(state, decision));
const rowNamed = (state: ReturnType<typeof stateOf>, title: string) =>
  rowsOf(state).find((row) => row.title === title)!;

describe('the rows beside the side', () => {
  it('together say all that comes home', () => {
    const state = stateOf(house);
    const rows = [...rowsOf(state), grindRow(state), extrasRow(state)];
    const said = rows.reduce((sum, row) => sum + Number(row.weight || 0), 0);
    // Each row is rounded to a tenth.
    expect(Math.abs(said - state.now.forecast.takeHome / 1000)).toBeLessThan(0.05 * rows.length);
  });

  it('say what is asked without the row’s own name, and are quiet where the house says so', () => {
    const state = stateOf(house);
    expect(rowNamed(state, 'Butt')).toMatchObject({
      words: 'roast, bone-in',
      changed: false,
      alarming: false,
    });
    for (const { title, words } of rowsOf(state)) {
      expect(words.toLowerCase()).not.toMatch(new RegExp(`^${title.toLowerCase()}[ ,]`));
      expect(words).not.toBe('');
    }
  });

  it('mark what was changed, and where it goes', () => {
    const row = rowNamed(stateOf(answered(house, 'butt', form('butt', 'grind'))), 'Butt');
    expect(row).toMatchObject({
      words: 'to grind',
      changed: true,
      weight: '',
      spread: '',
      destination: 'grind',
    });
  });

  it('wait in alarm where nothing is said, and where two exclude each other', () => {
    const { butt: _none, ...answers } = house.answers;
    const open = rowNamed(stateOf({ ...house, answers }), 'Butt');
    expect(open).toMatchObject({ words: 'not answered', alarming: true, destination: undefined });
    const clash = stateOf(answered(house, 'back-ribs', form('back-ribs', 'slab')));
    expect(rowsOf(clash).some(({ alarming, words }) => alarming && words.includes('one of them'))).toBe(true);
  });

  it('say a side that is cut otherwise', () => {
    const otherwise = { ...house, secondSide: { butt: { forms: [form('butt', 'grind')] } } };
    const row = rowNamed(stateOf(otherwise, whole), 'Butt');
    expect(row.otherSide).toBe(true);
    expect(row.words).toContain('right side');
    expect(rowNamed(stateOf(house, whole), 'Butt').otherSide).toBe(false);
  });

  it('are as sure as their lines are', () => {
    const row = rowNamed(stateOf(house), 'Belly');
    const [line] = stateOf(house).now.forecast.lines.filter(({ decision }) => decision === 'belly');
    expect(Number(row.spread)).toBeCloseTo((line!.high - line!.low) / 2000, 0);
  });
});
