import { evaluate, judge, type Ground } from '../questions/evaluate';
import { houseSheet } from '../sheet/houseSheet';
import { weight } from '../quantity/weight';
import { groundOf } from '../tests/groundOf';
import { changed, divideWanted, type WantedShare } from './wanted';

/** A hog's half of so many pounds on the house's sheet. */
function half(shareId: string, lb: number, change: Partial<WantedShare> = {}): WantedShare {
  const ground: Ground = { ...groundOf('hog'), coldSides: [weight(lb * 1000)] };
  return { shareId, ground, sheet: houseSheet(ground.situation), mayChange: true, ...change };
}

function packsIn(shares: readonly WantedShare[], cut: string): number {
  return shares
    .flatMap(({ ground, sheet }) => evaluate(ground, sheet).forecast.lines)
    .reduce((sum, line) => sum + (line.cut === cut ? line.packs : 0), 0);
}

const shares = [half('a', 88), half('b', 92), half('c', 97)];
const BUTT = 'Blade steaks, bone-in';

describe('what sells, divided over animals', () => {
  it('changes nothing where there is enough, in the freezer or as the sheets stand', async () => {
    const cut = evaluate(shares[0]!.ground, shares[0]!.sheet).forecast.lines[0]!.cut;
    const now = packsIn(shares, cut);
    for (const want of [
      { cut, packs: now, inFreezer: 0 },
      { cut, packs: now + 7, inFreezer: 7 },
    ]) {
      expect(await divideWanted(shares, [want])).toEqual({
        changes: [],
        gives: [{ ...want, now, then: now }],
      });
    }
  });

  it('changes the fewest rows that do, and says what then really comes of it', async () => {
    const all = await divideWanted(shares, [{ cut: BUTT, packs: 1000, inFreezer: 0 }]);
    expect(all.changes).toHaveLength(3);
    const most = all.gives[0]!.then;
    expect(most).toBe(packsIn(changed(shares, all.changes), BUTT));
    for (const packs of [1, Math.ceil(most / 2), most]) {
      const { changes, gives } = await divideWanted(shares, [{ cut: BUTT, packs, inFreezer: 0 }]);
      expect(gives[0]!.then).toBe(packsIn(changed(shares, changes), BUTT));
      expect(gives[0]!.then).toBeGreaterThanOrEqual(packs);
      // No fewer shares would do: each alone gives at most the most of one.
      const each = shares
        .map((share) => packsIn(changed([share], all.changes), BUTT))
        .sort((one, two) => two - one);
      const fewest = each.findIndex((_, at) => each.slice(0, at + 1).reduce((sum, n) => sum + n, 0) >= packs);
      expect(changes).toHaveLength(fewest + 1);
    }
  });

  it('leaves an approved sheet as it is, and counts what it gives', async () => {
    const fixed = [half('a', 88, { mayChange: false }), half('b', 92)];
    const { changes } = await divideWanted(fixed, [{ cut: BUTT, packs: 1000, inFreezer: 0 }]);
    expect(changes.map(({ shareId }) => shareId)).toEqual(['b']);
    const none = await divideWanted([fixed[0]!], [{ cut: BUTT, packs: 4, inFreezer: 0 }]);
    expect(none).toEqual({ changes: [], gives: [{ cut: BUTT, packs: 4, inFreezer: 0, now: 0, then: 0 }] });
  });

  it('keeps the one wish while it meets the other', async () => {
    const roast = shares
      .flatMap(({ ground, sheet }) => evaluate(ground, sheet).forecast.lines)
      .find(({ cut }) => cut.startsWith('Butt roast'))!.cut;
    const wants = [
      { cut: BUTT, packs: 3, inFreezer: 0 },
      { cut: roast, packs: 3, inFreezer: 0 },
    ];
    const { gives } = await divideWanted(shares, wants);
    for (const { packs, then } of gives) expect(then).toBeGreaterThanOrEqual(packs);
  });

  it('takes meat out of the cure where it is wanted fresh', async () => {
    const jowl = { cut: 'Jowl slab', packs: 2, inFreezer: 0 };
    const { changes, gives } = await divideWanted(shares, [jowl]);
    expect(gives[0]!.now).toBe(0);
    expect(gives[0]!.then).toBeGreaterThanOrEqual(2);
    expect(changes.map(({ answer }) => answer.forms[0]!.params.cure)).toEqual(['fresh', 'fresh']);
  });

  it('proposes nothing that makes two cuts want one piece', async () => {
    // The back ribs hang on the chops: they are to be had only where the loin is boned.
    const { changes } = await divideWanted(shares, [{ cut: 'Back ribs', packs: 3, inFreezer: 0 }]);
    for (const { ground, sheet } of changed(shares, changes)) {
      expect(judge(ground, sheet).findings.filter(({ blocks }) => blocks)).toEqual([]);
    }
  });

  it('of a cut that no animal has gives none, and changes nothing', async () => {
    expect(await divideWanted(shares, [{ cut: 'Moon cheese', packs: 2, inFreezer: 0 }])).toMatchObject({
      changes: [],
      gives: [{ then: 0 }],
    });
  });
});
