import fc from 'fast-check';
import { balanceOfKind, move, type Posting } from '../ledger/ledger';
import type { Weighing } from '../order/work';
import type { Weight } from '../quantity/weight';
import type { BatchFile } from './batch';
import { fromTubs } from './fromTubs';
import { drawnByGrade, GRADES, isOverdrawn, tubsOf, type Grade, type Tub } from './tubs';

const weighing = (kind: Weighing['kind'], source: string, net: number) =>
  ({ kind, source, net: net as Weight, lineKey: '' }) as Weighing;

const meat = (grade: Grade, net: number) => ({ kind: 'meat', grade, net: net as Weight }) as const;

const batchOf = (events: readonly ReturnType<typeof meat>[]) => ({ events }) as unknown as BatchFile;

const tub = (grade: Grade, leanPct: number, left: number): Tub => ({
  ...{ grade, leanPct, into: left as Weight, drawn: 0 as Weight, left: left as Weight },
});

describe('tubs of a share', () => {
  it('are told apart by their grade, the leanest first; what nobody parted stands where its lean is', () => {
    const weighings = [
      weighing('tub', '50', 6_000),
      weighing('tub', '', 9_000),
      weighing('tub', '90', 12_000),
      weighing('package', 'tub', 1_000),
    ];
    const found = tubsOf({ weighings, batches: [batchOf([meat('90', 5_000)])] }, 74);
    expect(found.map(({ grade, left }) => [grade, left])).toEqual([
      ['90', 7_000],
      ['', 8_000],
      ['50', 6_000],
    ]);
  });

  it('hold together what their account holds, whatever is weighed, drawn, put back and packed', () => {
    const grade = fc.constantFrom(...GRADES);
    const step = fc.record({
      does: fc.constantFrom('tub', 'meat', 'back', 'pack'),
      grade,
      net: fc.integer({ min: 1, max: 50_000 }),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        const account = { kind: 'tub', owner: 's' } as const;
        const other = { kind: 'share', owner: 's' } as const;
        const postings: Posting[] = [];
        const weighings: Weighing[] = [];
        const events: ReturnType<typeof meat>[] = [];
        for (const { does, grade: of, net } of steps) {
          const signed = does === 'tub' || does === 'back' ? net : -net;
          postings.push(...move(other, account, signed as Weight));
          if (does === 'tub') weighings.push(weighing('tub', of, net));
          else if (does === 'pack') weighings.push(weighing('package', 'tub', net));
          else events.push(meat(of, -signed));
        }
        const found = tubsOf({ weighings, batches: [batchOf(events)] }, 70);
        const left = found.reduce((sum, each) => sum + each.left, 0);
        expect(left).toBe(
          balanceOfKind(
            postings.filter(({ kind }) => kind === 'tub'),
            'tub',
          ),
        );
        for (const { grade: of, net } of drawnByGrade(events as never)) {
          expect(net).toBe(found.find((each) => each.grade === of)!.drawn);
        }
      }),
    );
  });

  it('are overdrawn where more was taken than lay in them', () => {
    const batches = [batchOf([meat('80', 5_000)])];
    const left = (into: number) => tubsOf({ weighings: [weighing('tub', '80', into)], batches }, 70);
    expect(isOverdrawn(left(4_980), '80')).toBe(false);
    expect(isOverdrawn(left(4_000), '80')).toBe(true);
    expect(isOverdrawn(tubsOf({ weighings: [], batches }, 70), '80')).toBe(true);
  });
});

describe('what is taken of which tub', () => {
  const two = [tub('90', 90, 40_000), tub('50', 50, 40_000)];
  const none = { inBatch: [], asItComes: 70 };

  it('of two tubs by the rule of the square: 75 and 25 of a hundred', async () => {
    const planned = 20_000 as Weight;
    const { use, leanPct, beside } = await fromTubs(two, { planned, askedFatPct: 20, ...none });
    expect(use.map(({ take }) => take)).toEqual([15_000, 5_000]);
    expect(leanPct).toBeCloseTo(80, 6);
    expect(beside.is).toBe('as-asked');
  });

  it('goes on from what is in the batch already', async () => {
    const planned = 20_000 as Weight;
    const inBatch = [{ grade: '90', net: 15_000 as Weight }] as const;
    const { use, leanPct } = await fromTubs(two, { planned, askedFatPct: 20, inBatch, asItComes: 70 });
    expect(use.map(({ take }) => take)).toEqual([0, 5_000]);
    expect(leanPct).toBeCloseTo(80, 6);
  });

  it('where all is too fat takes the leanest and says what to cull', async () => {
    const fat = [tub('65', 65, 9_000), tub('50', 50, 9_000)];
    const { use, beside } = await fromTubs(fat, { planned: 12_000 as Weight, askedFatPct: 20, ...none });
    expect(use.map(({ take }) => take)).toEqual([9_000, 3_000]);
    expect(beside).toEqual({ is: 'over', fat: (12_000 * 18.75) / 80 });
  });

  it('never takes what is not there, and is as lean as asked where any mix of the tubs is', async () => {
    const left = fc.integer({ min: 0, max: 40_000 });
    await fc.assert(
      fc.asyncProperty(
        fc.tuple(left, left, left),
        fc.integer({ min: 500, max: 60_000 }),
        fc.constantFrom(10, 20, 30, 40),
        async ([lean, middle, fat], planned, askedFatPct) => {
          const tubs = [tub('90', 90, lean), tub('65', 65, middle), tub('fat', 10, fat)];
          const { use, leanPct } = await fromTubs(tubs, {
            planned: planned as Weight,
            askedFatPct,
            ...none,
          });
          use.forEach(({ take }, at) => expect(take).toBeLessThanOrEqual(tubs[at]!.left));
          const taken = use.reduce((sum, { take }) => sum + take, 0);
          const wanted = Math.min(planned, lean + middle + fat);
          expect(Math.abs(taken - wanted)).toBeLessThanOrEqual(2);
          const leanest = leanestOf(tubs, wanted);
          if (wanted > 0 && leanest >= 100 - askedFatPct) {
            expect(leanPct).toBeGreaterThanOrEqual(100 - askedFatPct - 1e-6);
          } else if (wanted > 0) expect(leanPct).toBeCloseTo(leanest, 4);
        },
      ),
      { numRuns: 60 },
    );
  });
});

function leanestOf(tubs: readonly Tub[], wanted: number): number {
  let open = wanted;
  let lean = 0;
  for (const { leanPct, left } of tubs) {
    const take = Math.min(open, left);
    lean += take * leanPct;
    open -= take;
  }
  return wanted === 0 ? 0 : lean / wanted;
}
