import { forecast } from '../forecast/forecast';
import { weight } from '../quantity/weight';
import { findingsOf } from '../questions/findings';
import { houseSheet } from '../sheet/houseSheet';
import { whyNotOffered, type Situation } from '../sheet/situation';
import { speciesById } from '../tests/catalogue';
import { carcassProblems } from './carcassProblems';
import type { Condition } from './condition';

const beef = speciesById('beef');
const cold = [weight(375)];

function sideOf(condition: Condition): Situation {
  return { species: beef, unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'], condition };
}

describe('what is said of a carcass', () => {
  it.each([
    [{ school: 'martian' }, 'school', 'A beef has no "martian" here. Known: us,'],
    [{ breaks: { wing: '1' } }, 'breaks.wing', 'has no "wing"'],
    [{ breaks: { chuck: '9-10' } }, 'breaks.chuck', 'Known: 4-5, 5-6, 6-7.'],
    [{ condition: { type: 'unicorn' } }, 'condition.type', 'has no "unicorn"'],
    [{ condition: { flags: ['blue'] } }, 'condition.flags', 'has no "blue"'],
    [{ condition: { missing: { wing: 1 } } }, 'condition.missing.wing', 'has no "wing"'],
    [{ condition: { fatness: 4 } }, 'condition.fatness', 'fat over the 12th rib: 0.05 to 1.2 in, not 4.'],
  ])('%j names the field', (facts, field, message) => {
    const [problem] = carcassProblems(beef, facts);
    expect(problem!.field).toBe(field);
    expect(problem!.message).toContain(message);
  });

  it('and is so has no problem', () => {
    expect(
      carcassProblems(beef, {
        school: 'jp',
        breaks: { chuck: '6-7' },
        condition: { type: 'grass', rite: 'halal' },
      }),
    ).toEqual([]);
    expect(carcassProblems(speciesById('hog'), { condition: { rite: 'halal' } })).toHaveLength(1);
  });
});

describe('an animal of 30 months or more', () => {
  const old = sideOf({ flags: ['over-30-months'] });
  const young = sideOf({});

  it('has no T-bones, with the reason', () => {
    const tBone = beef.decisions
      .find((each) => each.id === 'short-loin')!
      .options.find((each) => each.id === 't-bone')!;
    expect(whyNotOffered(tBone, old)).toMatch(/the backbone of cattle of 30 months or more/);
    expect(whyNotOffered(tBone, young)).toBeUndefined();
  });

  it('loses its backbone as waste, whatever the sheet says', () => {
    const spine = beef.flags[0]!.wastes.map(
      (id) => beef.atlas.atoms.find((atom) => atom.id === id)!.sharePct,
    );
    const pct = spine.reduce((sum, share) => sum + share, 0);
    const [before, after] = [young, old].map((situation) => forecast(situation, houseSheet(old), cold));
    const more = after!.losses.inedible - before!.losses.inedible;
    expect(more / 1000).toBeCloseTo(375 * (1 - beef.cutting.shrinkShare) * (pct / 100), 1);
    expect(after!.takeHome).toBeLessThan(before!.takeHome);
  });

  it('gets a house sheet without any of the cuts it may not have', () => {
    const sheet = houseSheet(old);
    const found = findingsOf({ situation: old, sheet, coldSides: cold }, forecast(old, sheet, cold));
    expect(found.filter((each) => each.blocks)).toEqual([]);
  });
});

describe('a condemned piece', () => {
  it('is not packed, and the sheet says so', () => {
    const condemned = sideOf({ condemned: { 'brisket-flat': 1, 'brisket-point': 1 } });
    const sheet = houseSheet(condemned);
    const result = forecast(condemned, sheet, cold);
    expect(result.lines.map((line) => line.decision)).not.toContain('brisket');
    expect(findingsOf({ situation: condemned, sheet, coldSides: cold }, result)).toMatchObject([
      { kind: 'nothing-left', decision: 'brisket', blocks: false },
    ]);
  });
});

describe('an animal kept apart by its rite', () => {
  it('is not made into what offends it', () => {
    const kosher = sideOf({ rite: 'kosher' });
    const house = houseSheet(kosher);
    const line = {
      recipe: 'garlic',
      form: 'bulk' as const,
      amount: { kind: 'weight' as const, weight: weight(16) },
      packWeight: weight(1),
    };
    const sheet = { ...house, grind: { ...house.grind, lines: [line, ...house.grind.lines] } };
    const sentences = (situation: Situation) =>
      findingsOf({ situation: situation, sheet, coldSides: cold }, forecast(situation, sheet, cold))
        .map((each) => each.sentence)
        .join();
    expect(sentences(kosher)).toContain('is not made of a kosher animal');
    expect(sentences(sideOf({ rite: 'halal' }))).not.toContain('is not made of');
  });
});

describe('a side that carries the one piece of an animal', () => {
  it('has all of it, and the other side none', () => {
    const hanger = (carries: boolean | undefined) => {
      const situation = sideOf(carries === undefined ? {} : { carries: { hanger: carries } });
      return (
        forecast(situation, houseSheet(situation), cold).lines.find((line) => line.cut === 'Hanging tender')
          ?.packaged ?? 0
      );
    };
    expect(hanger(false)).toBe(0);
    expect(hanger(true) / hanger(undefined)).toBeCloseTo(2, 1);
  });

  it('is one piece of a whole animal, and one of a half', () => {
    const hanger = (sides: 1 | 2) => {
      const situation = { ...sideOf({}), sides };
      const weights = sides === 2 ? [...cold, ...cold] : cold;
      const { lines } = forecast(situation, houseSheet(situation), weights);
      return lines.find((line) => line.cut === 'Hanging tender')!;
    };
    expect([hanger(1).pieces, hanger(2).pieces, hanger(2).packs]).toEqual([1, 1, 1]);
  });

  it('split off centre has more of the backbone', () => {
    const bone = (spinePct: number) => {
      const situation = sideOf({ spinePct });
      return forecast(situation, houseSheet(situation), cold).losses.bone;
    };
    expect(bone(60)).toBeGreaterThan(bone(50));
    expect(bone(40)).toBeLessThan(bone(50));
  });
});
