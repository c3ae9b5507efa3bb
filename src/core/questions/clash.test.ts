import { listInForce } from '../charges/priceList';
import { weight } from '../quantity/weight';
import { answered, COLD, form, half, house } from '../tests/halfHog';
import { demoPrices } from '../tests/prices';
import { waysOut } from './clash';
import { evaluate, tradeOffSentence, type Ground } from './evaluate';
import { findingsOf } from './findings';
import { optionById, decisionById } from '../sheet/situation';
import type { Sheet } from '../sheet/types';

const ground: Ground = {
  situation: half,
  coldSides: COLD,
  priceList: listInForce(demoPrices, '2026-11-24')!,
  bill: {
    animal: { species: 'hog', hot: weight(185) },
    hot: weight(92.5),
    headSplit: { parts: [1, 1], index: 0 },
    deposit: 0 as never,
  },
};

const clashing = answered(house, 'back-ribs', form('back-ribs', 'slab'));

function ways(sheet: Sheet) {
  const [clash] = findingsOf({ situation: half, sheet, coldSides: COLD }, evaluate(ground, sheet).forecast);
  return waysOut({ situation: half, sheet, coldSides: COLD }, clash!).map((way) => ({
    ...way,
    ...evaluate(ground, way.sheet),
  }));
}

describe('the two ways out of a clash', () => {
  const [keepChops, keepRibs] = ways(clashing);

  it('keep the one and change the other, and neither leaves anything open', () => {
    expect(keepChops).toMatchObject({ keeps: 'center-loin', changes: 'back-ribs', becomes: 'None' });
    expect(keepRibs).toMatchObject({
      keeps: 'back-ribs',
      changes: 'center-loin',
      becomes: 'Chops, boneless',
    });
    for (const way of [keepChops!, keepRibs!]) {
      const open = findingsOf({ situation: half, sheet: way.sheet, coldSides: COLD }, way.forecast).filter(
        (finding) => finding.blocks,
      );
      expect(open).toEqual([]);
    }
  });

  it('each say their weight and their money', () => {
    expect(keepChops!.forecast.takeHome).toBeGreaterThan(keepRibs!.forecast.takeHome);
    expect(keepRibs!.bill.total).toBeGreaterThan(keepChops!.bill.total);
    const sentence = tradeOffSentence(evaluate(ground, keepChops!.sheet), evaluate(ground, keepRibs!.sheet), {
      unit: 'lb',
      sign: '$',
    });
    expect(sentence).toMatch(
      /^\d\.\d\d lb less in the boxes, \d\.\d\d lb more of it grind and \$\d\.\d\d more on the bill$/,
    );
  });

  it('drop what the second side had answered otherwise there', () => {
    const sheet = { ...clashing, secondSide: { 'back-ribs': { forms: [form('back-ribs', 'slab')] } } };
    expect(ways(sheet)[0]!.sheet.secondSide).toEqual({});
  });
});

describe('the sentence of a trade-off', () => {
  it('says so when nothing changes', () => {
    const now = evaluate(ground, house);
    expect(tradeOffSentence(now, now, { unit: 'lb', sign: '$' })).toBe('the same weight and the same bill');
  });

  it('names only what changes', () => {
    const paper = evaluate(ground, { ...house, wrap: 'paper' });
    expect(tradeOffSentence(evaluate(ground, house), paper, { unit: 'lb', sign: '$' })).toMatch(
      /^\$\d+\.\d\d less on the bill$/,
    );
  });
});

describe('a decision and an option by id', () => {
  it('that does not exist is a breach of contract', () => {
    expect(() => decisionById(half.species, 'wing')).toThrow(/"decision" expected one of hog, got wing/);
    expect(() => optionById(decisionById(half.species, 'butt'), 'wing')).toThrow(
      /"option" expected one of butt/,
    );
  });
});
