import fc from 'fast-check';
import type { Weight } from '../quantity/weight';
import { anyYieldRow, yieldRow } from '../tests/yieldRow';
import { against, FEWEST_LIKES, likesOf } from './likes';
import type { YieldRow } from './yieldRow';

describe('one share against its likes', () => {
  it('has reasons that add up to its difference, for any share and any likes', () => {
    fc.assert(
      fc.property(
        anyYieldRow,
        fc.array(anyYieldRow, { minLength: FEWEST_LIKES, maxLength: 14 }),
        (row, likes) => {
          const { own, likes: theirs, reasons } = against(row, likes)!;
          const moved = reasons.reduce((sum, { points }) => sum + points, 0);
          expect(theirs.mean + moved).toBeCloseTo(own, 6);
          const sizes = reasons.map(({ points }) => Math.abs(points));
          expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
        },
      ),
      { numRuns: 1000 },
    );
  });

  it('says nothing of few likes, or without a hot weight', () => {
    const [row, ...rest] = fc.sample(anyYieldRow, FEWEST_LIKES + 1);
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
