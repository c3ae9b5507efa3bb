import fc from 'fast-check';
import type { BridgeStep, StepKind } from '../reconcile/reconcile';
import type { Weight } from '../quantity/weight';
import type { Settlement } from './settlement';
import { storyOf } from './statementStory';

const KINDS: readonly StepKind[] = ['bone', 'fat', 'skin', 'inedible', 'grinder', 'cure', 'unaccounted'];

/** A settlement of these weights; what its story is told from. */
function settlementOf(
  boxes: number,
  lost: readonly number[],
  air: number,
  lines: readonly object[] = [],
): Settlement {
  const steps = KINDS.map((kind, at): BridgeStep => ({
    kind,
    label: kind,
    weight: (lost[at] ?? 0) as Weight,
    lost: true,
  }));
  const cold = lost.reduce((sum, each) => sum + each, boxes);
  const ends = [
    { kind: 'cold', label: 'cold', weight: cold as Weight, lost: false },
    ...steps,
    { kind: 'boxes', label: 'boxes', weight: boxes as Weight, lost: false },
  ] as BridgeStep[];
  const reconciliation = { cold, boxes, bridge: ends, lines };
  return { hot: (cold + air) as Weight, unit: 'lb', reconciliation } as unknown as Settlement;
}

describe('the story of the weight', () => {
  it('ends in the boxes, step by step, whatever was lost or gained on the way', () => {
    const weights = fc.array(fc.integer({ min: -2000, max: 40_000 }), {
      minLength: KINDS.length,
      maxLength: KINDS.length,
    });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 300_000 }),
        weights,
        fc.integer({ min: 0, max: 9000 }),
        (boxes, lost, air) => {
          const { hot, steps, boxes: told } = storyOf(settlementOf(boxes, lost, air));
          let left: number = hot;
          for (const step of steps) {
            left -= step.weight;
            expect(step.left).toBe(left);
            expect(step.why).not.toBe('');
          }
          expect(left).toBe(told);
        },
      ),
      { numRuns: 500, seed: 20261127 },
    );
  });

  it('says why 180 became 126', () => {
    const { sentence, steps } = storyOf(
      settlementOf(126_000, [24_000, 18_000, 0, 1000, 500, 3000, 3000], 4500),
    );
    expect(sentence).toBe(
      '180.0 lb hung on our rail, and 126.0 lb are in your boxes, mostly 24.0 lb bone and 18.0 lb fat.',
    );
    expect(steps.at(-1)).toMatchObject({ words: 'not accounted for', weight: 3000 });
  });

  it('calls brine that stayed in a gain', () => {
    const { steps } = storyOf(settlementOf(10_000, [0, 0, 0, 0, 0, -800, 0], 0));
    expect(steps).toEqual([
      expect.objectContaining({ words: 'brine that stayed in', weight: -800, left: 10_000 }),
    ]);
  });

  it('tells of jerky that half of it was water', () => {
    const jerky = { cut: 'Jerky, dried', dried: true, green: 18_000, actual: 8700 };
    const { steps } = storyOf(settlementOf(100_000, [0, 0, 0, 0, 0, 9300], 0, [jerky]));
    expect(steps.find(({ kind }) => kind === 'cure')!.why).toContain(
      'Jerky, dried: 18.0 lb green became 8.7 lb; 9.3 lb of water dried away',
    );
  });
});
