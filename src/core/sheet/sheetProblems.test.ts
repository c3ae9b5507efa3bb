import { weight, type Weight } from '../quantity/weight';
import { answered, form, half, house, whole } from '../tests/halfHog';
import { defaultParams, paramProblem } from './params';
import { sheetProblems } from './sheetProblems';
import { sheetSchema } from './sheetSchema';
import { decisionById } from './situation';
import type { Form, Sheet } from './types';

function fields(sheet: Sheet): string[] {
  return sheetProblems(half, sheet).map((problem) => problem.field);
}

function butt(...forms: Form[]): Sheet {
  return answered(house, 'butt', ...forms);
}

const steaks = form('butt', 'steaks');

describe('a sheet that the species does not know or allow', () => {
  it('the house sheet is neither', () => {
    expect(sheetProblems(half, house)).toEqual([]);
    expect(sheetSchema.validate(house).error).toBeUndefined();
  });

  it('names a decision that is not asked of this animal', () => {
    expect(sheetProblems(half, answered(house, 'udder', steaks))).toEqual([
      { field: 'answers.udder', message: '"udder" is not asked of this Hog.' },
    ]);
    expect(fields(answered(house, 'kidney', form('kidney', 'kept')))).toEqual(['answers.kidney']);
  });

  it('names an option that is not offered, and says which are', () => {
    const [problem] = sheetProblems(half, butt({ ...steaks, option: 'cube' }));
    expect(problem!.field).toBe('answers.butt.forms[0].option');
    expect(problem!.message).toContain('Offered: roast, roast-boneless, steaks');
  });

  it('names a second choice that is none, a size that is none, and offal of another animal', () => {
    const lines = house.grind.lines.map((line) => ({ ...line, size: 'third' }));
    const wrong: Sheet = {
      ...butt({ ...steaks, otherwise: 'steaks' }),
      grind: { ...house.grind, lines },
      offal: ['liver', 'gizzard'],
    };
    expect(sheetSchema.validate(wrong).error).toBeUndefined();
    expect(fields(wrong)).toEqual(['answers.butt.forms[0].otherwise', 'offal[1]', 'grind.lines[0].size']);
    expect(fields(butt({ ...steaks, otherwise: 'grind' }))).toEqual([]);
  });

  it.each<[string, Form, string]>([
    [
      'a thickness nobody saws',
      { ...steaks, params: { ...steaks.params, thickness: 9 } },
      'params.thickness',
    ],
    ['half a piece to a pack', { ...steaks, params: { ...steaks.params, perPack: 1.5 } }, 'params.perPack'],
    ['a size it does not have', { ...steaks, params: { ...steaks.params, ribs: 3 } }, 'params.ribs'],
    ['a size left out', { ...steaks, params: {} }, 'params.thickness'],
    ['a share of nothing', { ...steaks, amount: { kind: 'share', pct: 0 } }, 'amount'],
    ['more than the whole', { ...steaks, amount: { kind: 'share', pct: 101 } }, 'amount'],
    ['half a pack', { ...steaks, amount: { kind: 'packs', count: 2.5 } }, 'amount'],
    ['no weight', { ...steaks, amount: { kind: 'weight', weight: 0 as Weight } }, 'amount'],
    ['no length', { ...steaks, amount: { kind: 'length', inches: -1 } }, 'amount'],
  ])('names %s', (_, wrong, field) => {
    expect(fields(butt(wrong))).toContain(`answers.butt.forms[0].${field}`);
  });

  it.each(['constructor', 'toString', '__proto__', 'hasOwnProperty'])(
    'is not taken in by a name that every object has: %s',
    (name) => {
      const ham = answered(house, 'ham', form('ham', 'whole'));
      const [cured] = ham.answers.ham!.forms;
      const wrong = { ...cured!, params: { ...cured!.params, cure: name } };
      expect(fields(answered(house, 'ham', wrong))).toEqual(['answers.ham.forms[0].params.cure']);
      expect(fields({ ...house, keeps: JSON.parse(`{"${name}":true}`) as Sheet['keeps'] })).toEqual([
        `keeps.${name}`,
      ]);
    },
  );

  it('names a sheet for another animal', () => {
    expect(fields({ ...house, species: 'beef' })).toEqual(['species']);
  });

  it('names two forms where the zone has one', () => {
    expect(fields(answered(house, 'jowl', form('jowl', 'kept'), form('jowl', 'grind')))).toEqual([
      'answers.jowl',
    ]);
    expect(fields(butt())).toEqual(['answers.butt']);
  });

  it('names a form that stands alone beside another', () => {
    const problems = sheetProblems(half, answered(house, 'ham', form('ham', 'whole'), form('ham', 'grind')));
    expect(problems).toEqual([
      { field: 'answers.ham.forms[0]', message: 'Ham, whole takes all of it and stands alone.' },
    ]);
  });

  it('looks at the second side as well', () => {
    const sheet = { ...house, secondSide: { butt: { forms: [{ ...steaks, option: 'x' }] } } };
    expect(sheetProblems(whole, sheet)[0]!.field).toBe('secondSide.butt.forms[0].option');
  });

  it.each<[string, Partial<Sheet['grind']>, string]>([
    ['too fat', { fatPct: 60 }, 'grind.fatPct'],
    ['no line', { lines: [] }, 'grind.lines'],
    ['two rests', { lines: [house.grind.lines[0]!, house.grind.lines[0]!] }, 'grind.lines'],
    ['an unknown recipe', { lines: [{ ...house.grind.lines[0]!, recipe: 'x' }] }, 'grind.lines[0].recipe'],
    ['plain links', { lines: [{ ...house.grind.lines[0]!, form: 'links' }] }, 'grind.lines[0].form'],
    [
      'a pack too large',
      { lines: [{ ...house.grind.lines[0]!, packWeight: weight(9) }] },
      'grind.lines[0].packWeight',
    ],
  ])('names a grind that is %s', (_, grind, field) => {
    expect(fields({ ...house, grind: { ...house.grind, ...grind } })).toContain(field);
  });
});

describe('the schema of a sheet', () => {
  it.each([
    ['a weight that is not whole', { kind: 'weight', weight: 1.5 }],
    ['an amount of no kind', { kind: 'some' }],
    ['an endless length', { kind: 'length', inches: 1e9 }],
  ])('refuses %s', (_, amount) => {
    const sheet = butt({ ...steaks, amount: amount as Form['amount'] });
    expect(sheetSchema.validate(sheet).error).toBeDefined();
  });

  it('refuses what it does not know and words without end', () => {
    expect(sheetSchema.validate({ ...house, tip: 5 }).error?.message).toContain('tip');
    expect(sheetSchema.validate({ ...house, instructions: 'x'.repeat(501) }).error).toBeDefined();
  });
});

describe('parameters', () => {
  const thickness = decisionById(half.species, 'butt').options.find((option) => option.id === 'steaks')!
    .params![0]!;

  it('have defaults in the unit of the shop', () => {
    const roast = decisionById(half.species, 'butt').options[0]!;
    expect(defaultParams(roast, 'lb').roastWeight).toBe(4000);
    expect(defaultParams(roast, 'kg').roastWeight).toBe(1814);
  });

  it('say their limits when they are passed', () => {
    expect(paramProblem(thickness, 0.75, 'lb')).toBeUndefined();
    expect(paramProblem(thickness, 5, 'lb')).toMatch(/in inches: 0.5 to 1.5, not 5\./);
    expect(paramProblem(thickness, '3/4', 'lb')).toContain('not 3/4');
  });
});
