import fc from 'fast-check';
import type { Weight } from '../quantity/weight';
import { NOTHING_PACKED, NOTHING_WENT, yieldRow } from '../tests/yieldRow';
import { against, FEWEST_LIKES, likesOf } from './likes';
import { PACKED, WENT, type YieldRow } from './yieldRow';

const weights = fc.integer({ min: 1, max: 60_000 }).map((each) => each as Weight);
const some = (keys: readonly string[]) => fc.record(Object.fromEntries(keys.map((key) => [key, weights])));

/** A finished share that adds up, as every one does. */
const anyRow = fc
  .record({ packed: some(PACKED), went: some(WENT), air: weights, shareId: fc.uuid() })
  .map(({ packed, went, air, shareId }): YieldRow => {
    const cold = [...Object.values(packed), ...Object.values(went)].reduce((sum, each) => sum + each, 0);
    const parts = { packed: { ...NOTHING_PACKED, ...packed }, went: { ...NOTHING_WENT, ...went } };
    return yieldRow({ shareId, ...parts, cold: cold as Weight, hot: (cold + air) as Weight });
  });

describe('one share against its likes', () => {
  it('has reasons that add up to its difference, for any share and any likes', () => {
    fc.assert(
      fc.property(anyRow, fc.array(anyRow, { minLength: FEWEST_LIKES, maxLength: 14 }), (row, likes) => {
        const { own, likes: theirs, reasons } = against(row, likes)!;
        const moved = reasons.reduce((sum, { points }) => sum + points, 0);
        expect(theirs.mean + moved).toBeCloseTo(own, 6);
        const sizes = reasons.map(({ points }) => Math.abs(points));
        expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
      }),
      { numRuns: 1000 },
    );
  });

  it('says nothing of few likes, or without a hot weight', () => {
    const [row, ...rest] = fc.sample(anyRow, FEWEST_LIKES + 1);
    expect(against(row!, rest.slice(1))).toBeNull();
    expect(against({ ...row!, hot: null }, rest)).toBeNull();
    expect(against(row!, rest)).not.toBeNull();
  });

  it('is compared with others of its species, bone state, break and part, and never with itself', () => {
    const own = yieldRow({ shareId: 'own', hot: 100 as Weight });
    const other = (change: Partial<YieldRow>) => ({ ...own, shareId: 'other', ...change });
    const rows = [
      own,
      other({}),
      other({ boneState: 'boneless' }),
      other({ school: 'uk' }),
      other({ part: 'whole' }),
      other({ species: 'beef' }),
      other({ hot: null }),
    ];
    expect(likesOf(own, rows)).toEqual([rows[1]]);
  });
});
