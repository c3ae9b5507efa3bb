import { judge, type Ground } from '../questions/evaluate';
import { formOf, houseSheet } from '../sheet/houseSheet';
import { decisionsAsked, whyNotOffered } from '../sheet/situation';
import type { Answer, Sheet } from '../sheet/types';
import { COLD, groundOf } from '../tests/groundOf';
import { findSheets } from './findSheets';
import type { Goal, Wish } from './goals';
import { meets, scoreOf } from './score';

jest.setTimeout(60_000);

const rather = (wish: Wish, share = 1): Goal => ({ wish, must: false, weight: share });
const must = (wish: Wish): Goal => ({ wish, must: true, weight: 1 });
const none = new Set<string>();

/** Every sheet that answers these rows in any way, the others as they stand. */
function everySheet({ situation }: Ground, sheet: Sheet, free: readonly string[]): Sheet[] {
  return free.reduce<Sheet[]>(
    (made, id) => {
      const decision = decisionsAsked(situation).find((each) => each.id === id)!;
      const house = sheet.answers[id]!;
      const others = decision.options
        .filter((option) => !whyNotOffered(option, situation) && !option.takesOver?.includes('*'))
        .filter((option) => house.forms.length !== 1 || house.forms[0]!.option !== option.id)
        .map((option): Answer => ({ forms: [formOf(decision, option.id, situation)] }));
      return made.flatMap((each) =>
        [house, ...others].map((answer) => ({ ...each, answers: { ...each.answers, [id]: answer } })),
      );
    },
    [sheet],
  );
}

type Small = readonly [keyof typeof COLD, readonly string[], readonly Goal[]];
const SMALL: readonly Small[] = [
  ['beef', ['rib', 'back-ribs', 'brisket', 'neck'], [rather({ kind: 'most', of: 'grind' })]],
  ['beef', ['tenderloin', 'short-loin', 'tri-tip'], [rather({ kind: 'most', of: 'steaks' })]],
  [
    'beef',
    ['chuck', 'flat-iron', 'brisket'],
    [rather({ kind: 'most', of: 'home' }), must({ kind: 'fatAtMost', pct: 20.5 })],
  ],
  [
    'hog',
    ['ham', 'hind-hock', 'jowl', 'butt'],
    [rather({ kind: 'most', of: 'roasts' }), must({ kind: 'keep', decision: 'jowl' })],
  ],
  [
    'hog',
    ['belly', 'spare-ribs', 'jowl'],
    [rather({ kind: 'most', of: 'cured' }), rather({ kind: 'most', of: 'grind' }, 0.5)],
  ],
  [
    'lamb',
    ['leg', 'hind-shank', 'shoulder', 'rack'],
    [rather({ kind: 'most', of: 'home' }), must({ kind: 'roastsAtLeast', count: 3 })],
  ],
  [
    'lamb',
    ['leg', 'neck', 'breast', 'rack'],
    [rather({ kind: 'least', of: 'freezer' }), must({ kind: 'freezerAtMost', cuFt: 0.55 })],
  ],
  // Too many ways to be looked at one by one: they fall apart around two rows.
  [
    'lamb',
    ['tenderloin', 'loin', 'sirloin', 'leg', 'hind-shank'],
    [rather({ kind: 'most', of: 'steaks' }), rather({ kind: 'most', of: 'roasts' }, 0.5)],
  ],
];

describe('a search for sheets', () => {
  it.each(SMALL)('of %s over %j is the best of all, and its bound holds', async (id, free, goals) => {
    const ground = groundOf(id);
    const { situation } = ground;
    const sheet = houseSheet(situation);
    const pinned = decisionsAsked(situation).filter((row) => !free.includes(row.id));
    const pins = new Set(pinned.map((row) => row.id));
    const scores = everySheet(ground, sheet, free).flatMap((each) => {
      const made = judge(ground, each);
      if (made.findings.some(({ blocks }) => blocks)) return [];
      const of = { situation, sheet: each, made };
      return meets(goals, of) ? [scoreOf(goals, of)] : [];
    });
    const { proposals, tooMuch } = await findSheets(ground, sheet, { goals, pins });
    expect(tooMuch).toEqual([]);
    const [best] = proposals;
    const bestOfAll = Math.max(...scores);
    expect(best!.score).toBeGreaterThan(bestOfAll - 0.08);
    expect(best!.bound).toBeGreaterThanOrEqual(bestOfAll);
    for (const each of proposals) {
      expect(each.changes.filter((row) => pins.has(row))).toEqual([]);
      expect(meets(goals, { situation, sheet: each.sheet, made: each })).toBe(true);
      expect(judge(ground, each.sheet).findings.filter(({ blocks }) => blocks)).toEqual([]);
    }
  });

  it('holds a limit of the bill by its real lines, and states no bound for money', async () => {
    const ground = groundOf('beef');
    const goals = [
      rather({ kind: 'most', of: 'steaks' }),
      must({ kind: 'billAtMost', cents: 45_000 as never }),
    ];
    const { proposals } = await findSheets(ground, houseSheet(ground.situation), { goals, pins: none });
    expect(proposals[0]!.bill.total).toBeLessThanOrEqual(45_000);
    expect(proposals[0]!.bound).toBeNull();
  });

  it('as many steaks as possible are steaks, not stew', async () => {
    const ground = groundOf('beef');
    const goals = [rather({ kind: 'most', of: 'steaks' })];
    const { proposals } = await findSheets(ground, houseSheet(ground.situation), { goals, pins: none });
    const diced = proposals[0]!.forecast.lines.filter(
      ({ destination, pieces }) => destination === 'steaks' && pieces === null,
    );
    expect(diced.map(({ cut }) => cut)).toEqual([]);
  });

  it('that cannot be kept names what is too much, and shows the closest', async () => {
    const ground = groundOf('beef');
    const small = must({ kind: 'freezerAtMost', cuFt: 3 });
    const goals = [small, rather({ kind: 'most', of: 'steaks' })];
    const { proposals, tooMuch } = await findSheets(ground, houseSheet(ground.situation), {
      goals,
      pins: none,
    });
    expect(tooMuch).toEqual([small]);
    expect(proposals).toHaveLength(1);
    expect(proposals[0]!.forecast.freezerCuFt).toBeLessThan(7);
  });

  it('of a hog, whose loin is too large to be looked at whole, is better than what stands, and says no bound', async () => {
    const ground = groundOf('hog');
    const sheet = houseSheet(ground.situation);
    const goals = [rather({ kind: 'most', of: 'grind' }), must({ kind: 'keep', decision: 'ham' })];
    const told: number[] = [];
    const onTried = (count: number) => told.push(count);
    const { proposals, tried } = await findSheets(ground, sheet, { goals, pins: none, onTried });
    expect(proposals[0]!.forecast.pool.grind).toBeGreaterThan(judge(ground, sheet).forecast.pool.grind * 1.5);
    expect(proposals[0]!.bound).toBeNull();
    expect(tried).toBeGreaterThan(500);
    expect(told).toEqual(Array.from({ length: tried }, (_, at) => at + 1));
    expect(proposals[0]!.sheet.answers.ham!.forms.map(({ option }) => option)).not.toContain('grind');
  });
});
