import { half, house } from '../tests/halfHog';
import { emptySheet } from '../sheet/houseSheet';
import { speciesById } from '../tests/catalogue';
import type { Wish } from './goals';
import { wishWords } from './goals';
import { rowsFromWords } from './rowsFromWords';
import { sayGoals } from './sayGoals';

const beef = { ...half, species: speciesById('beef') };

describe('wishes as people say them', () => {
  it.each<[string, readonly Wish[]]>([
    [
      'as much sausage as possible but keep the hams',
      [
        { kind: 'most', of: 'grind' },
        { kind: 'keep', decision: 'ham' },
      ],
    ],
    ['burger at most 20 % fat', [{ kind: 'fatAtMost', pct: 20 }]],
    ['80 percent lean', [{ kind: 'fatAtMost', pct: 20 }]],
    ['no bones', [{ kind: 'noBones' }]],
    ['fits five cubic feet', [{ kind: 'freezerAtMost', cuFt: 5 }]],
    ['under 450 dollars', [{ kind: 'billAtMost', cents: 45_000 as never }]],
    [
      'Under $450.50, quick to cook',
      [
        { kind: 'billAtMost', cents: 45_050 as never },
        { kind: 'most', of: 'quick' },
      ],
    ],
    ['roasts for ten Sundays', [{ kind: 'roastsAtLeast', count: 10 }]],
    ['under $1,200', [{ kind: 'billAtMost', cents: 120_000 as never }]],
    ['under four hundred fifty dollars', [{ kind: 'billAtMost', cents: 45_000 as never }]],
    ['roasts for twenty Sundays', [{ kind: 'roastsAtLeast', count: 20 }]],
    ['as cheap as possible', [{ kind: 'least', of: 'bill' }]],
    [
      'mostly chops and keep the jowl',
      [
        { kind: 'most', of: 'steaks' },
        { kind: 'keep', decision: 'jowl' },
      ],
    ],
  ])('%s', (text, wishes) => {
    const { goals, unknown } = sayGoals(half, text);
    expect([goals.map(({ wish }) => wish), unknown]).toEqual([wishes, []]);
  });

  it('what is not understood is said back, and the rest counts', () => {
    const { goals, unknown } = sayGoals(
      beef,
      'something for the dog, no bones, 200 % fat, and keep the unicorn',
    );
    expect(goals.map(({ wish }) => wish.kind)).toEqual(['noBones']);
    expect(unknown).toEqual(['something for the dog', '200 % fat', 'keep the unicorn']);
  });

  it('a limit is a must and an amount is not, and each is said in words', () => {
    const { goals } = sayGoals(half, 'as much sausage as possible, under 450 dollars');
    expect(goals.map(({ must }) => must)).toEqual([false, true]);
    const said = { titleOf: (id: string) => id, money: (cents: number) => `$${cents / 100}` };
    expect(goals.map(({ wish }) => wishWords(wish, said))).toEqual([
      'as much ground meat and sausage as possible',
      'under $450',
    ]);
  });
});

describe('instructions in free words', () => {
  it('become rows where the words are known, and the rest stays words', () => {
    const { rows, left } = rowsFromWords(
      half,
      house,
      'no jowl, thick chops, grind the picnic, ring me first',
    );
    expect(rows.map(({ decision }) => decision)).toEqual(['jowl', 'center-loin', 'picnic']);
    expect(rows[1]!.answer.forms[0]!.params.thickness).toBe(1.5);
    expect(rows[2]!.says).toMatch(/^Picnic: /);
    expect(left).toEqual(['ring me first']);
  });

  it('of a row that is not answered yet are meant of our usual way', () => {
    const { rows } = rowsFromWords(half, emptySheet(half), 'thin chops');
    expect(rows.map(({ says }) => says)).toEqual([expect.stringMatching(/^Center loin: .*1\/2 in/)]);
  });

  it('of what has no such way stay words', () => {
    expect(rowsFromWords(half, house, 'thick lard, keep the moon').left).toEqual([
      'thick lard',
      'keep the moon',
    ]);
  });
});
